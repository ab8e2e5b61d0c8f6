import { woodInTheWay } from '../advice';
import { caseOnRun } from '../cast/case';
import { NUMERICS, runSwing } from '../swing';
import { ANY_MEANS, type CastPlan, handsOf, presented, wadeTo } from '../cast';
import { findLies, type LieOptions } from '../lies';
import { finished } from '../maths/work';
import { tracksOf } from '../showing';
import { day, RIG } from '../testing/fixtures';
import { fly } from '../answer/waters.testing';
import { hangAnother, tippetDiameterM, level, type Rig } from '../tackle';
import { buildChannel, type Reading, type Run } from '../water';
import { across, feature, river } from '../water/runs.testing';
import { beatFor, ruleBeat } from './beat';
import { type Covering, coveringOf } from './covering';
import { castSeconds } from './pace';
import { PATIENCES } from './patience';
import { type CoverRequest, ruleFor } from './stands';

/** Even water, as soft hackles like it: a hundred yards, two feet and a little deep, at a stroll. */
const EVEN = river(
  [0, 45, 91].map((x) => across(x, 18, 0.3, 0.55, 0.65, 0.65, 0.6, 0.5, 0)),
  0.7,
  { lengthM: 91 },
);
const SOFT: Rig = {
  ...RIG,
  rod: { type: 'rod', id: 's', name: '9 ft', lengthM: 2.74, hands: 1, lineNumber: 4 },
  head: { type: 'head', id: 'f', name: 'floating', shape: 'taper', lengthM: 12, massKg: 0.0102, sinkRatesMps: [0] },
  tip: null,
  leader: { type: 'leader', id: 'n', name: '9 ft', pieces: level(2.7, tippetDiameterM(4), 'nylon') },
  fly: fly('large soft hackle', 'orange'),
};
const OPTIONS: LieOptions = { quarry: 'rainbow trout', school: 'upper to middle', most: 8 };
const SWING: CastPlan = { xM: 0, yM: 1, outM: 12, angleDeg: 40, mendM: 0, rod: 'follow' };

function asked(run: Run, o: Partial<CoverRequest> & { readonly on?: Partial<Reading> } = {}): CoverRequest {
  const { on, ...rest } = o;
  const reading = day({ runId: run.id, ...on });
  const channel = buildChannel(run, reading);
  const options = rest.options ?? OPTIONS;
  const lies = findLies(run, channel, reading, options);
  return { run, channel, lies, reading, options, rig: SOFT, means: ANY_MEANS, way: SWING, special: [], ...rest };
}
const cover = (...o: Parameters<typeof asked>): Covering => finished(coveringOf(asked(...o)));
const once = (c: Covering, minutes: number) => beatFor(c, minutes, 1).shares.once;

describe('the casts of a run', () => {
  const even = cover(EVEN);

  it('goes whole from a worker to a page (structured clone, HTML Living Standard 2.7)', () => {
    expect(() => structuredClone(even)).not.toThrow();
  });

  it('more time never shows less, at any patience, nor does the rule', () => {
    for (const p of PATIENCES) {
      const found = [2, 5, 10, 20, 40, 80, 160].map((m) => beatFor(even, m, p));
      found.forEach((b, i) => {
        if (i === 0) return;
        expect(b.shares.once).toBeGreaterThanOrEqual(found[i - 1]!.shares.once);
        expect(b.casts.length).toBeGreaterThanOrEqual(found[i - 1]!.casts.length);
      });
      found.forEach((b, i) => expect(b.minutes).toBeLessThanOrEqual([2, 5, 10, 20, 40, 80, 160][i]!));
    }
    expect(ruleBeat(even, 40, 2).shares.once).toBeGreaterThanOrEqual(ruleBeat(even, 10, 2).shares.once);
  });

  it('shows more than the rule of thumb in the same time', () => {
    for (const m of [10, 25, 50, 70]) expect(once(even, m)).toBeGreaterThan(ruleBeat(even, m, 2).shares.once);
  });

  it('a hundred yards of soft-hackle water is covered in about 25 minutes (common practice, no source)', () => {
    // With a short line and two paces a cast; here every swing is fished to its end, which takes longer than a brisk step.
    const short = cover(EVEN, { means: { ...ANY_MEANS, longestM: 10 }, way: { ...SWING, outM: 10 } });
    const { casts, minutes } = ruleBeat(short, 180, 2);
    expect(casts.at(-1)!.plan.xM).toBeGreaterThan(88);
    expect(minutes).toBeGreaterThan(20);
    expect(minutes).toBeLessThan(45);
  });

  it('is patient where it is asked to be: the same time shows less of it, but more of it twice', () => {
    const [search, stay] = [beatFor(even, 60, 1), beatFor(even, 60, 4)];
    expect(stay.shares.twice).toBeGreaterThan(search.shares.twice);
    expect(stay.shares.once).toBeLessThanOrEqual(search.shares.once + 0.01);
  });

  it('takes as long as its casts and its walk, counted by hand', () => {
    const { casts, minutes } = beatFor(even, 20, 2);
    const passes = [0, 1].map((p) => casts.filter((c) => c.pass === p).map((c) => c.plan.xM));
    const ways = passes.filter((xs) => xs.length > 0).map((xs) => Math.max(...xs) - Math.min(...xs));
    const back = ways.length > 1 ? Math.max(...ways) : 0;
    const byHand = casts.reduce((sum, c) => sum + c.seconds, 0) + ways.reduce((a, b) => a + b, 0) / 0.6 + back;
    expect(60 * minutes).toBeCloseTo(byHand, 6);
  });

  const WIDE = river([0, 30, 60].map((x) => across(x, 34, 0.3, 0.5, 0.6, 0.65, 0.7, 0.5, 0)), 0.6); // prettier-ignore
  const wide = () => cover(WIDE, { way: SWING });

  it('is worked down the run, from the bank before anyone wades, near water first', () => {
    const { casts } = beatFor(wide(), 120, 2);
    expect(new Set(casts.map((c) => c.pass))).toEqual(new Set([0, 1]));
    for (let i = 1; i < casts.length; i++) {
      const [a, b] = [casts[i - 1]!, casts[i]!];
      expect(b.pass).toBeGreaterThanOrEqual(a.pass);
      if (a.pass !== b.pass) continue;
      expect(b.plan.xM).toBeGreaterThanOrEqual(a.plan.xM);
      if (a.plan.xM === b.plan.xM) expect(b.plan.outM).toBeGreaterThanOrEqual(a.plan.outM);
    }
    for (const c of casts.filter((x) => x.pass === 0)) expect(c.plan.yM).toBeLessThan(3);
  });

  it('nobody walks back up for a bank that lies below what is waded', () => {
    const all = wide();
    const { casts } = beatFor(
      { ...all, casts: all.casts.filter(({ pass, plan }) => (pass === 0 ? plan.xM > 30 : plan.xM < 33)) },
      120,
      2,
    );
    expect(new Set(casts.map((c) => c.pass))).toEqual(new Set([0, 1]));
    casts.forEach((c, i) => i > 0 && expect(c.plan.xM).toBeGreaterThanOrEqual(casts[i - 1]!.plan.xM));
    expect(casts[0]!.pass).toBe(1);
  });

  it('sends nobody further out than one may wade, nor casts beyond one’s means', () => {
    const means = { ...ANY_MEANS, longestM: 11 };
    const q = asked(EVEN, { means, way: SWING });
    const { casts } = finished(coveringOf(q));
    expect(casts.length).toBeGreaterThan(20);
    for (const { plan } of casts) {
      expect(plan.yM).toBeLessThanOrEqual(wadeTo(q.channel, q.lies, plan.xM, means) + 0.6);
      expect(plan.outM).toBeLessThanOrEqual(11);
    }
  });

  it('is worked up from the tail with a couple of casts a pocket where casts go upstream', () => {
    const way = presented(SWING, 'upstream strip');
    const up = cover(EVEN, { way, rig: { ...RIG, rod: SOFT.rod, head: SOFT.head, tip: null } });
    const { casts } = beatFor(up, 60, 2);
    expect(up.work.direction).toBe('up');
    expect(casts.length).toBeGreaterThan(5);
    casts.forEach((c, i) => i > 0 && expect(c.plan.xM).toBeLessThanOrEqual(casts[i - 1]!.plan.xM));
    expect(casts.every((c) => c.times === 2 && handsOf(c.plan).way === 'upstream strip')).toBe(true);
    const rule = ruleFor(asked(EVEN, { way }));
    expect(rule[0]!.plan.xM).toBe(91);
    expect(rule.at(-1)!.plan.xM).toBeLessThan(2);
  });

  it('fans a slack pool from its head, the long cast first', () => {
    const pool = river(
      [0, 25, 50].map((x) => across(x, 16, 0.4, 1.3, 1.8, 1.8, 1, 0)),
      0.12,
      { lengthM: 50 },
    );
    const way = presented(SWING, 'dip and draw');
    const { casts } = beatFor(cover(pool, { way, rig: RIG }), 60, 2);
    const stand = casts.filter((c) => c.plan.xM === casts[0]!.plan.xM);
    expect(stand.length).toBeGreaterThan(1);
    expect(stand[0]!.plan.outM).toBe(Math.max(...stand.map((c) => c.plan.outM)));
    expect(new Set(casts.map((c) => c.plan.angleDeg)).size).toBeGreaterThan(1);
  });

  it('shows the fly over no redd, and through no wood', () => {
    const redd = { ...EVEN, features: [feature('redd', 40, 8, 12, 5), feature('log', 60, 8, 6, 3)] };
    const swum = cover(redd).casts.flatMap(({ path }) => path);
    expect(swum.length).toBeGreaterThan(100);
    expect(swum.some(([x, y]) => Math.abs(x - 40) < 6 && Math.abs(y - 8) < 2.5)).toBe(false);
    expect(swum.some(([x, y]) => Math.abs(x - 60) < 3 && Math.abs(y - 8) < 1.5)).toBe(false);
  });

  it('nor a second fly through wood that the first goes past', () => {
    const features = [feature('log', 16, 7, 1, 1)];
    const rig = { ...SOFT, droppers: [hangAnother(SOFT, fly('soft-hackle spider', 'brown'))] };
    const q = asked({ ...EVEN, lengthM: 25, features }, { rig });
    const { casts } = finished(coveringOf(q));
    expect(casts.length).toBeGreaterThan(10);
    for (const { plan } of casts) {
      const r = runSwing({ ...caseOnRun(q.channel, rig, plan, []), keepLineS: 0, afterDangleS: 0 }, NUMERICS.coarse);
      expect(tracksOf(r)).toHaveLength(2);
      expect(tracksOf(r).map((way) => woodInTheWay(r, way, features))).toEqual([undefined, undefined]);
    }
  });

  it('steps one pace in murk and cold, two otherwise (common practice, no source)', () => {
    const step = (on: Partial<Reading>) => {
      const [a, b] = ruleFor(asked(EVEN, { on })).slice(-2);
      return b!.plan.xM - a!.plan.xM;
    };
    expect(step({})).toBe(1.5);
    expect(step({ visibilityM: 0.4 })).toBe(0.75);
    expect(step({ waterTempC: 4 })).toBe(0.75);
  });

  it('tells its share as it goes, and ends at the whole', () => {
    const work = coveringOf(asked({ ...EVEN, lengthM: 30 }));
    const shares: number[] = [];
    for (let s = work.next(); !s.done; s = work.next()) shares.push(s.value);
    expect(shares.at(-1)).toBeCloseTo(1, 9);
    shares.forEach((s, i) => i > 0 && expect(s).toBeGreaterThan(shares[i - 1]!));
  });
});

describe('how long a cast takes', () => {
  it('what the swing fishes, the hang, the stripping in and the cast', () => {
    // 30 s of swing, 4 s on the hang, what is beyond 9 m at a metre a second, 6 s to cast.
    expect(castSeconds({ fishing: { toS: 30 } } as Parameters<typeof castSeconds>[0], 12)).toBe(43);
    expect(castSeconds({ fishing: { toS: 30 } } as Parameters<typeof castSeconds>[0], 8)).toBe(40);
    expect(castSeconds({ fishing: null }, 12)).toBe(45);
    expect(castSeconds(null, 12)).toBe(45);
    // On the bed within seconds it hangs up; late in its swing it is lifted off.
    const bed = (toS: number) => castSeconds({ fishing: { fromS: 0, toS, ends: 'bed' } } as never, 8) - toS;
    expect([bed(3), bed(10), bed(20)]).toEqual([35, 22.5, 10]);
  });
});
