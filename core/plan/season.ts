import type { River } from '../colour/kinds';
import type { Folded } from '../logbook/fold';
import { freshets } from '../gauge/freshets';
import type { GaugePoint } from '../gauge/points';
import { sumOf } from '../maths';
import { checkSeason, type WaterRules } from '../rules';
import { DAY_MS } from '../units';
import { isoDate, two } from './spans';

/** What an outing came to, for a season. */
export interface SeasonOuting {
  readonly startedAt: number;
  readonly log: Pick<Folded, 'tally' | 'fish'>;
}

/** A month of all years on a water. */
export interface SeasonMonth {
  /** 0 January */
  readonly month: number;
  /** By the rules; null: not entered. */
  readonly open: 'all' | 'part' | 'none' | null;
  /** Days on which one was out. */
  readonly days: number;
  readonly takes: number;
  /** Landed, by kind, most often first; what nobody named is a fish. */
  readonly fish: readonly { readonly species: string; readonly n: number }[];
}

/** The months that hold most of one's own fish. */
interface Best {
  /** The first of them, 0 January, and how many there are. */
  readonly from: number;
  readonly months: number;
  readonly fish: number;
}

export interface Season {
  readonly months: readonly SeasonMonth[];
  readonly fish: number;
  /** Null: too few fish to tell. */
  readonly best: Best | null;
}

/** So many fish tell of a season (assumed), which lasts so many months at most. */
export const ENOUGH_FISH = 8;
const MOST_MONTHS = 4;
/** Months that hold so much of all fish are the season (assumed). */
const MOST_OF = 0.7;

const UNNAMED = 'fish';

/** How much of a month is open. */
function openIn(month: number, rules: WaterRules | null): SeasonMonth['open'] {
  if (!rules) return null;
  const last = new Date(2024, month + 1, 0).getDate();
  const days = Array.from({ length: last }, (_, i) => `${two(month + 1)}-${two(i + 1)}`);
  const open = days.filter((d) => checkSeason(rules, d).length === 0).length;
  return open === 0 ? 'none' : open === last ? 'all' : 'part';
}

/** The shortest stretch of months that holds most of the fish; of two as long the one with more. */
function bestOf(perMonth: readonly number[]): Best | null {
  const all = sumOf(perMonth, (n) => n);
  if (all < ENOUGH_FISH) return null;
  for (let months = 1; months <= MOST_MONTHS; months++) {
    const stretches = perMonth.map((_, from) => ({
      ...{ from, months },
      fish: sumOf(
        Array.from({ length: months }, (_, i) => perMonth[(from + i) % 12]!),
        (n) => n,
      ),
    }));
    const best = stretches.reduce((a, b) => (b.fish > a.fish ? b : a));
    if (best.fish >= MOST_OF * all) return best;
  }
  return null;
}

/** When fish came on a water by one's own log, month by month over the years, and when it is open. */
export function seasonOf(outings: readonly SeasonOuting[], rules: WaterRules | null): Season {
  const monthOf = (at: number) => new Date(at).getMonth();
  const landed = outings.flatMap((o) =>
    o.log.fish.map(({ take }) => ({ at: take.at, species: take.fish?.species ?? UNNAMED })),
  );
  const months = Array.from({ length: 12 }, (_, month): SeasonMonth => {
    const own = outings.filter((o) => monthOf(o.startedAt) === month);
    const fish = landed.filter((f) => monthOf(f.at) === month);
    const kinds = [...new Set(fish.map((f) => f.species))];
    return {
      ...{ month, open: openIn(month, rules) },
      days: new Set(own.map((o) => isoDate(new Date(o.startedAt)))).size,
      takes: sumOf(own, (o) => o.log.tally.takes),
      fish: kinds
        .map((species) => ({ species, n: fish.filter((f) => f.species === species).length }))
        .sort((a, b) => b.n - a.n),
    };
  });
  const perMonth = months.map((m) => sumOf(m.fish, (f) => f.n));
  return { months, fish: landed.length, best: bestOf(perMonth) };
}

/** Where the gauge tells no rise, so many days back is asked who fished. */
const UNKNOWN_DAYS = 14;

/** How a water was rested. */
export interface Rested {
  /** Days since the last freshet; null: not in what the gauge tells. */
  readonly freshetDays: number | null;
  /** Days, YYYY-MM-DD, that it was fished since then, or in the last two weeks: the latest first. */
  readonly fished: readonly { readonly day: string; readonly who: readonly string[] }[];
}

/**
 * How long a water has had a rest from lines: since its last freshet, by one's own log and by what others say.
 *
 * @param points of its gauge, oldest first; @param now ms UTC; @param asked moment that is asked about, not before now
 */
export function restedOn(
  points: readonly GaugePoint[],
  river: River | undefined,
  own: readonly { readonly startedAt: number }[],
  reports: readonly { readonly at: number; readonly source: string; readonly fished: boolean }[],
  now: number,
  asked: number,
): Rested {
  // Below a dam water comes and goes by the clock: that is no freshet.
  const last = river?.kind === 'below a dam' ? undefined : freshets(points).at(-1);
  const since = last?.peakAt ?? now - UNKNOWN_DAYS * DAY_MS;
  const days = new Map<string, string[]>();
  const add = (at: number, who: string) => {
    const day = isoDate(new Date(at));
    if (!days.get(day)?.includes(who)) days.set(day, [...(days.get(day) ?? []), who]);
  };
  for (const o of own) if (o.startedAt > since && o.startedAt < now) add(o.startedAt, OWN);
  for (const r of reports) if (r.fished && r.at > since) add(r.at, r.source);
  return {
    freshetDays: last ? Math.max(0, Math.round((Math.max(now, asked) - last.peakAt) / DAY_MS)) : null,
    fished: [...days].map(([day, who]) => ({ day, who })).sort((a, b) => (a.day < b.day ? 1 : -1)),
  };
}
/** Who fished, where that was oneself. */
export const OWN = 'you';
