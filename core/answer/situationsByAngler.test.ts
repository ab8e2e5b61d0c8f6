import { ANY_MEANS } from '../cast';
import { fliesOf, FLY_WEIGHTS, isMonoRig, type KitItem } from '../tackle';
import { STARTER_BAGS } from '../tackle/starts';
import type { Answer } from './answer';
import {
  flips,
  GLIDE,
  LOW_CLEAR,
  MURK,
  POOL,
  RIFFLE,
  rigOf,
  SEA_TROUT,
  soft,
  STEELHEAD,
  STREAM,
  takesDown,
} from './situations.testing';
import { across, answered as ask, BAG, even, feature, fly, OPEN, river, situation, tied } from './waters.testing';
import { methodsFor } from './methods';

/** Situations of the trade with the whole advice run over them: what a good guide would nod at, what he would not, and the reading
 * that flips it (handbook of the trade; common practice, no source): by what was seen, rules, bag and angler. */

describe('what was seen', () => {
  it('fish that look and refuse: drift it, or under a float', () => {
    expect(ask(RIFFLE, { seen: ['refusals'] }).method).toBe('drift or float');
    expect(ask(RIFFLE).method).not.toBe('drift or float');
    expect(flips(ask(RIFFLE, { seen: ['hatch'], reading: { waterTempC: 13 } }))).toMatch(/refusals: drift or float/);
  });

  it('crayfish: match size and motion', () => {
    const a = ask(GLIDE, { seen: ['crayfish'] });
    expect(['strip', 'streamer on the swing', 'dip and draw']).toContain(a.method);
    expect(rigOf(a).fly.family === 'crayfish' || ['olive', 'brown'].includes(rigOf(a).fly.colour)).toBe(true);
    expect(JSON.stringify(a.why)).toMatch(/"crayfish"/);
    const dusk = { waterTempC: 15, visibilityM: 1.4, sky: 'dusk' } as const;
    const late = { seen: ['crayfish'], at: Date.UTC(2026, 7, 10, 19), reading: dusk } as const;
    expect(['strip', 'streamer on the swing']).toContain(ask(GLIDE, late).method);
  });

  it('fry: a pale or slim fly', () => {
    const a = ask(POOL, { seen: ['fry'] });
    expect(rigOf(a).fly.colour === 'white' || rigOf(a).fly.family === 'micro streamer').toBe(true);
  });

  it('a party ahead: something different from what they showed', () => {
    expect(ask(GLIDE, { seen: ['party ahead', 'footprints'] }).method).not.toBe('streamer on the swing');
  });

  it('risers: a dry is named, and not worked out; juveniles: leave', () => {
    const codes = (a: Answer) => a.cautions.map((c) => c.code);
    expect(codes(ask(RIFFLE, { seen: ['rises'] }))).toContain('rises');
    expect(codes(ask(RIFFLE, { seen: ['juveniles'] }))).toContain('juveniles');
    for (const code of ['rises', 'juveniles']) expect(codes(ask(RIFFLE))).not.toContain(code);
  });
});

describe('rules, bag and angler', () => {
  it('one fly allowed: one fly; two: a pair of soft hackles, told with its caution', () => {
    const hatch = { seen: ['hatch'], reading: { waterTempC: 13 } } as const;
    const one = ask(RIFFLE, { ...hatch, water: { rules: { ...OPEN, maxFlies: 1 } } });
    expect(one.method).toBe('soft hackles on the swing');
    expect(rigOf(one).droppers).toHaveLength(0);
    const two = ask(RIFFLE, hatch);
    expect(rigOf(two).droppers).toHaveLength(1);
    expect(two.cautions.map((c) => c.code)).toContain('two flies');
  });

  it('no weight on flies: none, of all that is offered', () => {
    const rules = { ...OPEN, noAddedWeight: true };
    const on = tied('two-hander 7', 'short head', '10 ft heavy', '4 ft of 12 lb', 'olive sculpin');
    const a = ask(GLIDE, { water: { rules }, tiedOn: on, ask: 'change' });
    for (const rig of [rigOf(a), ...a.changes.map((c) => c.to.setup.rig)])
      expect(fliesOf(rig).some((f) => FLY_WEIGHTS[f.weight].added)).toBe(false);
    expect(a.mistakes).toContainEqual({ code: 'breach', breach: { rule: 'noAddedWeight', on: 'fly' } });
    expect(a.changes.length).toBeGreaterThan(0);
  });

  it('only a floating line: the best with it, its odds, and what to bring', () => {
    const kit = BAG.filter((k) => k.type !== 'tip');
    const deep = river(even(24, 0, 0.9, 1.6, 2, 1.6, 0), 1.1);
    const on = tied('two-hander 7', 'short head', '', '9 ft to 3X', 'black rabbit strip');
    const a = ask(deep, { kit, tiedOn: on, ask: 'only this', water: STEELHEAD });
    expect(rigOf(a).tip).toBeNull();
    expect(rigOf(a).fly.id).toBe('black rabbit strip');
    expect(a.served!.chance).toBeLessThan(0.5);
    expect(a.bring!.lengthM).toBeGreaterThan(1);
    expect(a.mistakes.map((m) => m.code)).toEqual(expect.arrayContaining(['too high', 'only a floating line']));
  });

  it('too heavy in a riffle: lighten, the cheap change first; it is told once, with its number', () => {
    const on = tied('two-hander 7', 'short head', '10 ft heavy', '4 ft of 12 lb', 'olive sculpin');
    const a = ask(RIFFLE, { tiedOn: on, ask: 'change' });
    expect(takesDown(rigOf(a))).toBeLessThan(0.3);
    expect(a.changes[0]!.does).toBe(true);
    expect(a.mistakes.filter((m) => m.code === 'too heavy')).toHaveLength(1);
  });

  it('a hatch begins with a streamer on: soft hackles on the rod in hand are among the changes, cheaper than another rod', () => {
    const on = tied('single 6', 'floating 6', '6 ft sinking leader', '4 ft of 12 lb', 'black woolly bugger');
    const a = ask(GLIDE, { ask: 'change', seen: ['hatch'], tiedOn: on, reading: { waterTempC: 12, visibilityM: 1.5 } });
    const same = a.changes.filter(({ to: { setup } }) => setup.rig.rod.id === on.rodId && soft(setup.rig));
    expect(same.length).toBeGreaterThan(0);
    for (const c of same) expect(c.levers).toEqual(expect.arrayContaining(['fly', 'leader']));
    const other = a.changes.find((c) => c.levers.includes('other rod'));
    for (const c of same) expect(c.costS).toBeLessThan(other?.costS ?? Infinity);
  });

  it('fish that refuse, and a mono rig in the bag: it leads the fly past them, short and no line paid in', () => {
    const kit = STARTER_BAGS['Mono rig and float'].map((k, i) => ({ ...k, id: `${i}` }) as KitItem);
    const a = ask(GLIDE, { kit, seen: ['refusals'], reading: { waterTempC: 12, visibilityM: 1.5 } });
    expect(a.method).toBe('drift or float');
    expect(isMonoRig(rigOf(a))).toBe(true);
    for (const plan of a.served!.casts) {
      expect(plan).toMatchObject({ tip: 'high', mendM: 0, hands: { way: 'tight drift', feedM: 0 } });
      expect(plan.outM).toBeLessThanOrEqual(10);
    }
  });

  it('lines that were never fished are not offered; a stretch with trees behind only where a roll reaches', () => {
    const means = { ...ANY_MEANS, lines: ['floating line', 'sinking line'] as const };
    const a = ask(GLIDE, { means, water: STEELHEAD });
    expect(rigOf(a).head.shape).toBe('taper');
    expect(rigOf(ask(GLIDE, { water: STEELHEAD })).rod.hands).toBe(2);
    const trees = ask({ ...GLIDE, room: 'trees behind' }, {});
    const most = { 1: 14, 2: 20 }[rigOf(trees).rod.hands];
    for (const t of trees.served!.stands) if (t.plan.yM < 3) expect(t.plan.outM).toBeLessThanOrEqual(most);
  });

  it('what is nicked, set aside or used up is not tied on', () => {
    const first = rigOf(ask(RIFFLE, { seen: ['hatch'], reading: { waterTempC: 13 } }));
    const without = BAG.map((k) =>
      k.id === first.leader.id
        ? { ...k, nicked: true }
        : fliesOf(first).some((f) => f.id === k.id)
          ? { ...k, count: 0 }
          : k,
    ) as typeof BAG;
    const a = ask(RIFFLE, { kit: without, seen: ['hatch'], reading: { waterTempC: 13 } });
    expect(rigOf(a).leader.id).not.toBe(first.leader.id);
    expect(fliesOf(rigOf(a)).some((f) => fliesOf(first).some((g) => g.id === f.id))).toBe(false);
  });

  it('the goal of the day: one big fish takes a streamer where numbers take soft hackles', () => {
    expect(ask(RIFFLE, { settings: { goal: 'one big fish' } }).method).not.toBe('soft hackles on the swing');
    expect(ask(RIFFLE, { settings: { goal: 'numbers' } }).method).toBe('soft hackles on the swing');
  });

  it('schools: naturals stay natural, the mend is set once, the bow is used where it is one’s school', () => {
    const naturals = ask(GLIDE, { reading: MURK, settings: { schools: { colour: 'naturals' } }, water: SEA_TROUT });
    expect(naturals.school.colour).toBe('naturals');
    const fair = ask(GLIDE, { settings: { schools: { colour: 'naturals' } }, water: STEELHEAD });
    expect(['olive', 'brown', 'tan', 'white', 'yellow', 'black']).toContain(rigOf(fair).fly.colour);
    const straight = ask(GLIDE, { settings: { schools: { mends: 'keep it straight' } }, water: STEELHEAD });
    for (const t of straight.served!.stands) expect(t.plan.mendM).toBe(0);
    const others = straight.schools.find((x) => x.school === 'mends')!;
    expect(others.used).toBe('keep it straight');
    expect(others.others.map((o) => o.name)).toContain('mend for depth');
  });

  it('a timed rise comes up at the fish; the bow tows only where it is used', () => {
    const ways = (a: Answer) => new Set(a.served!.stands.map((t) => t.plan.hands?.way ?? 'swing'));
    const one = ask(GLIDE, { settings: { schools: { mends: 'one and a step' } }, water: STEELHEAD });
    for (const t of one.served!.stands)
      if (t.plan.hands?.way === 'timed rise' && t.chance! >= 8) expect(t.verdict.pass.riseMps).toBeGreaterThan(-0.05);
    expect(ways(ask(GLIDE, { water: STEELHEAD })).has('towed by the bow')).toBe(false);
    const bow = ask(GLIDE, { settings: { schools: { bow: 'use it' } }, water: STEELHEAD });
    expect([...ways(bow)].every((w) => w === 'swing' || w === 'towed by the bow')).toBe(true);
    expect(bow.school.bow).toBe('use it');
  });

  it('nothing to tie on, or none of it allowed: it says what is missing', () => {
    const lacks = { code: 'bag lacks', lacks: ['leader'] };
    expect(ask(GLIDE, { kit: BAG.filter((k) => k.type !== 'leader') }).nothing).toEqual(lacks);
    const barbed = [...BAG.filter((k) => k.type !== 'fly'), fly('rabbit strip', 'black', { barbless: false })];
    const a = ask(GLIDE, { kit: barbed, water: { rules: { ...OPEN, barbless: true } } });
    expect(a.served).toBeNull();
    expect(a.nothing).toEqual({ code: 'bag not allowed' });
    const dry = ask(river(even(20, 0, 0.05, 0.08, 0.08, 0.05, 0), 1.5), {});
    expect(dry.served).toBeNull();
    expect(dry.nothing).toEqual({ code: 'no water' });
  });

  it('closed water is told first, whatever one would tie on', () => {
    const rules = { ...OPEN, season: { from: '04-01', to: '08-31' }, closedRuns: ['run'] };
    const [first, second] = ask(STREAM, { water: { rules } }).cautions;
    expect([first!.level, second!.level]).toEqual(['stop', 'stop']);
    expect(first).toMatchObject({ code: 'closed', breach: { rule: 'season', from: '04-01', to: '08-31' } });
  });

  it('a brook of pockets, low and clear: up it from below, every pocket served by casts that do go up it', () => {
    const depths = [0, 0.2, 0.4, 0.3, 0] as const;
    const brook = river(
      [0, 15, 30].map((x) => across(x, 7, ...depths)),
      0.8,
      {
        bed: 'boulders',
        features: [feature('boulder', 10, 3, 1, 1), feature('boulder', 18, 4, 1, 1)],
      },
    );
    const a = ask(brook, { reading: { visibilityM: 3, colour: 'clear', levelM: -0.1, waterTempC: 13 } });
    expect(a.method).toBe('upstream');
    expect(a.served!.stands.length).toBeGreaterThan(2);
    for (const { plan } of a.served!.stands) expect(plan.angleDeg).toBeGreaterThanOrEqual(120);
    expect(a.served!.givesUp.length).toBeLessThanOrEqual(a.served!.of.length / 3);
  });

  it('a brook with a log across half of it: the lie behind it is left for the wood, the other one fished past it from the bank', () => {
    const brook = river(even(4, 0, 0.25, 0.4, 0.4, 0.2), 0.4, {
      room: 'trees behind',
      features: [feature('log', 20, 3, 3, 0.6)],
    });
    const a = ask(brook, { reading: { waterTempC: 12, visibilityM: 1.5, colour: 'clear' } });
    expect(a.method).toBe('upstream');
    expect(a.served!.stands.length).toBeGreaterThan(0);
    expect(a.served!.stands.every((t) => t.chance! >= 4 && !t.verdict.wood)).toBe(true);
    expect(a.served!.givesUp).toHaveLength(1);
    expect(['wood', 'short of it', 'too shallow']).toContain(a.served!.givesUp[0]!.because);
  });

  it('sea trout at dusk in a low clear glide: one hand, a taper, no tip; what is given up is given up for a reason', () => {
    const reading = { ...LOW_CLEAR, waterTempC: 16, sky: 'dusk' } as const;
    const a = ask(GLIDE, { reading, water: SEA_TROUT });
    const { rod, head, tip } = rigOf(a);
    expect([a.method, rod.hands, head.shape, tip]).toEqual(['streamer on the swing', 1, 'taper', null]);
    // What wakes is for when it is dark.
    expect(methodsFor(situation({ reading, water: SEA_TROUT, at: Date.UTC(2026, 8, 10, 20) }, GLIDE))[0]!.method).toBe(
      'wake fly',
    );
    const { of, givesUp, stands } = a.served!;
    expect([...givesUp, ...stands].map(({ lie }) => lie.rank).sort()).toEqual(of.map((l) => l.rank).sort());
  });
});
