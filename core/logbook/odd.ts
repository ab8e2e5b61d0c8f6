import { isTake, type LogEvent, type OutingFacts } from './events';
import { standing } from './standing';
import { HOUR_MS, MINUTE_MS } from '../units';

/** Something of an outing that cannot be right, or hardly: in words, and when it was; `between` where a day may be two. */
interface Odd {
  readonly says: string;
  readonly at: number;
  readonly between?: readonly [number, number];
}

/** No swing is fished out and cast again faster than this, s: short lines upstream take about ten (common practice, no source). */
const FASTEST_S = 8;
/** So many casts in a row must be too fast before it is said. */
const IN_A_ROW = 6;
/** Longer than this without an entry and it may be two outings; longer than that no one fishes on end. */
const LONG_REST_H = 3;
const LONGEST_H = 18;
/** Casts an hour that no one makes by swinging a fly. */
const MOST_AN_HOUR = 150;

const hours = (ms: number) => `${(ms / HOUR_MS).toFixed(ms < 10 * HOUR_MS ? 1 : 0)} hours`;
const clockOf = (at: number) => new Date(at).toTimeString().slice(0, 5);

/** Hours and pace of an outing that cannot be right, the earliest first. */
export function oddities(outing: OutingFacts, events: readonly LogEvent[], now: number): Odd[] {
  const all = standing(events);
  const out: Odd[] = [];
  const say = (at: number, says: string, between?: Odd['between']) =>
    out.push({ at, says, ...(between && { between }) });

  const late = all.find((e) => e.at > now + MINUTE_MS);
  if (late) say(late.at, `An entry is of ${new Date(late.at).toISOString().slice(0, 10)}, which has not come yet.`);
  const times = all.map((e) => e.at);
  const [first, last] = [Math.min(...times), Math.max(...times)];
  if (all.length > 1 && last - first > LONGEST_H * HOUR_MS)
    say(first, `It lasts ${hours(last - first)}: longer than anyone fishes on end.`);
  if (outing.endedAt !== null && outing.endedAt < outing.startedAt) say(outing.startedAt, 'It ends before it begins.');

  all.forEach((e, i) => {
    const before = all[i - 1];
    if (!before) return;
    if (e.at < before.at - MINUTE_MS)
      say(e.at, `The clock went back by ${hours(before.at - e.at)} before ${clockOf(e.at)}.`);
    if (e.at - before.at > LONG_REST_H * HOUR_MS)
      say(before.at, `Nothing for ${hours(e.at - before.at)} after ${clockOf(before.at)}: were these two outings?`, [
        before.at,
        e.at,
      ]);
  });

  const casts = all.filter((e) => e.kind === 'cast');
  for (let i = IN_A_ROW; i < casts.length; i++) {
    const tookS = (casts[i]!.at - casts[i - IN_A_ROW]!.at) / 1000;
    if (tookS >= 0 && tookS < IN_A_ROW * FASTEST_S) {
      say(
        casts[i]!.at,
        `${IN_A_ROW} casts within ${Math.round(tookS)} s at ${clockOf(casts[i]!.at)}: no fly is fished so fast.`,
      );
      break;
    }
  }
  for (const e of all) {
    if (e.kind !== 'estimate' || e.casts === null) continue;
    const tookH = (e.minutes ?? (last - first) / MINUTE_MS) / 60;
    if (tookH > 0 && e.casts / tookH > MOST_AN_HOUR)
      say(e.at, `${e.casts} casts in ${hours(tookH * HOUR_MS)}: more than ${MOST_AN_HOUR} an hour.`);
  }
  const firstEffort = all.findIndex((e) => e.kind === 'cast' || e.kind === 'estimate');
  const firstTake = all.findIndex((e) => e.kind === 'take' && isTake(e));
  if (firstTake >= 0 && (firstEffort < 0 || firstTake < firstEffort))
    say(all[firstTake]!.at, 'A take stands before any cast.');
  return out.sort((a, b) => a.at - b.at);
}
