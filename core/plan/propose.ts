import { meanOf } from '../maths';
import { HOUR_MS, MINUTE_MS } from '../units';
import { outOfWater } from './dam';
import type { DayAsk, RunToFish, Stop } from './dayAsk';
import type { FishingWindow } from './hours';
import { aboutNoon } from './spans';
import { walkBackMin, walkMinBetween } from './walks';

/** A run that is left no longer than this is not begun, minutes (assumed). */
const LEAST_RUN_MIN = 20;
/** A run is rested before it is fished again, minutes, and fished so often at most (common practice, no source). */
const [REST_MIN, MOST_TIMES] = [45, 2];
/** In hours that last so long, h, one eats between two runs, minutes, about noon and once one has fished so long, h (common practice,
 * no source). */
const [LUNCH_FROM_H, LUNCH_MIN, FISHED_FIRST_H] = [6, 30, 2];
/** A drive home after so long a day is a danger of its own, h (assumed). */
export const LONG_DAY_H = 14;

/** A run of the proposal, and when it begins. */
interface Laid {
  readonly stops: readonly Stop[];
  readonly begins: readonly { readonly run: RunToFish; readonly minutes: number; readonly at: number }[];
}

/** Another order of the runs must suit the hours by so much more in the mean, and cost no more than so much of the fishing. */
const [SUITS_MORE, KEEPS] = [0.03, 0.95];

/** A day with both its ends may be too long to drive home from: then the end that suits the runs better, the evening of two alike. */
function oneEnd(a: DayAsk, whole: Laid): Laid {
  if (doorToDoorH(a, whole) < LONG_DAY_H || a.windows.length < 2) return whole;
  const ends = a.windows.map((w) => inOrder({ ...a, windows: [w] })).filter((l) => l.begins.length > 0);
  return ends.reduce((x, y) => (suitOf(y) >= suitOf(x) ? y : x), ends[0] ?? whole);
}

/** Who lives so near, minutes, is at home in a lull of so many (assumed). */
const [NEAR_HOME_MIN, HOME_FOR_MIN] = [30, 240];
/** Minutes of breaks that one spends at home. */
export const atHomeMin = (a: DayAsk, stops: readonly Stop[]): number =>
  a.driveMin > NEAR_HOME_MIN
    ? 0
    : stops.reduce((sum, s) => sum + (s.kind === 'break' && s.minutes >= HOME_FOR_MIN ? s.minutes : 0), 0);

/** From leaving home until one is back, less what of it one is at home, h. */
function doorToDoorH(a: DayAsk, { begins, stops }: Laid): number {
  const [first, last] = [begins[0], begins.at(-1)];
  if (!first || !last) return 0;
  const wayMin = 2 * a.driveMin + a.walkMin + walkBackMin(a, first.run.runId, last.run.runId) - atHomeMin(a, stops);
  return (last.at - first.at) / HOUR_MS + (last.minutes + wayMin) / 60;
}

function inOrder(a: DayAsk): Laid {
  let order = fishable(a);
  let best = laidOut(a, order);
  // Two change places as long as that suits the hours better.
  for (let again = true; again;) {
    again = false;
    for (let i = 0; i < order.length; i++)
      for (let j = i + 1; j < order.length; j++) {
        const other = order.map((r, k) => (k === i ? order[j]! : k === j ? order[i]! : r));
        const tried = laidOut(a, other);
        if (suitOf(tried) < suitOf(best) + SUITS_MORE || fishedMin(tried) < KEEPS * fishedMin(best)) continue;
        [order, best, again] = [other, tried, true];
      }
  }
  return best;
}

const fishedMin = ({ begins }: Laid): number => begins.reduce((sum, b) => sum + b.minutes, 0);
/** How a day suits its runs in the mean of the minutes that are fished. */
const suitOf = (laid: Laid): number =>
  laid.begins.reduce((sum, { run, minutes, at }) => {
    const when = [0, 0.5, 1].map((share) => at + share * minutes * MINUTE_MS);
    return sum + minutes * meanOf(when, run.suits);
  }, 0) / Math.max(1, fishedMin(laid));

/** Runs in an order, filled into the hours. */
function laidOut(a: DayAsk, all: readonly RunToFish[]): Laid {
  const windows = openWindows(a);
  const begins: Laid['begins'][number][] = [];
  let left = [...all];
  let times = 1;
  const again = (): boolean => {
    if (times === MOST_TIMES || all.length === 0) return false;
    times++;
    left = [...all];
    return true;
  };
  const stops: Stop[] = [];
  /** To the next run; none where it is the one that one stands at. */
  const walkOn = (): number => {
    const last = stops.findLast((s) => s.kind === 'run');
    const next = left[0] ?? all[0];
    return last && next ? walkMinBetween(a, last.runId, next.runId) : a.walkMin;
  };
  /** Minutes that the walk back from the furthest run takes longer than from the first. */
  const homewardMin = (): number => {
    const first = begins[0]?.run ?? all[0];
    return first ? Math.max(...all.map((r) => walkBackMin(a, first.runId, r.runId))) - a.walkMin : 0;
  };
  /** Minutes that are left to fish: runs, and the rests before they are fished again. */
  const toFish = (): number => {
    const more = MOST_TIMES - times;
    const rests = Math.max(0, left.length > 0 ? more : more - 1);
    return minutesOf(a, left) + more * minutesOf(a, all) + rests * REST_MIN + homewardMin();
  };
  let at = windows[0] ? forDusk(a, windows[0], toFish()).fromAt : 0;
  for (const open of windows) {
    const w = forDusk(a, open, toFish());
    // One walks on in the lull, so as to stand there when the next hours begin.
    const lull = Math.ceil((w.fromAt - at) / MINUTE_MS) - walkOn();
    if (left.length === 0 && lull >= REST_MIN && !again()) break;
    const waits = stops.length > 0 && lull > 0 && left.length > 0;
    if (waits) stops.push({ kind: 'break', minutes: lull });
    // One stands at the next run, or begins at whichever.
    let there = stops.length === 0 || waits;
    if (waits) at += (lull + walkOn()) * MINUTE_MS;
    else if (stops.length === 0) at = w.fromAt;
    const walkTo = (r: RunToFish): number => {
      const last = begins.at(-1)?.run.runId;
      if (!there) return last ? walkMinBetween(a, last, r.runId) : 0;
      return last && r !== left[0] ? Infinity : 0;
    };
    /** How long a run can be fished from a moment on, minutes; 0 where that is too short. */
    const room = (r: RunToFish, from: number): number => {
      const walk = walkTo(r);
      const min = Math.floor((untilAt(a, w, begins[0]?.run ?? r, r) - from) / MINUTE_MS - walk);
      return min >= Math.max(LEAST_RUN_MIN, walk) ? min : 0; // nobody walks for longer than they then fish
    };
    /** Minutes that a run is to be rested for yet when one comes to it. */
    const restOf = (r: RunToFish): number => {
      const last = begins.findLast((b) => b.run === r);
      const since = last ? (at - last.at) / MINUTE_MS - last.minutes : Infinity;
      return there ? 0 : Math.max(0, Math.ceil(REST_MIN - since - walkTo(r)));
    };
    /** Minutes to eat before the next run: once, and where that run can be fished all the same. */
    const lunchMin = (r: RunToFish): number => {
      const due = open.toAt - open.fromAt >= LUNCH_FROM_H * HOUR_MS && aboutNoon(at);
      const had = there || stops.some((s) => s.kind === 'break') || at < begins[0]!.at + FISHED_FIRST_H * HOUR_MS;
      return due && !had && room(r, at + LUNCH_MIN * MINUTE_MS) > 0 ? LUNCH_MIN : 0;
    };
    for (;;) {
      if (left.length === 0 && (open !== windows.at(-1) || !again())) break;
      // The first that there is time for; when they are fished again the one that one stands at soonest, rested.
      const can = left.filter((r) => room(r, at + restOf(r) * MINUTE_MS) > 0);
      const soonest = (x: RunToFish, y: RunToFish) => restOf(x) + walkTo(x) - restOf(y) - walkTo(y);
      const [run] = times === 1 ? can : [...can].sort(soonest);
      if (!run) break;
      const rest = Math.max(restOf(run), lunchMin(run));
      if (rest > 0) stops.push({ kind: 'break', minutes: rest });
      at += rest * MINUTE_MS;
      const [walk, minutes] = [walkTo(run), Math.min(run.minutes, room(run, at))];
      stops.push({ kind: 'run', runId: run.runId, minutes });
      begins.push({ run, minutes, at: at + walk * MINUTE_MS });
      at += (walk + minutes) * MINUTE_MS;
      left = left.filter((r) => r !== run);
      there = false;
    }
  }
  return { stops, begins };
}

/** Until when a run can be fished within some hours: in time to walk out before dark from there. */
const untilAt = (a: DayAsk, w: FishingWindow, first: RunToFish, run: RunToFish): number =>
  Math.min(w.toAt, outBy(a) - walkBackMin(a, first.runId, run.runId) * MINUTE_MS);
/** When one is back at the road by, ms UTC. */
const outBy = ({ lastLightAt, dusk, backBy, driveMin }: DayAsk): number =>
  Math.min(
    lastLightAt === null ? Infinity : lastLightAt - (dusk ? 0 : BEFORE_DARK_MIN * MINUTE_MS),
    backBy === null ? Infinity : backBy - driveMin * MINUTE_MS,
  );
const BEFORE_DARK_MIN = 30;

/** What runs take one after the other, with the walks between them. */
const minutesOf = (a: DayAsk, runs: readonly RunToFish[]): number =>
  runs.reduce((sum, r, i) => sum + r.minutes + (i > 0 ? walkMinBetween(a, runs[i - 1]!.runId, r.runId) : 0), 0);

/** Hours that end with the dusk, or the nearest that a rule or a dam leaves to it, are fished to their end: where the runs do not fill
 * them one begins later. */
function forDusk(a: DayAsk, w: FishingWindow, minutes: number): FishingWindow {
  const evening = a.dusk && w.fromAt >= a.dayStart + 12 * HOUR_MS;
  if (a.sunsetAt === null || (w.toAt <= a.sunsetAt && !evening)) return w;
  return { ...w, fromAt: Math.max(w.fromAt, w.toAt - Math.max(LEAST_RUN_MIN, minutes) * MINUTE_MS) };
}

/** The runs that may be fished, those first that suit the hours best on the whole. */
function fishable(a: DayAsk): RunToFish[] {
  const over = openWindows(a).flatMap((w) => [w.fromAt, (w.fromAt + w.toAt) / 2, w.toAt]);
  const worth = (r: RunToFish) => (over.length > 0 ? meanOf(over, r.suits) : 0);
  return a.runs.filter((r) => r.barred === null).sort((x, y) => worth(y) - worth(x));
}

const without = (w: FishingWindow, gone: FishingWindow): FishingWindow[] =>
  gone.toAt <= w.fromAt || gone.fromAt >= w.toAt
    ? [w]
    : [
        { fromAt: w.fromAt, toAt: gone.fromAt },
        { fromAt: gone.toAt, toAt: w.toAt },
      ].filter((part) => part.toAt > part.fromAt);

/** The hours to fish that can still be reached, none during a dam release and the hour after. */
function openWindows(a: DayAsk): FishingWindow[] {
  const { dayStart, windows, releases, notBefore, driveMin, walkMin } = a;
  const there = notBefore + (driveMin + walkMin) * MINUTE_MS;
  const dark = outBy(a) - walkMin * MINUTE_MS;
  return outOfWater(dayStart, releases)
    .reduce((open, wet) => open.flatMap((w) => without(w, wet)), windows)
    .map((w) => ({ fromAt: Math.max(w.fromAt, there), toAt: Math.min(w.toAt, dark) }))
    .filter((w) => w.toAt - w.fromAt >= LEAST_RUN_MIN * MINUTE_MS);
}

/** A day as it is proposed. */
interface Proposal {
  readonly stops: readonly Stop[];
  /** When to leave so as to stand at the first run as the hours begin; so much later as the runs do not fill one stretch of hours, which is
   * fished to its end, ms UTC. */
  readonly leaveAt: number;
  /** How long the day with all its hours would be from door to door, h: more than that of the stops where they are of one end alone. */
  readonly wholeH: number;
}

/** The runs in an order and the breaks between them, filled into the hours to fish: each when it suits, as long as it takes; when all
 * have been fished and hours are left, once more. */
export function propose(a: DayAsk): Proposal {
  const whole = inOrder(a);
  const { stops, begins } = oneEnd(a, whole);
  const windows = openWindows(a);
  const [first, last] = [begins[0], begins.at(-1)];
  const stretchOf = (at: number) => windows.findLast((w) => w.fromAt <= at)!;
  const [open, end] = first && last ? [stretchOf(first.at), stretchOf(last.at)] : [];
  const spare =
    first && last && open && open === end
      ? untilAt(a, open, first.run, last.run) - (last.at + last.minutes * MINUTE_MS)
      : 0;
  const later = Math.max(0, Math.floor(spare / MINUTE_MS)) * MINUTE_MS;
  const standAt = first ? first.at + later : ((windows[0] ?? a.windows[0])?.fromAt ?? a.dayStart);
  return {
    stops,
    leaveAt: Math.max(a.notBefore, standAt - (a.driveMin + a.walkMin) * MINUTE_MS),
    wholeH: doorToDoorH(a, whole),
  };
}
export const proposeStops = (a: DayAsk): readonly Stop[] => propose(a).stops;
export const leaveFor = (a: DayAsk): number => propose(a).leaveAt;
