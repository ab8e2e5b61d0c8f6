import { ANY_MEANS } from '../cast';
import { fliesOf, isMonoRig, leaderLengthM, profileOf, type Rig } from '../tackle';
import type { Answer } from './answer';
import { rigOf, SEA_TROUT, STEELHEAD, takesDown } from './situations.testing';
import { across, answered as ask, even, feature, river } from './waters.testing';

/** What a good guide says on ordinary days (handbook of the trade; common practice, no source): one rig, where to begin, how to work
 * down the run, or up it. */
const along = (from: number, to: number, by: number) =>
  Array.from({ length: 1 + Math.round((to - from) / by) }, (_, i) => from + i * by);

const STEELHEAD_RUN = river(
  along(0, 90, 15).map((x) => across(x, 32, 0, 0.5, 0.9, 1.3, 1.45, 1.4, 1.1, 0.5, 0)),
  0.95,
);
const TROUT_RUN = river(
  along(0, 48, 12).map((x) => across(x, 18, 0, 0.6, 1, 1.35, 1, 0.5, 0)),
  0.75,
);
const SOFT_RIFFLE = river(
  along(0, 45, 15).map((x) => across(x, 22, 0, 0.35, 0.55, 0.7, 0.6, 0.4, 0)),
  0.8,
  { bed: 'gravel' },
);
const SEA_POOL = river(
  [
    across(0, 20, 0, 0.5, 0.7, 0.8, 0.5, 0),
    across(12, 22, 0, 1, 1.7, 1.9, 1.2, 0),
    across(28, 22, 0, 1.1, 1.8, 2, 1.2, 0),
    across(42, 22, 0, 0.7, 1.1, 1.2, 0.7, 0),
    across(52, 22, 0, 0.4, 0.6, 0.65, 0.4, 0),
  ],
  0.4,
);
const SMALL_STREAM = river(even(6, 0, 0.25, 0.4, 0.5, 0.6, 0.5), 0.6, {
  features: [feature('cut bank', 18, 5.6, 20, 0.8)],
});
const POCKETS = river(
  along(0, 30, 10).map((x) => across(x, 14, 0, 0.35, 0.5, 0.6, 0.5, 0.3, 0)),
  1.2,
  {
    bed: 'boulders',
    features: [
      feature('boulder', 6, 4, 1.2, 1.2),
      feature('boulder', 12, 8, 1.4, 1.2),
      feature('boulder', 18, 5, 1, 1),
    ],
  },
);
const SLACK_POOL = river(
  [
    across(0, 30, 0, 1, 1.6, 1.8, 1.1, 0),
    across(15, 34, 0, 1.6, 2.8, 3, 1.8, 0),
    across(35, 34, 0, 1.6, 2.8, 3, 1.8, 0),
    across(50, 30, 0, 0.8, 1.3, 1.4, 0.8, 0),
  ],
  0.14,
);

const FAIR = { visibilityM: 1, colour: 'green', sky: 'overcast' } as const;
const DIRTY = { visibilityM: 0.45, colour: 'grey-brown', sky: 'overcast', levelM: 0.3 } as const;
const DUSK = { visibilityM: 1.5, colour: 'clear', sky: 'dusk', waterTempC: 13 } as const;
const isDark = ({ fly }: Rig) => ['black', 'black and blue', 'purple'].includes(fly.colour);
/** The run as it is worked: the sections of the way, without casts of their own. */
const worked = (a: Answer) => a.plan.filter((x) => x.lie === null);
const angleOf = (a: Answer) => worked(a)[0]!.plan.angleDeg;
const longestOf = (a: Answer) => Math.max(...worked(a).map((x) => x.longestM));

describe('a good guide on ordinary days', () => {
  it('an even steelhead run at 5 °C: two hands, a tip that sinks, a dark fly of six to eight centimetres, about 60° and a mend', () => {
    const a = ask(STEELHEAD_RUN, { reading: { ...FAIR, waterTempC: 5 }, water: STEELHEAD });
    const rig = rigOf(a);
    expect(a.method).toBe('streamer on the swing');
    expect([rig.rod.hands, isDark(rig), rig.fly.weight]).toEqual([2, true, 'none']);
    expect(takesDown(rig)).toBeGreaterThan(0.2);
    expect(leaderLengthM(rig.leader)).toBeLessThan(1.6);
    expect(rig.fly.lengthM).toBeGreaterThanOrEqual(0.06);
    expect(Math.abs(angleOf(a) - 60)).toBeLessThanOrEqual(15);
    expect(worked(a)[0]!.plan.mendM).toBeGreaterThan(0);
    // The whole run, from the head down.
    expect(worked(a)[0]!.fromM).toBeLessThan(10);
    expect(Math.max(...worked(a).map((x) => x.toM))).toBeGreaterThan(60);
  });

  it('the same, coloured: dark and no smaller, the same tip or a lighter one, 60 to 70°, the whole length of the soft side', () => {
    const cold = ask(STEELHEAD_RUN, { reading: { ...FAIR, waterTempC: 5 }, water: STEELHEAD });
    const a = ask(STEELHEAD_RUN, { reading: { ...DIRTY, waterTempC: 6 }, water: STEELHEAD });
    const rig = rigOf(a);
    expect([a.method, isDark(rig)]).toEqual(['streamer on the swing', true]);
    expect(takesDown(rig)).toBeLessThanOrEqual(takesDown(rigOf(cold)));
    expect(rig.fly.lengthM).toBeGreaterThanOrEqual(0.06);
    expect(Math.abs(angleOf(a) - 65)).toBeLessThanOrEqual(15);
    expect(longestOf(a)).toBeLessThan(16);
    expect(Math.max(...worked(a).map((x) => x.toM)) - worked(a)[0]!.fromM).toBeGreaterThan(50);
  });

  it('the same, low and clear at 14 °C: floating or intermediate, a small fly, square', () => {
    const reading = { visibilityM: 2.5, colour: 'clear', levelM: -0.15, waterTempC: 14, sky: 'bright' } as const;
    const a = ask(STEELHEAD_RUN, { reading, water: STEELHEAD });
    const rig = rigOf(a);
    expect(takesDown(rig)).toBeLessThan(0.2);
    expect(rig.fly.lengthM).toBeLessThanOrEqual(0.045);
    expect(angleOf(a)).toBeGreaterThanOrEqual(80);
  });

  it('a sea-trout pool at dusk: one hand, floating or a slow tip, a slim fly of three to five centimetres, 45 to 70°', () => {
    const a = ask(SEA_POOL, { reading: DUSK, water: SEA_TROUT, at: Date.UTC(2026, 6, 10, 19) });
    const rig = rigOf(a);
    expect([a.method, rig.rod.hands]).toEqual(['streamer on the swing', 1]);
    expect(takesDown(rig)).toBeLessThan(0.25);
    expect(Math.abs(rig.fly.lengthM - 0.04)).toBeLessThan(0.0101);
    expect(Math.abs(angleOf(a) - 57.5)).toBeLessThanOrEqual(12.5);
  });

  it('a tailout at evening: a light tip or none, in the upper half, 45 to 60°, down to the lip', () => {
    const tailout = river(
      [
        across(0, 26, 0, 0.9, 1.5, 1.6, 1, 0),
        across(15, 26, 0, 0.7, 1.1, 1.2, 0.7, 0),
        across(28, 26, 0, 0.5, 0.75, 0.8, 0.5, 0),
        across(36, 26, 0, 0.35, 0.5, 0.55, 0.35, 0),
      ],
      0.5,
    );
    const a = ask(tailout, { reading: DUSK, water: SEA_TROUT, at: Date.UTC(2026, 6, 10, 18) });
    expect(takesDown(rigOf(a))).toBeLessThan(0.25);
    expect(Math.abs(angleOf(a) - 55)).toBeLessThanOrEqual(10);
    const depths = a.served!.stands.map(({ verdict: v }) => v.pass.depthM / v.lie.depthM).sort((x, y) => x - y);
    expect(depths[depths.length >> 1]!).toBeLessThan(0.6);
    // What is cast from the lowest stand swings out over the lip.
    const last = worked(a).at(-1)!;
    expect(last.toM + last.longestM * Math.cos((angleOf(a) * Math.PI) / 180)).toBeGreaterThan(30);
  });

  it('a riffle with insects: two soft hackles, 9 ft and no tip, 30 to 50°, short', () => {
    const a = ask(SOFT_RIFFLE, { reading: { visibilityM: 1.5, colour: 'clear' }, seen: ['hatch'] });
    const rig = rigOf(a);
    expect([a.method, rig.tip, rig.rod.lineNumber]).toEqual(['soft hackles on the swing', null, 4]);
    expect(fliesOf(rig).map(profileOf)).toEqual(['sparse', 'sparse']);
    expect(leaderLengthM(rig.leader)).toBeGreaterThan(2.4);
    expect(Math.abs(angleOf(a) - 40)).toBeLessThanOrEqual(10);
    expect(longestOf(a)).toBeLessThanOrEqual(11);
  });

  it('a trout streamer run: a six, a light tip or a weighted fly; coloured: black, the soft sides, close in', () => {
    const a = ask(TROUT_RUN, { reading: { ...FAIR, waterTempC: 10 } });
    expect(['streamer on the swing', 'strip']).toContain(a.method);
    expect([rigOf(a).rod.hands, rigOf(a).rod.lineNumber]).toEqual([1, 6]);
    expect(takesDown(rigOf(a)) + (rigOf(a).fly.weight === 'none' ? 0 : 0.1)).toBeGreaterThan(0.05);
    const dirty = ask(TROUT_RUN, { reading: { ...DIRTY, waterTempC: 10 } });
    expect([dirty.method, isDark(rigOf(dirty))]).toEqual(['streamer on the swing', true]);
    expect(rigOf(dirty).fly.lengthM).toBeGreaterThanOrEqual(0.05);
    expect(longestOf(dirty)).toBeLessThan(longestOf(a));
  });

  it('a cut bank on a small stream, and pockets: from below, short, no tip, a light fly', () => {
    for (const run of [SMALL_STREAM, POCKETS]) {
      const a = ask(run, { reading: { visibilityM: 1.2, colour: 'clear' } });
      const rig = rigOf(a);
      expect([a.method, rig.tip, rig.rod.hands]).toEqual(['upstream', null, 1]);
      expect(rig.fly.weight).not.toBe('lead eyes');
      expect(longestOf(a)).toBeLessThanOrEqual(11);
      expect(angleOf(a)).toBeGreaterThan(100);
      // The first section is the lowest one.
      expect(worked(a)[0]!.fromM).toBeGreaterThan(worked(a).at(-1)!.toM);
    }
  });

  it('a brook two strides wide: up it from end to end, nearly straight, and not only one cast', () => {
    const brook = river(
      along(0, 24, 8).map((x) => across(x, 2.4, 0, 0.3, 0.35, 0.25, 0)),
      0.5,
    );
    const a = ask(brook, { reading: { visibilityM: 0.8, colour: 'tea' } });
    expect(a.method).toBe('upstream');
    expect(angleOf(a)).toBeGreaterThan(160);
    expect(worked(a)[0]!.fromM - worked(a).at(-1)!.toM).toBeGreaterThan(12);
    expect(a.served!.found).toBeGreaterThan(0.3);
  });

  it('a slack deep pool: counted down, drawn or stripped, with something that sinks', () => {
    const a = ask(SLACK_POOL, { reading: { visibilityM: 1.2, colour: 'green' } });
    expect(['strip', 'dip and draw']).toContain(a.method);
    expect(isMonoRig(rigOf(a))).toBe(false);
    expect(takesDown(rigOf(a)) + (rigOf(a).fly.weight === 'none' ? 0 : 0.1)).toBeGreaterThan(0);
    expect(worked(a)[0]!.plan.hands!.countS).toBeGreaterThan(0);
  });

  it('a beginner or a child: one fly of no weight, a floating line, no tip, a swing that a 9 m cast covers', () => {
    const means = { ...ANY_MEANS, longestM: 9, wadeM: 0.5, children: true };
    const a = ask(SOFT_RIFFLE, { reading: { visibilityM: 1.2, colour: 'clear' }, means });
    const rig = rigOf(a);
    expect(['soft hackles on the swing', 'streamer on the swing']).toContain(a.method);
    expect([rig.tip, rig.droppers, rig.fly.weight, rig.head.shape]).toEqual([null, [], 'none', 'taper']);
    expect(longestOf(a)).toBeLessThanOrEqual(9);
  });
});
