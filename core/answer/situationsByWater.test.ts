import { overRedd } from '../advice';
import { caseOnRun } from '../cast/case';
import { runSwing } from '../swing';
import { holdsN } from '../tackle';
import { G, POUND_KG } from '../units';
import { leftAlone } from '../water';
import type { Answer } from './answer';
import { POOL, rigOf, SEA_TROUT, soft } from './situations.testing';
import { across, answered as ask, even, feature, request, river, tied } from './waters.testing';

/** Situations of the trade with the whole advice run over them: what a good guide would nod at, what he would not, and the reading
 * that flips it (handbook of the trade; common practice, no source): by the kind of water. */
const WOOD = river(even(22, 0, 0.5, 1, 1.6, 1.9, 0.4), 0.6, {
  features: [feature('log', 25, 19, 5, 1.2), feature('brush', 12, 20.5, 10, 2)],
});
const INSIDE = river(even(26, 0, 0.5, 0.8, 1.3, 1.9, 0.5), 0.9, { bend: { turns: 'left', radiusM: 50 } });

describe('kinds of water', () => {
  it('a low clear riffle with insects about: soft hackles; the broken surface hides fish', () => {
    const riffle = river(even(20, 0, 0.35, 0.5, 0.6, 0.5, 0), 0.75);
    const a = ask(riffle, { seen: ['hatch'], reading: { waterTempC: 13, visibilityM: 2, colour: 'clear' } });
    expect(a.method).toBe('soft hackles on the swing');
    expect(soft(rigOf(a))).toBe(true);
  });

  it('a deep pool with a current is swung, or stripped, not drawn', () => {
    const swung = ask({ ...POOL, speed: { ...POOL.speed!, surfaceMps: 0.8 } }, { reading: { visibilityM: 2 } });
    expect(swung.method).toMatch(/on the swing|^strip/);
  });

  it('a heavy tip in thin water over stones drags: with nothing else it is stripped up it, not swung', () => {
    const thin = river(
      [0, 30, 60].map((x) => across(x, 16, 0, 0.3, 0.45, 0.5, 0.35, 0)),
      0.7,
      { bed: 'boulders' },
    );
    const on = (flyId: string) => {
      const tiedOn = tied('two-hander 7', 'short head', '10 ft heavy', '4 ft of 12 lb', flyId);
      return ask(thin, { ask: 'only this', tiedOn, reading: { colour: 'green', visibilityM: 1.5 } });
    };
    expect(on('olive sculpin').method).toBe('upstream');
    // A buoyant fly behind a dense line rides over the stones.
    expect(on('tan muddler').method).toBe('upstream');
    expect(on('tan muddler').served!.found).toBeGreaterThan(2 * on('olive sculpin').served!.found);
  });

  it('wood in bright light: 10 lb of tippet, nothing swung through the log', () => {
    const a = ask(WOOD, { reading: { sky: 'bright', visibilityM: 2 } });
    expect(holdsN(rigOf(a))).toBeGreaterThan(0.84 * 10 * POUND_KG * G);
    for (const t of a.served!.stands) if (t.verdict.wood) expect(t.chance).toBe(0);
    expect(a.served!.stands.some((t) => !t.verdict.wood && t.chance! >= 4)).toBe(true);
  });

  it('the soft inside of a bend is fished close in with a light line, or given up for a heavy one and said to be', () => {
    const inside = (a: Answer) => a.served!.stands.filter((t) => t.lie.yM < 9);
    const light = tied('single 6', 'floating 6', '', '9 ft to 3X', 'black woolly bugger');
    const a = ask(INSIDE, { water: SEA_TROUT, tiedOn: light, ask: 'only this' });
    expect(inside(a).length).toBeGreaterThan(0);
    for (const t of inside(a)) expect(t.plan.outM).toBeLessThanOrEqual(10);
    const best = ask(INSIDE, { water: SEA_TROUT });
    const told = new Set([...best.served!.givesUp, ...best.served!.stands].map(({ lie }) => lie.rank));
    expect(told.size).toBe(best.served!.of.length);
  });
});

describe('by a redd', () => {
  it('no fly is shown over it, nobody stands on it or just below, and it says so', () => {
    const redd = river(even(18, 0, 0.4, 0.8, 1, 0.7, 0), 0.6, { features: [feature('redd', 30, 6, 3, 2)] });
    const a = ask(redd, { at: Date.UTC(2026, 10, 10, 12), reading: { waterTempC: 8, visibilityM: 1.4 } });
    const { channel, lies } = request({}, redd);
    expect(a.served!.stands.length).toBeGreaterThan(2);
    expect(a.served!.stands.some((t) => t.plan.xM > 12)).toBe(true);
    for (const { plan, rig } of a.served!.stands) {
      const swing = runSwing(caseOnRun(channel, rig, plan, lies));
      expect(overRedd(swing, swing, channel.features)).toBe(false);
      expect(leftAlone(channel.features, plan.xM, plan.yM)).toBe(false);
    }
    expect(a.cautions.map((c) => c.code)).toContain('redd');
  });
});
