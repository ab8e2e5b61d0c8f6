import { DAY_MS, HOUR_MS } from '../units';
import { EMPTY_TALLY } from '../logbook';
import { OWN, restedOn, seasonOf, type SeasonOuting } from './season';

const at = (month: number, day: number, year = 2026) => new Date(year, month, day, 12).getTime();
/** A day out with fish of some kinds. */
const out = (when: number, ...species: (string | null)[]): SeasonOuting => ({
  startedAt: when,
  log: {
    tally: { ...EMPTY_TALLY, takes: species.length + 1 },
    fish: species.map((s) => ({ take: { at: when, fish: s === null ? null : { species: s } } })) as never,
  },
});
const many = (n: number, species: string) => Array.from({ length: n }, () => species);
const RULES = { season: { from: '04-16', to: '09-30' } } as never;

describe('the season of a water', () => {
  it('is counted by the month, all years together, with what the rules leave open', () => {
    const { months, fish } = seasonOf(
      [out(at(5, 3), 'sea trout', 'brown trout', 'sea trout'), out(at(5, 3)), out(at(5, 9, 2024), null), out(at(7, 1))],
      RULES,
    );
    expect(fish).toBe(4);
    expect(months[5]).toEqual({
      ...{ month: 5, open: 'all', days: 2, takes: 7 },
      fish: [
        { species: 'sea trout', n: 2 },
        { species: 'brown trout', n: 1 },
        { species: 'fish', n: 1 },
      ],
    });
    expect([2, 3, 4, 8, 9].map((m) => months[m]!.open)).toEqual(['none', 'part', 'all', 'all', 'none']);
    expect(seasonOf([], null).months.every((m) => m.open === null)).toBe(true);
  });

  it('is the shortest stretch of months with most of the fish, over the turn of the year too; few tell none', () => {
    const best = (...outings: SeasonOuting[]) => seasonOf(outings, null).best;
    expect(best(out(at(8, 1), ...many(4, 'x')), out(at(9, 1), ...many(4, 'x')), out(at(4, 1), 'x'))).toEqual({
      ...{ from: 8, months: 2, fish: 8 },
    });
    expect(best(out(at(11, 1), ...many(5, 'x')), out(at(0, 1, 2025), ...many(4, 'x')))).toMatchObject({
      ...{ from: 11, months: 2 },
    });
    expect(best(out(at(8, 1), ...many(7, 'x')))).toBeNull();
    expect(best(...Array.from({ length: 12 }, (_, m) => out(at(m, 1), 'x')))).toBeNull();
  });
});

describe('whether a water was rested', () => {
  const NOW = at(8, 20);
  /** A rise of half a metre that was highest so many days ago. */
  const gauge = (daysAgo: number) =>
    Array.from({ length: 24 * 30 }, (_, h) => {
      const t = NOW - (24 * 30 - h) * HOUR_MS;
      const days = (t - (NOW - daysAgo * DAY_MS)) / DAY_MS;
      return { at: t, stageM: 1 + 0.5 * Math.exp(-(days * days) / 0.3), flowM3s: NaN, tempC: NaN };
    });
  const days = [2, 6].map((n) => ({ startedAt: NOW - n * DAY_MS }));
  const said = [
    { at: NOW - 2 * DAY_MS, source: 'the warden', fished: true },
    { at: NOW - 3 * DAY_MS, source: 'the warden', fished: false },
  ];

  it('counts from the last freshet, by one’s own log and word of mouth, each day once', () => {
    const rested = restedOn(gauge(4), undefined, days, said, NOW, NOW);
    expect(rested.freshetDays).toBe(4);
    expect(rested.fished).toEqual([{ day: '2026-09-18', who: [OWN, 'the warden'] }]);
    expect(restedOn(gauge(7), undefined, days, said, NOW, NOW).fished.map((f) => f.day)).toEqual([
      ...['2026-09-18', '2026-09-14'],
    ]);
    // A day that is planned ahead is so many days further from it.
    expect(restedOn(gauge(4), undefined, [], [], NOW, NOW + 2 * DAY_MS).freshetDays).toBe(6);
  });

  it('below a dam, and without a gauge, by the last two weeks', () => {
    const old = [...days, { startedAt: NOW - 15 * DAY_MS }, { startedAt: NOW + DAY_MS }];
    for (const rested of [
      restedOn(gauge(4), { kind: 'below a dam', peaty: false }, old, [], NOW, NOW),
      restedOn([], undefined, old, [], NOW, NOW),
    ])
      expect([rested.freshetDays, rested.fished.length]).toEqual([null, 2]);
  });
});
