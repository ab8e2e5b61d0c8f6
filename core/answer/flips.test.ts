import type { Tried } from '../advice';
import type { FishLie } from '../lies';
import { finished } from '../maths/work';
import type { SwingResult } from '../swing';
import type { WaterColour } from '../water';
import { range } from 'd3-array';
import { swingOnRun } from '../cast/case';
import { flyAt, HZ } from '../swing/series';
import { checksOf, type Flip, type FlipWhen, flipsOf } from './flips';
import type { Method } from './methods';
import { setupOf, underFloat } from './rigs';
import { firstCasts, type Served } from './stands';
import { plainWays } from './ways';
import { type Asked, BAG, LIGHT, RUN, situation, tied } from './waters.testing';
import { benchOf } from './setupWorth';

/** What would change the answer, of a fly under a float: other depths and speeds are not tried for it, only other days. */
function days(o: Asked, method: Method = 'drift or float'): Flip[] {
  const s = situation(o);
  const rig = situation({ tiedOn: LIGHT }).tiedOn!;
  const setup = underFloat(s, setupOf(s, 'drift or float', rig, 1))!;
  return finished(flipsOf(benchOf(s), { setup: { ...setup, method } } as Served));
}
const told = (o: Asked, code: FlipWhen['code']) => days(o).find((f) => f.when.code === code) ?? null;
const by = (method: Method) => ({ then: { code: 'method', method } });
const CLEAR = { visibilityM: 2.5, colour: 'clear', sky: 'bright' } as const;
const STEELHEAD = { water: { quarry: 'steelhead' } } as const;

describe('other days that would change the answer (common practice, no source)', () => {
  it('dirty water that clears, and clear water that colours: with the fly and its angle', () => {
    const clears = told({ reading: { visibilityM: 0.4, colour: 'grey-brown' } }, 'clears');
    expect(clears!.when).toEqual({ code: 'clears', toM: 1.2 });
    const colours = told({ reading: CLEAR }, 'colours')!;
    expect(colours.when).toEqual({ code: 'colours', toM: 0.5 });
    expect(colours).toMatchObject(by('streamer on the swing'));
    const dark = { fly: { colour: expect.stringMatching(/^black/) }, angleDeg: expect.any(Number) };
    expect(colours.then).toMatchObject(dark);
    expect(told({ reading: { visibilityM: 0.4, colour: 'grey-brown' } }, 'colours')).toBeNull();
  });

  it('insects that come up, or stop', () => {
    // Dirty water speaks for a streamer as long as nothing hatches.
    const coloured = { reading: { visibilityM: 0.4, colour: 'grey-brown', waterTempC: 13 } } as const;
    expect(told(coloured, 'hatch')).toMatchObject(by('soft hackles on the swing'));
    const hatch = { ...coloured, seen: ['hatch'] } as const;
    expect(told(hatch, 'hatch')).toBeNull();
    expect(told(hatch, 'hatch stops')).toMatchObject(by('streamer on the swing'));
  });

  it('nothing that could not be seen: no fish refuses where the water is dirty, nothing comes up in mud', () => {
    const sight = (visibilityM: number, colour: WaterColour) =>
      days({ reading: { visibilityM, colour, waterTempC: 13 } }, 'streamer on the swing').map((f) => f.when.code);
    expect(sight(1.3, 'green')).toContain('refusals');
    expect(sight(0.4, 'grey-brown')).toContain('hatch');
    expect(sight(0.4, 'grey-brown')).not.toContain('refusals');
    expect(sight(0.1, 'brown soup')).toContain('clears');
    expect(sight(0.1, 'brown soup')).not.toEqual(expect.arrayContaining(['hatch']));
    expect(sight(0.1, 'brown soup')).not.toContain('refusals');
  });

  it('cold water that warms', () => {
    const at = (waterTempC: number) => told({ reading: { waterTempC } }, 'warms');
    expect(at(4)).toMatchObject({ when: { toC: 10 }, ...by('soft hackles on the swing') });
    expect(at(4)!.then).toMatchObject({ angleDeg: null });
    expect(at(9)).toBeNull();
  });

  it('the light that goes, over warm clear water, where it is not dusk', () => {
    const at = (sky: 'bright' | 'dusk', waterTempC: number) =>
      told({ reading: { ...CLEAR, sky, waterTempC }, ...STEELHEAD }, 'light goes');
    expect(at('bright', 13)).toMatchObject(by('wake fly'));
    expect([at('dusk', 13), at('bright', 9)]).toEqual([null, null]);
  });

  it('are five at the most, and none where the bag has no fly for them', () => {
    expect(days({ reading: CLEAR }).length).toBeLessThanOrEqual(5);
    expect(days({ reading: CLEAR, kit: BAG.filter((k) => k.type !== 'fly') })).toEqual([]);
  });
});

describe('other water', () => {
  it('deeper or faster than read wants a heavier tip; shallower or slower a lighter one, or none', () => {
    const o = { tiedOn: tied('two-hander 7', 'short head', '10 ft slow', '4 ft of 12 lb', 'black rabbit strip') };
    const s = situation(
      { ...o, ...STEELHEAD, reading: { waterTempC: 5 } },
      { ...RUN, speed: { ...RUN.speed!, surfaceMps: 1 } },
    );
    const setup = setupOf(s, 'streamer on the swing', s.tiedOn!, 1);
    const flips = finished(flipsOf(benchOf(s), { setup, way: plainWays(s, setup)[0]! } as Served));
    const then = (code: FlipWhen['code']) => {
      const found = flips.find((f) => f.when.code === code)?.then;
      return found?.code === 'tip' ? (found.tip ?? 'no tip') : '';
    };
    const heavier = ['10 ft fast', '10 ft heavy'];
    const lighter = ['10 ft intermediate', '6 ft sinking leader', 'no tip'];
    for (const when of ['deeper', 'faster'] as const) expect(['', ...heavier]).toContain(then(when));
    for (const when of ['shallower', 'slower'] as const) expect(['', ...lighter]).toContain(then(when));
    expect(flips.filter((f) => f.then.code === 'tip').length).toBeGreaterThan(0);
  });
});

describe('how to see at the river that it is right', () => {
  const s = situation({ tiedOn: LIGHT });
  const setup = setupOf(s, 'streamer on the swing', s.tiedOn!, 1);
  // The first plain cast that comes under control.
  const [{ lie, cast, swing }] = firstCasts(benchOf(s), setup, plainWays(s, setup)[0]!).flatMap((plain) => {
    const whole = swingOnRun({ channel: s.channel, rig: setup.rig, plan: plain.plan, lies: [plain.lie] });
    return whole.fishing ? [{ lie: plain.lie, cast: plain, swing: whole }] : [];
  }) as unknown as [{ lie: FishLie; cast: Tried; swing: SwingResult }];
  const of = (o: Partial<Served['setup']> = {}, at = s, stands: readonly object[] = [{ ...cast, lie, chance: 8 }]) =>
    checksOf(benchOf(at), { setup: { ...setup, ...o }, of: [lie], stands } as unknown as Served);

  const codes = (...args: Parameters<typeof of>) => of(...args).map((c) => c.code);

  it('by the count to coming tight, as it is simulated', () => {
    const tight = swing.fishing!.fromS;
    expect(of()[0]).toEqual({ code: 'tight', byS: tight });
    expect(codes({ method: 'strip' })).not.toContain('tight');
  });

  it('by how long a pale fly is seen, where it goes out of sight above the bed', () => {
    const sight = (visibilityM: number) => of({}, { ...s, visibilityM }).find((x) => x.code === 'out of sight');
    const deepest = Math.max(...range(swing.rows).map((i) => flyAt(swing, i).depthM));
    const half = deepest / 2;
    const after = range(swing.rows).find((i) => flyAt(swing, i).depthM >= half)!;
    expect(sight(half)).toEqual({ code: 'out of sight', afterS: after / HZ });
    expect([sight(deepest + 0.01), sight(lie.depthM), sight(5)]).toEqual([undefined, undefined, undefined]);
  });

  it('by a wake, a touch of the bed, or none of it', () => {
    expect(codes({ method: 'wake fly' })).toContain('wake');
    // What drifts neither draws nor is lightened: the float tells, or the foam.
    const floated = underFloat(s, { ...setup, method: 'drift or float' })!;
    expect(codes(floated)).toContain('float drift');
    expect(codes({ method: 'drift or float' })).toContain('drift');
    expect(codes()).toContain(swing.fishing!.touches > 0 ? 'touches' : 'touch now and then');
    expect(of({}, s, [])).toEqual([]);
    // A fly that is to ride high should never touch; one that goes near the bed now and then.
    const asked = (share: number) => {
      const band = { ...cast.verdict.lie.band, bottomM: share * lie.depthM };
      const verdict = { ...cast.verdict, lie: { ...cast.verdict.lie, band } };
      return codes({}, s, [{ ...cast, verdict, lie, chance: 8 }]);
    };
    expect(asked(0.79)).toContain('no touch');
    expect(asked(0.81)).not.toContain('no touch');
  });
});
