import { overRedd } from '../advice';
import { ANY_MEANS } from '../cast';
import { caseOnRun } from '../cast/case';
import { runSwing } from '../swing';
import { fliesOf, FLY_WEIGHTS, holdsN, leaderLengthM, profileOf, type Rig, tippetDiameterM, tippetOf } from '../tackle';
import { G, POUND_KG } from '../units';
import { leftAlone } from '../water';
import type { Answer } from './answer';
import { across, answered as ask, BAG, even, feature, fly, OPEN, request, river, tied } from './waters.testing';

/**
 * Situations of the trade with the whole advice run over them: what a good guide would nod at, what he would not, and the reading
 * that flips it (handbook of the trade; common practice, no source).
 */
const GLIDE = river(even(24, 0, 0.5, 1.1, 1.5, 1.2, 0), 0.8);
const RIFFLE = river(
  [0, 30, 60].map((x) => across(x, 22, 0, 0.4, 0.55, 0.6, 0.5, 0)),
  0.8,
);
const SKINNY = river(even(18, 0, 0.3, 0.4, 0.45, 0.35, 0), 0.9, {
  bed: 'boulders',
  features: [12, 22, 32].map((x, i) => feature('boulder', x, 6 + 2 * i, 1.5, 1.5)),
});
const POOL = river(
  [
    across(0, 26, 0, 0.8, 1.4, 1.6, 1, 0),
    across(15, 28, 0, 1.2, 2.2, 2.6, 1.8, 0),
    across(40, 28, 0, 1.2, 2.2, 2.8, 1.8, 0),
    across(60, 26, 0, 0.6, 1, 1.2, 0.8, 0),
  ],
  0.16,
);
const WOOD = river(even(22, 0, 0.5, 1, 1.6, 1.9, 0.4), 0.6, {
  features: [feature('log', 25, 19, 5, 1.2), feature('brush', 12, 20.5, 10, 2)],
});
const STREAM = river(even(7, 0, 0.3, 0.5, 0.55, 0.3), 0.6, { features: [feature('cut bank', 20, 6.3, 16, 1)] });
const INSIDE = river(even(26, 0, 0.5, 0.8, 1.3, 1.9, 0.5), 0.9, { bend: { turns: 'left', radiusM: 50 } });

const MURK = { visibilityM: 0.4, colour: 'grey-brown', levelM: 0.3 } as const;
const LOW_CLEAR = { visibilityM: 3, colour: 'clear', levelM: -0.15, sky: 'bright', waterTempC: 14 } as const;
const SEA_TROUT = { quarry: 'sea trout' } as const;
const STEELHEAD = { quarry: 'steelhead' } as const;

const rigOf = (a: Answer): Rig => a.served!.setup.rig;
const angles = (a: Answer) => a.served!.stands.map((t) => t.plan.angleDeg);
const median = (list: readonly number[]) => [...list].sort((x, y) => x - y)[Math.floor(list.length / 2)]!;
const takesDown = ({ tip }: Rig) => (tip ? tip.lengthM * tip.sinkRateMps : 0);
const flips = (a: Answer) => a.flips.map((f) => `${f.when}: ${f.then}`).join('\n');
const dark = (rig: Rig) => ['black', 'black and blue', 'purple'].includes(rig.fly.colour);
const soft = (rig: Rig) => fliesOf(rig).every((f) => profileOf(f) === 'sparse');

describe('water and light', () => {
  it('dirty and up: a streamer low, slow and dark, 60 to 70°; as it clears, another fly', () => {
    const a = ask(GLIDE, { reading: MURK, water: SEA_TROUT });
    expect(a.method).toBe('streamer on the swing');
    expect(dark(rigOf(a))).toBe(true);
    expect(rigOf(a).fly.lengthM).toBeGreaterThanOrEqual(0.05);
    expect(median(angles(a))).toBeLessThanOrEqual(80);
    expect(a.why.join(' ')).toMatch(/0\.40 m of sight/);
    expect(flips(a)).toMatch(/It clears to 1\.20 m of sight: /);
  });

  it('size in murk goes by the school: bigger, unless it is said that size hardly matters', () => {
    const usual = ask(GLIDE, { reading: MURK, water: SEA_TROUT });
    const schools = { murkSize: 'size hardly matters' } as const;
    const any = ask(GLIDE, { reading: MURK, water: SEA_TROUT, settings: { schools } });
    expect([usual, any].map((a) => a.school.murkSize)).toEqual(['bigger', 'size hardly matters']);
    expect(rigOf(usual).fly.lengthM).toBeGreaterThanOrEqual(rigOf(any).fly.lengthM);
  });

  it('mud: dark, close in, and the odds told as they are', () => {
    const a = ask(GLIDE, { reading: { visibilityM: 0.1, colour: 'brown soup', levelM: 0.5 } });
    expect(a.method === 'streamer on the swing' || a.method === 'hang').toBe(true);
    expect(dark(rigOf(a))).toBe(true);
    expect(a.served!.chance).toBeLessThan(0.5);
  });

  it('tea is dark but clear: not fished as silt of the same sight', () => {
    const tea = ask(GLIDE, { reading: { ...MURK, colour: 'tea' }, water: SEA_TROUT });
    const silt = ask(GLIDE, { reading: MURK, water: SEA_TROUT });
    expect(silt.why.join(' ')).toMatch(/low, slow and dark/);
    expect(tea.why.join(' ')).not.toMatch(/low, slow and dark/);
    expect(dark(rigOf(silt))).toBe(true);
  });

  it('low and clear: a long leader, small flies, no heavy tip; coloured it is a dark streamer', () => {
    const a = ask(GLIDE, { reading: LOW_CLEAR });
    const rig = rigOf(a);
    expect(takesDown(rig)).toBeLessThan(0.25);
    expect(leaderLengthM(rig.leader)).toBeGreaterThan(rig.tip ? 1.7 : 2.6);
    expect(Math.max(...fliesOf(rig).map((f) => f.lengthM))).toBeLessThanOrEqual(0.05);
    expect(flips(a)).toMatch(/It colours to 0\.50 m of sight: streamer on the swing with the black/);
  });

  it('what wakes in low clear water at dusk hangs on 9 ft that turn it over, not on 12 ft of fine tippet', () => {
    const a = ask(GLIDE, {
      at: Date.UTC(2026, 6, 10, 4),
      reading: { ...LOW_CLEAR, visibilityM: 2, waterTempC: 19, sky: 'dusk' },
    });
    expect(a.method).toBe('wake fly');
    expect(leaderLengthM(rigOf(a).leader)).toBeLessThan(3);
    expect(tippetOf(rigOf(a).leader).diameterM).toBeGreaterThanOrEqual(tippetDiameterM(3));
  });

  it('warm, clear, soft light: a waking fly with no tip; at noon not', () => {
    const clear = { visibilityM: 2.5, colour: 'clear', waterTempC: 13 } as const;
    const dusk = ask(GLIDE, { reading: { ...clear, sky: 'dusk' }, water: STEELHEAD, at: Date.UTC(2026, 8, 10, 18) });
    expect(dusk.method).toBe('wake fly');
    expect(rigOf(dusk).tip).toBeNull();
    expect(dusk.served!.stands.every((t) => t.verdict.pass.depthM < 0.15 || t.chance! < 5)).toBe(true);
    expect(dusk.check.join(' ')).toMatch(/wake/);
    const noon = ask(GLIDE, { reading: { ...clear, sky: 'bright' }, water: STEELHEAD });
    expect(noon.method).not.toBe('wake fly');
    expect(flips(noon)).toMatch(/The light goes: wake fly/);
  });

  it('cold: a streamer on a tip, slow; never a waking fly; the heavier tip where it is deeper', () => {
    const a = ask(GLIDE, { reading: { visibilityM: 1.5, colour: 'blue-green', waterTempC: 4 }, water: STEELHEAD });
    expect(a.method).toBe('streamer on the swing');
    expect(takesDown(rigOf(a))).toBeGreaterThan(0.2);
    expect(a.why.join(' ')).toMatch(/4\.0 °C/);
    const warmer = ask(GLIDE, {
      reading: { visibilityM: 1.5, colour: 'blue-green', waterTempC: 11 },
      water: STEELHEAD,
      settings: { school: 'upper to middle' },
    });
    expect(takesDown(rigOf(warmer))).toBeLessThan(takesDown(rigOf(a)));
  });

  it('too warm: stop comes first', () => {
    const a = ask(STREAM, { reading: { waterTempC: 21.5 } });
    expect(a.cautions[0]).toMatchObject({ level: 'stop', says: expect.stringMatching(/too warm/) });
    expect(ask(STREAM).cautions.some((c) => c.level === 'stop')).toBe(false);
  });
});

describe('kinds of water', () => {
  it('riffle of two feet with insects about: soft hackles at 30 to 60°, on a light line', () => {
    const a = ask(RIFFLE, { seen: ['hatch'], reading: { waterTempC: 13 } });
    expect(a.method).toBe('soft hackles on the swing');
    expect(soft(rigOf(a))).toBe(true);
    expect(rigOf(a).rod.lineNumber).toBe(4);
    for (const angle of angles(a)) expect(angle >= 30 && angle <= 60).toBe(true);
    expect(takesDown(rigOf(a))).toBeLessThan(0.25);
  });

  it('a low clear riffle with insects about: soft hackles; the broken surface hides fish', () => {
    const riffle = river(even(20, 0, 0.35, 0.5, 0.6, 0.5, 0), 0.75);
    const a = ask(riffle, { seen: ['hatch'], reading: { waterTempC: 13, visibilityM: 2, colour: 'clear' } });
    expect(a.method).toBe('soft hackles on the swing');
    expect(soft(rigOf(a))).toBe(true);
  });

  it('skinny water over boulders: nothing heavy; only the pockets', () => {
    const a = ask(SKINNY);
    expect(['upstream', 'soft hackles on the swing']).toContain(a.method);
    expect(takesDown(rigOf(a))).toBeLessThan(0.25);
    expect(fliesOf(rigOf(a)).some((f) => f.weight === 'lead eyes')).toBe(false);
  });

  it('a deep slack pool: drawn or stripped, not swung; with a current it swings', () => {
    const a = ask(POOL, { reading: { sky: 'bright', visibilityM: 2 } });
    expect(['dip and draw', 'strip']).toContain(a.method);
    const swung = ask({ ...POOL, speed: { ...POOL.speed!, surfaceMps: 0.8 } }, { reading: { visibilityM: 2 } });
    expect(swung.method).toMatch(/on the swing/);
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
    expect(on('olive sculpin').mistakes.join(' ')).toMatch(/too heavy for the lie/);
    // A fly that floats above a tip on the stones is no better: what drags is the line.
    expect(on('tan muddler').method).toBe('upstream');
    const swings = on('tan muddler').served!.stands.filter((t) => t.plan.angleDeg <= 90);
    swings.forEach((t) => expect(t.chance!).toBeLessThan(5));
    expect(on('tan muddler').mistakes.join(' ')).toMatch(/too heavy for the lie/);
  });

  it('wood in bright light: 10 lb of tippet, nothing swung through the log', () => {
    const a = ask(WOOD, { reading: { sky: 'bright', visibilityM: 2 } });
    expect(holdsN(rigOf(a))).toBeGreaterThan(0.84 * 10 * POUND_KG * G);
    for (const t of a.served!.stands) if (t.verdict.wood) expect(t.chance).toBe(0);
    expect(a.served!.stands.some((t) => !t.verdict.wood && t.chance! >= 4)).toBe(true);
  });

  it('a cut bank on a small stream: a short rod for one hand, a light fly, no heavy tip', () => {
    const a = ask(STREAM);
    expect(rigOf(a).rod.hands).toBe(1);
    expect(takesDown(rigOf(a))).toBeLessThan(0.25);
    expect(FLY_WEIGHTS[rigOf(a).fly.weight].addedKg).toBeLessThan(5e-4);
    expect(Math.max(...a.served!.stands.map((t) => t.plan.outM))).toBeLessThan(12);
  });

  it('the soft inside of a bend is fished close in with a light line, or given up for a heavy one and said to be', () => {
    const inside = (a: Answer) => a.served!.stands.filter((t) => t.lie.yM < 9);
    const light = tied('single 6', 'floating 6', '', '9 ft to 3X', 'black woolly bugger');
    const a = ask(INSIDE, { water: SEA_TROUT, tiedOn: light, ask: 'only this' });
    expect(inside(a).length).toBeGreaterThan(0);
    for (const t of inside(a)) expect(t.plan.outM).toBeLessThan(10);
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
    expect(a.cautions.map((c) => c.says).join()).toMatch(/a redd in this run/);
  });
});

describe('what was seen', () => {
  it('fish that look and refuse: drift it, or under a float', () => {
    expect(ask(RIFFLE, { seen: ['refusals'] }).method).toBe('drift or float');
    expect(ask(RIFFLE).method).not.toBe('drift or float');
    expect(flips(ask(RIFFLE, { seen: ['hatch'], reading: { waterTempC: 13 } }))).toMatch(
      /Fish look and refuse: drift or float/,
    );
  });

  it('crayfish: match size and motion', () => {
    const a = ask(GLIDE, { seen: ['crayfish'] });
    expect(['strip', 'streamer on the swing', 'dip and draw']).toContain(a.method);
    expect(rigOf(a).fly.family === 'crayfish' || ['olive', 'brown'].includes(rigOf(a).fly.colour)).toBe(true);
    expect(a.why.join(' ')).toMatch(/crayfish/i);
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
    const says = (a: Answer) => a.cautions.map((c) => c.says).join(' ');
    expect(says(ask(RIFFLE, { seen: ['rises'] }))).toMatch(/dry fly/);
    expect(says(ask(RIFFLE, { seen: ['juveniles'] }))).toMatch(/leave/);
    expect(says(ask(RIFFLE))).not.toMatch(/dry fly|leave/);
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
    expect(two.cautions.map((c) => c.says).join(' ')).toMatch(/free hook/);
  });

  it('no weight on flies: none, of all that is offered', () => {
    const rules = { ...OPEN, noAddedWeight: true };
    const on = tied('two-hander 7', 'short head', '10 ft heavy', '4 ft of 12 lb', 'olive sculpin');
    const a = ask(GLIDE, { water: { rules }, tiedOn: on, ask: 'change' });
    for (const rig of [rigOf(a), ...a.changes.map((c) => c.served.setup.rig)])
      expect(fliesOf(rig).some((f) => FLY_WEIGHTS[f.weight].added)).toBe(false);
    expect(a.mistakes.join(' ')).toMatch(/Weighted flies are not allowed/);
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
    expect(a.bring).toMatch(/tip/);
    expect(a.mistakes.join(' ')).toMatch(/rides too high at \d of \d lies.*Only a floating line/);
  });

  it('too heavy in a riffle: lighten, the cheap change first; it is told once, with its number', () => {
    const on = tied('two-hander 7', 'short head', '10 ft heavy', '4 ft of 12 lb', 'olive sculpin');
    const a = ask(RIFFLE, { tiedOn: on, ask: 'change' });
    expect(takesDown(rigOf(a))).toBeLessThan(0.3);
    expect(a.changes[0]!.does).toBe(true);
    expect(a.mistakes.filter((m) => /too heavy for \d of \d/.test(m))).toHaveLength(1);
  });

  it('a hatch begins with a streamer on: soft hackles on the rod in hand are among the changes, cheaper than another rod', () => {
    const on = tied('single 6', 'floating 6', '6 ft sinking leader', '4 ft of 12 lb', 'black woolly bugger');
    const a = ask(GLIDE, { ask: 'change', seen: ['hatch'], tiedOn: on, reading: { waterTempC: 12, visibilityM: 1.5 } });
    const same = a.changes.filter(({ served: { setup } }) => setup.rig.rod.id === on.rodId && soft(setup.rig));
    expect(same.length).toBeGreaterThan(0);
    for (const c of same) expect(c.words).toMatch(/[Tt]ie on .*change the leader to/);
    const other = a.changes.find((c) => c.levers.includes('other rod'));
    for (const c of same) expect(c.costS).toBeLessThan(other?.costS ?? Infinity);
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
    expect(ask(GLIDE, { kit: BAG.filter((k) => k.type !== 'leader') }).why).toEqual([
      'The bag has no leader to tie on.',
    ]);
    const barbed = [...BAG.filter((k) => k.type !== 'fly'), fly('rabbit strip', 'black', { barbless: false })];
    const a = ask(GLIDE, { kit: barbed, water: { rules: { ...OPEN, barbless: true } } });
    expect(a.served).toBeNull();
    expect(a.why[0]).toMatch(/allowed/);
    const dry = ask(river(even(20, 0, 0.05, 0.08, 0.08, 0.05, 0), 1.5), {});
    expect(dry.served).toBeNull();
    expect(dry.why[0]).toMatch(/No water here suits/);
  });

  it('closed water is told first, whatever one would tie on', () => {
    const rules = { ...OPEN, season: { from: '04-01', to: '08-31' }, closedRuns: ['run'] };
    const [first, second] = ask(STREAM, { water: { rules } }).cautions;
    expect([first!.level, second!.level]).toEqual(['stop', 'stop']);
    expect(first!.says).toMatch(/season runs from 1 Apr to 31 Aug/);
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
    expect(a.served!.givesUp.map((g) => g.because)).toEqual(['wood']);
  });

  it('sea trout at dusk in a low clear glide: one hand, a taper, no tip; what is given up is given up for a reason', () => {
    const a = ask(GLIDE, { reading: { ...LOW_CLEAR, waterTempC: 16, sky: 'dusk' }, water: SEA_TROUT });
    const { rod, head, tip } = rigOf(a);
    expect([a.method, rod.hands, head.shape, tip]).toEqual(['wake fly', 1, 'taper', null]);
    const { of, givesUp, stands } = a.served!;
    expect([...givesUp, ...stands].map(({ lie }) => lie.rank).sort()).toEqual(of.map((l) => l.rank).sort());
  });
});
