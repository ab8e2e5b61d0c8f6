import { day, RUN, some } from '../testing/fixtures';
import { buildChannel, type Run } from '../water';
import { across } from '../water/runs.testing';
import { movedLie, bandOf } from './band';
import { findLies, scoreAt } from './find';
import { shaded, shadeOf } from './light';
import { sustainedMps, temperatureSuits } from './suitability';
import { sureOf } from './sure';
import type { FishLie, LieOptions } from './types';

const options: LieOptions = { quarry: 'brown trout', school: 'near the bed', most: 6 };
const even: Run = {
  ...RUN,
  features: [],
  sections: [0, 30, 60].map((x) => across(x, 25, 0, 0.5, 0.7, 0.7, 0.5, 0)),
  speed: { surfaceMps: 0.5, xM: 30, yM: 12 },
};
const lies = (run: Run, reading = day(), o: Partial<LieOptions> = {}): FishLie[] =>
  findLies(run, buildChannel(run, reading), reading, { ...options, ...o });
const mean = (list: FishLie[], of: (l: FishLie) => number) =>
  list.reduce((s, l) => s + l.score * of(l), 0) / list.reduce((s, l) => s + l.score, 0);

describe('shade', () => {
  const run = { trees: { nearM: 10, farM: 6 }, bank: 'left', bearingDeg: 180 } as const;

  it('is as long as the tree is high at 45°, cast away from the sun (plane geometry)', () => {
    // Flowing south, on its left (east) bank: the morning sun in the east throws the near trees' shade over the water.
    const morning = shadeOf(run, { altitudeDeg: 45, azimuthDeg: 90 });
    expect(morning.nearM).toBeCloseTo(10, 9);
    expect(morning.farM).toBe(0);
    const evening = shadeOf(run, { altitudeDeg: 45, azimuthDeg: 270 });
    expect(evening.nearM).toBe(0);
    expect(evening.farM).toBeCloseTo(6, 9);
    expect(shadeOf(run, { altitudeDeg: 30, azimuthDeg: 90 }).nearM).toBeCloseTo(10 * Math.sqrt(3), 9);
  });

  it('is nothing with the sun along the river, and everything with it down', () => {
    expect(shadeOf(run, { altitudeDeg: 40, azimuthDeg: 180 }).nearM).toBeCloseTo(0, 9);
    for (const down of [0, -3, -40])
      expect(shadeOf(run, { altitudeDeg: down, azimuthDeg: 90 })).toEqual({ nearM: Infinity, farM: Infinity });
    expect(shaded({ nearM: 4, farM: 0 }, 3, 20)).toBe(true);
    expect(shaded({ nearM: 4, farM: 0 }, 5, 20)).toBe(false);
  });

  it('draws fish under it on a bright day; without trees they have no reason to be there', () => {
    const sun = { altitudeDeg: 45, azimuthDeg: 90 };
    const bright = day({ sky: 'bright' });
    const wooded = mean(lies({ ...even, trees: { nearM: 9, farM: 0 } }, bright, { sun }), (l) => l.yM);
    const bare = mean(lies(even, bright, { sun }), (l) => l.yM);
    expect(wooded).toBeLessThan(bare - 1);
    const reasons = lies({ ...even, trees: { nearM: 9, farM: 0 } }, bright, { sun }).flatMap((l) => l.reasons);
    expect(reasons).toContain('shade');
  });
});

describe('situations of light, size and place (common practice, no source, unless one is named)', () => {
  it('dusk: to the edges and the tailout; by day not', () => {
    const dusk = lies(even, day({ sky: 'dusk' }), { quarry: 'sea trout' });
    const noon = lies(even, day(), { quarry: 'sea trout' });
    const tail = (list: FishLie[]) => mean(list, (l) => Number(l.xM > 45));
    expect(tail(dusk)).toBeGreaterThan(tail(noon));
    const o = { ...options, quarry: 'sea trout' as const };
    const edgeOverMiddle = (reading: ReturnType<typeof day>) => {
      const c = buildChannel(even, reading);
      return scoreAt(even, c, reading, o, 30, 4).score / scoreAt(even, c, reading, o, 30, 12.5).score;
    };
    expect(edgeOverMiddle(day({ sky: 'dusk' }))).toBeGreaterThan(1.3 * edgeOverMiddle(day()));
    expect(dusk.some((l) => l.reasons.includes('tailout at dusk'))).toBe(true);
  });

  it('high and dirty, two schools: to the margins, or out and feeding', () => {
    const muddy = day({ levelM: 0.5, visibilityM: 0.2, colour: 'brown soup' });
    const bank = (flood: LieOptions['flood']) =>
      mean(lies(even, muddy, { quarry: 'sea trout', flood }), (l) => Math.min(l.yM, 25 - l.yM));
    expect(bank('to the margins')).toBeLessThan(bank('out and feeding'));
    expect(bank(undefined)).toBe(bank('to the margins'));
  });

  it('migrants rest on the soft inside of a bend; on the straight they need not', () => {
    const box: Run = {
      ...even,
      sections: even.sections.map((s) => ({
        ...s,
        points: s.points.map((p) => ({ ...p, depthM: p.depthM > 0 ? 1 : 0 })),
      })),
    };
    const bend: Run = { ...box, bend: { turns: 'right', radiusM: 60 } }; // read from the left: the far side is inside
    const inside = (run: Run) => mean(lies(run, day(), { quarry: 'sea trout' }), (l) => Number(l.yM > 25 * (2 / 3)));
    expect(inside(bend)).toBeGreaterThan(inside(box));
    expect(lies(bend, day(), { quarry: 'sea trout' }).flatMap((l) => l.reasons)).toContain('inside of the bend');
  });

  it('beside a plunge: slow water next to the jet, and cover', () => {
    const plunge = { id: 'p', kind: 'plunge' as const, xM: 20, yM: 12, lengthM: 2, widthM: 4 };
    const near = (run: Run) => lies(run, day()).filter((l) => l.xM > 20 && l.xM < 29 && Math.abs(l.yM - 12) < 4);
    expect(near({ ...even, features: [plunge] }).some((l) => l.reasons.includes('plunge'))).toBe(true);
    expect(near(even).some((l) => l.reasons.includes('plunge'))).toBe(false);
  });

  it('warm: up to the head with air in it; cool: not', () => {
    const x = (waterTempC: number) => {
      const [best] = lies(even, day({ waterTempC }), { quarry: 'rainbow trout' });
      return best!.xM;
    };
    expect(x(18)).toBeLessThan(x(11));
  });

  it('large fish lie deeper than small ones', () => {
    const shelving: Run = {
      ...even,
      sections: even.sections.map((s) => ({
        ...s,
        points: [0, 0.3, 0.6, 1, 1.5, 0].map((depthM, i) => ({ yM: 5 * i, depthM })),
      })),
    };
    const depth = (size: 'small' | 'large') => mean(lies(shelving, day(), { size }), (l) => l.depthM);
    expect(depth('large')).toBeGreaterThan(depth('small'));
  });

  it('large trout cruise a deep slack pool: a beat; with a current they hold stations', () => {
    const pool: Run = {
      ...even,
      sections: even.sections.map((s) => ({ ...s, points: s.points.map((p) => ({ ...p, depthM: 3 * p.depthM })) })),
    };
    const slack = lies({ ...pool, speed: { surfaceMps: 0.12, xM: 30, yM: 12 } });
    expect(slack.some((l) => l.kind === 'beat' && l.reasons.some((r) => r.includes('patrol')))).toBe(true);
    expect(lies(pool).every((l) => l.kind === 'station')).toBe(true);
    expect(lies(pool, day(), { quarry: 'steelhead' }).every((l) => l.kind === 'rest')).toBe(true);
  });

  it('says the side the fly should come from: out of the fast water', () => {
    const shelf: Run = {
      ...even,
      sections: even.sections.map((s) => ({
        ...s,
        points: [0, 0.5, 0.6, 0.8, 1.4, 0].map((depthM, i) => ({ yM: 5 * i, depthM })),
      })),
    };
    for (const l of some(lies(shelf, day(), { quarry: 'sea trout' }).filter((q) => q.yM < 15)))
      expect(l.from).toBe('far side');
  });

  it('names fish that may wait by a redd, and still ranks no redd', () => {
    const redd = { id: 'q', kind: 'redd' as const, xM: 30, yM: 6, lengthM: 3, widthM: 3 };
    const found = lies({ ...even, features: [redd] }, day(), { quarry: 'sea trout' });
    expect(found.some((l) => l.staged)).toBe(true);
    expect(found.every((l) => Math.abs(l.xM - 30) > 2 || Math.abs(l.yM - 6) > 2)).toBe(true);
    expect(lies(even).every((l) => !l.staged)).toBe(true);
    // Seen to spawn, but not where: fish on water that would do for a redd may be waiting, those in deep water are not.
    const spawning = lies(even, day({ seen: ['spawning fish'] }));
    expect(spawning.some((l) => l.staged)).toBe(true);
    for (const l of spawning) expect(l.staged).toBe(l.depthM >= 0.15 && l.depthM <= 0.7 && l.speedMps >= 0.2);
  });

  it('asks nobody to swim faster at the bed than a fish of its size can keep up (36.2·FL^0.19 cm/s, from memory)', () => {
    expect(sustainedMps(0.2)).toBeCloseTo(0.64, 2);
    expect(sustainedMps(0.3)).toBeCloseTo(0.691, 2);
    expect(sustainedMps(0.4)).toBeCloseTo(0.73, 2);
  });

  it('feeds most between 7 and 17 °C (Raleigh and others 1984, 1986; from memory)', () => {
    for (const t of [7, 12, 17]) expect(temperatureSuits('rainbow trout', t)).toBeGreaterThanOrEqual(0.7);
    expect(temperatureSuits('brown trout', 2)).toBeLessThan(0.3);
    expect(temperatureSuits('brown trout', 23)).toBeLessThan(0.2);
  });
});

describe('how sure', () => {
  const c = buildChannel(RUN, day());
  const found = findLies(RUN, c, day(), options);
  const times = (spread: number) =>
    sureOf(RUN, { ...c, speedSpread: spread, depthSpread: spread }, day(), options, found).map(
      (l) => l.foundAgain!.times,
    );

  it('is repeatable, told in eighths, and less with rougher readings', () => {
    expect(times(0.2)).toEqual(times(0.2));
    expect(times(0.2).every((n) => Number.isInteger(n) && n >= 0 && n <= 8)).toBe(true);
    expect(times(0.02)[0]!).toBeGreaterThanOrEqual(times(0.8)[0]!);
    expect(times(0.02)[0]).toBeGreaterThanOrEqual(6);
  });

  it('says that it guesses where the water is alike, and not where something stands in it', () => {
    const alike = findLies(even, buildChannel(even, day()), day(), { ...options, quarry: 'sea trout' });
    for (const l of some(alike)) expect(l.guess).toBe('alike');
  });
});

describe('a lie moved by hand', () => {
  it('takes the water of its new place, and what is wanted of a fly there', () => {
    const c = buildChannel(RUN, null);
    const [lie] = findLies(RUN, c, null, options);
    const moved = movedLie(lie!, c, 30, 15);
    expect(moved).toMatchObject({ rank: lie!.rank, xM: 30, yM: 15 });
    expect(moved.depthM).toBeCloseTo(1.5, 1);
    expect(moved.band).toEqual(bandOf(lie!.willing, moved.depthM, 'sunk'));
    expect(moved.band.topM).not.toBe(lie!.band.topM);
  });
});
