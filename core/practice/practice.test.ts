import fc from 'fast-check';
import { findLies } from '../lies';
import { normal, seeded } from '../maths';
import { buildChannel, waterAt } from '../water';
import { coarseCut } from '../water/channel';
import { froude } from '../water/froude';
import { KINDS_OF_WATER } from '../water/glance';
import { boxOf, doubtOf, errorsOf, eyeOf } from './eye';
import { inventedWater } from './invented';
import { markLies, markLuck, markNumber, markOf } from './marks';
import { GAME_KINDS, GRADES, type Played, ROUND_KINDS, SURENESS, type Sureness } from './played';
import { type LiesRound, type LuckRound, roundOf } from './rounds';
import type { TipRound } from './tried';

describe('invented water', () => {
  it('is the same for the same seed, of every kind, and no two seeds are alike', () => {
    expect(inventedWater(7, 'hard')).toEqual(inventedWater(7, 'hard'));
    const all = Array.from({ length: 60 }, (_, i) => inventedWater(i + 1, 'middling'));
    expect(new Set(all.map((w) => w.kind)).size).toBe(KINDS_OF_WATER.length);
    expect(new Set(all.map((w) => JSON.stringify(w.run.sections))).size).toBe(60);
  });

  it('can flow: it is whole, the same water passes every row, and fish hold in it (property)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.constantFrom(...GRADES), (seed, grade) => {
        const { run, reading, quarry, school } = inventedWater(seed, grade);
        const c = buildChannel(run, reading, coarseCut(run));
        expect([...c.h, ...c.u, ...c.v].every(Number.isFinite)).toBe(true);
        const flows = Array.from({ length: c.nx }, (_, i) => {
          let q = 0;
          for (let j = 0; j < c.ny; j++) q += c.h[i * c.ny + j]! * c.u[i * c.ny + j]! * c.dy;
          return q;
        });
        expect(Math.max(...flows) / Math.min(...flows)).toBeLessThan(1.15);
        // Trout rivers are subcritical but for a few cells.
        const fast = [...c.h].filter((h, k) => h > 0.3 && froude(c.u[k]!, h) > 1).length;
        expect(fast / c.h.length).toBeLessThan(0.1);
        expect(findLies(run, c, reading, { quarry, school, most: 8 }).length).toBeGreaterThan(0);
      }),
      { seed: 3, numRuns: 40 },
    );
  });

  it('of a thousand seeds every one can be drawn: sections wet and in order, what stands in the river, some depth to fish', () => {
    const kinds = new Set<string>();
    for (let seed = 1; seed <= 1000; seed++) {
      const { kind, run, reading } = inventedWater(seed, GRADES[seed % 3]!);
      kinds.add(kind!);
      run.sections.forEach((s, i) => {
        if (i > 0) expect(s.xM).toBeGreaterThan(run.sections[i - 1]!.xM);
        expect(s.points.every((p, j) => p.depthM >= 0 && (j === 0 || p.yM > s.points[j - 1]!.yM))).toBe(true);
        expect(Math.max(...s.points.map((p) => p.depthM)) + reading.levelM).toBeGreaterThan(0.1);
      });
      for (const f of run.features) expect(f.xM >= 0 && f.xM <= run.lengthM && Number.isFinite(f.yM)).toBe(true);
      expect(reading.visibilityM).toBeGreaterThan(0.2);
    }
    expect(kinds.size).toBe(KINDS_OF_WATER.length);
  });

  it('a plain day is an ordinary one: level normal, neither cold nor dirty', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const { reading } = inventedWater(seed, 'plain');
      expect(reading.levelM).toBe(0);
      expect(reading.waterTempC).toBeGreaterThanOrEqual(10);
      expect(reading.visibilityM).toBeGreaterThan(1);
    }
  });
});

describe('rounds', () => {
  it.each(ROUND_KINDS)('%s: the same for the same seed, of its kind', (kind) => {
    const [one, other] = [
      roundOf(kind, { seed: 11, grade: 'middling' }),
      roundOf(kind, { seed: 11, grade: 'middling' }),
    ];
    expect(one.kind).toBe(kind);
    expect(JSON.stringify(one)).toBe(JSON.stringify(other));
  });

  it('a number is asked where there is water, and what is told is not the answer', () => {
    for (const kind of ['depth', 'speed', 'hang'] as const)
      for (let seed = 1; seed <= 4; seed++) {
        const r = roundOf(kind, { seed: 100 * seed, grade: 'plain' });
        if (r.kind !== 'depth' && r.kind !== 'speed' && r.kind !== 'hang') throw new Error(r.kind);
        expect(r.truth).toBeGreaterThan(0.04);
        const told = 'value' in r.told ? r.told.value : r.told.depthM;
        expect(Math.abs(Math.log(told / r.truth))).toBeGreaterThan(0.1);
      }
  });

  it('what a float tells is the surface: faster than the water under it by the law of the vertical', () => {
    const r = roundOf('speed', { seed: 100, grade: 'plain' });
    if (r.kind !== 'speed') throw new Error(r.kind);
    const { channel } = r.survey;
    const mean = waterAt(channel, r.at.xM, r.at.yM).speedMps;
    expect(r.truth / mean).toBeCloseTo(1 + channel.profile.m, 6);
    expect(r.truth).toBeGreaterThan(1.05 * mean);
  });

  it('tips: a heavier one never passes higher; one of them is clearly better than another', () => {
    let short = 0;
    for (let seed = 1; seed <= 6; seed++) {
      const { options, lie } = roundOf('tip', { seed: 40 * seed, grade: 'plain' }) as TipRound;
      const passing = options.filter((t) => t.verdict.fit !== 'not fishing' && t.verdict.fit !== 'not reached');
      const shown = options.map((t) => t.verdict.showing);
      expect(Math.max(...shown) - Math.min(...shown)).toBeGreaterThanOrEqual(0.15);
      // Along a long lie the moment that counts may be another with another tip.
      if (lie.lengthM > 6) continue;
      short++;
      passing.forEach((t, i) => {
        if (i > 0) expect(t.verdict.pass.depthM).toBeGreaterThan(passing[i - 1]!.verdict.pass.depthM - 0.06);
      });
    }
    expect(short).toBeGreaterThan(0);
  });

  it('luck: of many rounds that are said to be so sure, about so many come out so', () => {
    const bins = new Map<number, { n: number; better: number; said: number }>();
    for (let seed = 1; seed <= 600; seed++) {
      const r = roundOf('luck', { seed, grade: 'plain' }) as LuckRound;
      const bin = Math.min(3, Math.floor(4 * r.chance));
      const b = bins.get(bin) ?? { n: 0, better: 0, said: 0 };
      bins.set(bin, { n: b.n + 1, better: b.better + (r.aIsBetter ? 1 : 0), said: b.said + r.chance });
    }
    for (const { n, better, said } of bins.values()) expect(Math.abs(better / n - said / n)).toBeLessThan(0.12);
  });

  it('says so where it is asked for an answer of another kind', () => {
    const luck = roundOf('luck', { seed: 1, grade: 'plain' });
    expect(() => markOf(luck, { kind: 'choice', choice: 0 })).toThrow('a choice is no answer to a luck round');
    expect(markOf(luck, { kind: 'luck', chance: 0.5 }).marks).toBe(75);
  });
});

describe('marks', () => {
  const lies = roundOf('lies', { seed: 5, grade: 'plain' }) as LiesRound;

  it('whoever knows gets all of them, in every kind', () => {
    expect(markLies(lies, lies.survey.lies.slice(0, 3)).marks).toBeCloseTo(100, 6);
    expect(markNumber(0.8, 0.8, 'sure')).toEqual({ marks: 100, off: 0, held: true });
    expect(markLuck({ aIsBetter: true } as LuckRound, 1).marks).toBe(100);
    expect(markLuck({ aIsBetter: true } as LuckRound, 0).marks).toBe(0);
  });

  it('a guesser gets what chance gives: places thrown at the water far less than whoever knows', () => {
    const rand = seeded(9);
    const { run } = lies.water;
    const widthM = run.sections[0]!.points.at(-1)!.yM;
    const place = () => ({ xM: run.lengthM * rand(), yM: widthM * rand() });
    let sum = 0;
    for (let i = 0; i < 300; i++) sum += markLies(lies, [place(), place(), place()]).marks;
    expect(sum / 300).toBeLessThan(55);
    expect(markLies(lies, []).marks).toBe(0);
  });

  it('nearer is never less, and one lie counts once', () => {
    const [best] = lies.survey.lies;
    let before = 101;
    for (const off of [0, 1, 2, 4, 8]) {
      const { marks } = markLies(lies, [{ xM: best!.xM, yM: best!.yM + best!.widthM / 2 + off }]);
      expect(marks).toBeLessThanOrEqual(before + 1e-9);
      before = marks;
    }
    const twice = markLies(lies, [best!, best!]).marks;
    expect(twice).toBeLessThan(markLies(lies, lies.survey.lies.slice(0, 2)).marks + 1e-9);
  });

  it('numbers: the interval score of Gneiting & Raftery (2007) is best in the mean for whoever says how sure he is', () => {
    // Three anglers whose errors spread by 6, 16 and 40 %: each is best off with what four in five of his guesses keep to.
    const rand = seeded(12);
    for (const [spread, honest] of [
      [0.06, 'sure'],
      [0.16, 'fairly'],
      [0.4, 'a guess'],
    ] as const) {
      const score = Object.fromEntries(Object.keys(SURENESS).map((s) => [s, 0])) as Record<Sureness, number>;
      for (let i = 0; i < 2000; i++) {
        const value = Math.exp(spread * normal(rand));
        // The score itself is proper; marks are a falling function of it.
        for (const s of Object.keys(SURENESS) as Sureness[])
          score[s] += -Math.log2(markNumber(1, value, s).marks / 100);
      }
      const least = (Object.keys(score) as Sureness[]).sort((a, b) => score[a] - score[b])[0];
      expect(least).toBe(honest);
    }
    expect(markNumber(1, 1.05, 'sure').held).toBe(true);
    expect(markNumber(1, 1.2, 'sure').held).toBe(false);
    expect(markNumber(1, 1.2, 'sure').marks).toBeLessThan(markNumber(1, 1.05, 'sure').marks);
    expect(markNumber(1, 2, 'sure').marks).toBeLessThan(markNumber(1, 2, 'a guess').marks);
  });

  it('a chance: the score of Brier (1950) is best in the mean for whoever says what he believes', () => {
    const mean = (told: number, p: number) =>
      p * markLuck({ aIsBetter: true } as LuckRound, told).marks +
      (1 - p) * markLuck({ aIsBetter: false } as LuckRound, told).marks;
    for (const p of [0.1, 0.35, 0.5, 0.85])
      for (const told of [0, 0.2, 0.5, 0.7, 1]) expect(mean(p, p)).toBeGreaterThanOrEqual(mean(told, p) - 1e-9);
  });
});

describe('one’s eye', () => {
  const played = (n: number, o: Partial<Played> = {}): Played => ({
    id: `p${n}`,
    at: n * 3_600_000,
    kind: 'depth',
    marks: 80,
    ...o,
  });

  it('a question comes back later each time it was answered well, at once after it went wrong (Leitner 1972)', () => {
    const box = (...marks: number[]) => boxOf(marks.map((m) => ({ marks: m })));
    expect([box(), box(80), box(80, 80), box(80, 60), box(80, 80, 40), box(...Array(9).fill(90))]).toEqual([
      0, 1, 2, 1, 0, 5,
    ]);
    const due = (marks: number) => eyeOf([played(1, { marks })]).find((e) => e.kind === 'depth')!.dueAt - 3_600_000;
    expect(due(80)).toBe(86_400_000);
    expect(due(20)).toBe(0);
  });

  it('what is due first comes first: what was never played, then what went wrong', () => {
    const all = eyeOf([played(1), played(2, { kind: 'speed', marks: 10 }), played(3, { kind: 'tip' })]);
    const kinds = all.map((e) => e.kind);
    expect(kinds.slice(-3)).toEqual(['speed', 'depth', 'tip']); // played badly: due at once; well: later
    expect(new Set(kinds)).toEqual(new Set(GAME_KINDS));
    expect(all[0]).toMatchObject({ played: 0, marks: null, bias: null, held: null });
  });

  it('finds a bias that is more than chance, and how often what was said held', () => {
    const rand = seeded(1);
    const rounds = (mean: number) =>
      Array.from({ length: 20 }, (_, i) => played(i, { off: mean + 0.1 * normal(rand), held: i % 2 === 0 }));
    const eye = (mean: number) => eyeOf(rounds(mean)).find((e) => e.kind === 'depth')!;
    expect(eye(Math.log(1.2))).toMatchObject({ biased: true, held: 0.5 });
    expect(eye(Math.log(1.2)).bias).toBeCloseTo(1.2, 1);
    expect(eye(0).biased).toBe(false);
    expect(eyeOf(rounds(0.2).slice(0, 4)).find((e) => e.kind === 'depth')).toMatchObject({ bias: null, biased: false });
  });

  it('how far off numbers are by and by, and how often ranges held by how sure one was', () => {
    const round = (at: number, off: number, sure: Sureness, held: boolean): Played => ({
      ...{ id: String(at), at, kind: 'depth', marks: 50, off, sure, held },
    });
    const rounds = Array.from({ length: 12 }, (_, i) =>
      round(i, (i % 2 ? 1 : -1) * (i < 7 ? 0.4 : 0.1), i < 6 ? 'sure' : 'a guess', i >= 5),
    );
    const errors = errorsOf([...rounds].reverse());
    expect(errors).toHaveLength(2);
    expect(errors[0]).toBeCloseTo(Math.expm1(0.4), 6);
    expect(errors[1]).toBeCloseTo(Math.expm1(0.1), 6);
    expect(errorsOf(rounds.slice(0, 9))).toEqual([]);
    expect(doubtOf(rounds)).toEqual([
      { sure: 'sure', rounds: 6, held: 1 / 6 },
      { sure: 'fairly', rounds: 0, held: null },
      { sure: 'a guess', rounds: 6, held: 1 },
    ]);
  });
});
