import { isTake, type LogEvent, type OutingFacts } from './events';
import { standing } from './standing';
import { HOUR_MS, MINUTE_MS } from '../units';

/** Something of an outing that cannot be right, or hardly, and when it was, ms UTC; spans in ms. */
export type Odd = { readonly at: number } & Oddity;
type Oddity =
  | { readonly code: 'to come' | 'ends first' | 'take first' }
  | { readonly code: 'too long' | 'clock back'; readonly forMs: number }
  /** The day may be two. */
  | { readonly code: 'gap'; readonly forMs: number; readonly until: number }
  | { readonly code: 'too fast'; readonly casts: number; readonly inS: number }
  | { readonly code: 'too many'; readonly casts: number; readonly inMs: number; readonly mostAnHour: number };

/** No swing is fished out and cast again faster than this, s: short lines upstream take about ten (common practice, no source). */
const FASTEST_S = 8;
/** So many casts in a row must be too fast before it is said. */
const IN_A_ROW = 6;
/** Longer than this without an entry and it may be two outings; longer than that no one fishes on end. */
const LONG_REST_H = 3;
const LONGEST_H = 18;
/** Casts an hour that no one makes by swinging a fly. */
const MOST_AN_HOUR = 150;

/** Hours and pace of an outing that cannot be right, the earliest first. */
export function oddities(outing: OutingFacts, events: readonly LogEvent[], now: number): Odd[] {
  const all = standing(events);
  const out: Odd[] = [];
  const say = (at: number, odd: Oddity) => out.push({ at, ...odd });

  const late = all.find((e) => e.at > now + MINUTE_MS);
  if (late) say(late.at, { code: 'to come' });
  const times = all.map((e) => e.at);
  const [first, last] = [Math.min(...times), Math.max(...times)];
  if (all.length > 1 && last - first > LONGEST_H * HOUR_MS) say(first, { code: 'too long', forMs: last - first });
  if (outing.endedAt !== null && outing.endedAt < outing.startedAt) say(outing.startedAt, { code: 'ends first' });

  all.forEach((e, i) => {
    const before = all[i - 1];
    if (!before) return;
    if (e.at < before.at - MINUTE_MS) say(e.at, { code: 'clock back', forMs: before.at - e.at });
    if (e.at - before.at > LONG_REST_H * HOUR_MS) say(before.at, { code: 'gap', forMs: e.at - before.at, until: e.at });
  });

  const casts = all.filter((e) => e.kind === 'cast');
  for (let i = IN_A_ROW; i < casts.length; i++) {
    const tookS = (casts[i]!.at - casts[i - IN_A_ROW]!.at) / 1000;
    if (tookS >= 0 && tookS < IN_A_ROW * FASTEST_S) {
      say(casts[i]!.at, { code: 'too fast', casts: IN_A_ROW, inS: tookS });
      break;
    }
  }
  for (const e of all) {
    if (e.kind !== 'estimate' || e.casts === null) continue;
    const tookH = (e.minutes ?? (last - first) / MINUTE_MS) / 60;
    if (tookH > 0 && e.casts / tookH > MOST_AN_HOUR)
      say(e.at, { code: 'too many', casts: e.casts, inMs: tookH * HOUR_MS, mostAnHour: MOST_AN_HOUR });
  }
  const firstEffort = all.findIndex((e) => e.kind === 'cast' || e.kind === 'estimate');
  const firstTake = all.findIndex((e) => e.kind === 'take' && isTake(e));
  if (firstTake >= 0 && (firstEffort < 0 || firstTake < firstEffort)) say(all[firstTake]!.at, { code: 'take first' });
  return out.sort((a, b) => a.at - b.at);
}
