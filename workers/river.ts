import type { ChangesRequest } from '@/core/advice';
import type { Changes } from '@/core/advice/changes';
import type { Answer, AskedOn, FirstThought } from '@/core/answer';
import type { CastPlan, CastRequest } from '@/core/cast';
import type { ClearingStep, ColourAt, ColourRecord, LevelAhead, LevelRecord } from '@/core/colour';
import type { Covering, CoverRequest } from '@/core/cover';
import type { LieOptions, Survey } from '@/core/lies';
import type { CurvePoint, CurveRequest } from '@/core/practice';
import type { Hour, Thrown } from '@/core/practice/hour';
import type { Asked } from '@/core/practice/onWater';
import type { RoundKind } from '@/core/practice/played';
import type { Round } from '@/core/practice/rounds';
import type { PhotoColour, Picture, Spot } from '@/core/sight/photo';
import type { Band, Doubt, SwingResult } from '@/core/swing';
import type { Channel, Reading, Run } from '@/core/water';

import { begin, type Begun } from './beginWorker';
import type { ColourRequest, Keyed, RiverWorker } from './river.worker';
import { type Watch, watched } from './watched';

const MOST_WORKERS = 6;
/** One for the hand that drags; where there are cores, others for what takes longer. */
const POOL = Math.min(MOST_WORKERS, Math.max(1, (globalThis.navigator?.hardwareConcurrency ?? 2) - 1));

const pool: (Begun<RiverWorker> | undefined)[] = [];
function worker(n: number): Begun<RiverWorker> {
  const k = n % POOL;
  return (pool[k] ??= begin<RiverWorker>(
    new Worker(new URL('./river.worker.ts', import.meta.url)),
    () => (pool[k] = undefined),
  ));
}
/** Lets the worker come that rebuilds runs, while what it is to be asked is on its way. */
export const wakeRiver = (): void => void worker(0);

/** A worker keeps so many channels: the run in sight, one being tried at another level, and some before. */
const KEPT = 4;
const keys = new WeakMap<Channel, number>();
let lastKey = 0;
/** Keys of the channels that each worker has, the newest last. */
const kept = new WeakMap<Begun<RiverWorker>, number[]>();

/** The key by which a worker knows a channel; it is sent the first time only, not with every swing of a drag. */
function keyFor(w: Begun<RiverWorker>, channel: Channel): number {
  let key = keys.get(channel);
  if (key === undefined) keys.set(channel, (key = ++lastKey));
  const has = kept.get(w) ?? [];
  if (!has.includes(key)) {
    w.keep(key, channel, has.length >= KEPT ? has[0]! : null).catch(() => undefined); // told with what it is kept for
    if (has.length >= KEPT) has.shift();
  }
  kept.set(w, [...has.filter((k) => k !== key), key]);
  return key;
}

/** A request with its channel by key. */
const keyed = <Q extends { readonly channel: Channel }>(w: Begun<RiverWorker>, { channel, ...rest }: Q): Keyed<Q> => ({
  ...rest,
  channelKey: keyFor(w, channel),
});

/** The worker of searches; where there is one only, the same that swings. */
const SEARCHER = 1;

/** Simulates one cast off the main thread. Rejects with the engine's own message when it cannot be cast. */
export const simulate = (q: CastRequest): Promise<SwingResult> => worker(0).swing(keyed(worker(0), q));

/** Rebuilds a run for a day off the main thread. */
export const surveyRun = (run: Run, reading: Reading | null, options: LieOptions): Promise<Survey> =>
  worker(0).survey(run, reading, options);

export type { ColourRequest };
export type { Watch } from './watched';

/** The band of doubt round a swing. */
export const doubtBand = (q: CastRequest, plain: SwingResult, doubt: Doubt, watch: Watch = {}): Promise<Band | null> =>
  watched(worker(SEARCHER), watch, (w, job, onShare) =>
    w.band(job, onShare, keyed(w, q), { rows: plain.rows, dangleS: plain.dangleS }, doubt),
  );

/** The smallest changes that put the fly before a lie. */
export const findChanges = (q: ChangesRequest, watch: Watch = {}): Promise<Changes | null> =>
  watched(worker(SEARCHER + 1), watch, (w, job, onShare) => w.changes(job, onShare, keyed(w, q)));

/** What to tie on and how to fish a run: as it was before, or worked out, which begins with a share of 0. @param asked all that
 * the answer follows from */
export async function answerRun(q: AskedOn, asked: string, watch: Watch = {}): Promise<Answer | null> {
  const kept = await worker(SEARCHER).keptAnswer(asked);
  if (kept) return kept;
  watch.onShare?.(0);
  return watched(worker(SEARCHER), watch, (w, job, onShare) => w.answer(job, onShare, keyed(w, q), asked));
}

/** A first thought for the same question, at once. */
export const firstThoughtOf = (q: AskedOn): Promise<FirstThought | null> => worker(0).firstAnswer(keyed(worker(0), q));

/** The casts that a run offers to a rig, and those of the rule of thumb. */
export const coverRun = (q: CoverRequest, watch: Watch = {}): Promise<Covering | null> =>
  watched(worker(SEARCHER), watch, (w, job, onShare) => w.cover(job, onShare, keyed(w, q)));

/** A river's colour at the moments asked for; and how often what was read was as would have been said. */
export const colourAt = (q: ColourRequest): Promise<ColourAt[]> => worker(SEARCHER).colour(q);
export const clearingOf = (q: ColourRequest): Promise<ClearingStep[]> => worker(SEARCHER).clearing(q);
export const colourRecordOf = (q: ColourRequest, watch: Watch = {}): Promise<ColourRecord | null> =>
  watched(worker(SEARCHER + 1), watch, (w, job, onShare) => w.colourRecord(job, onShare, q));

/** A river's level from its gauge's last value on; and how such forecasts did up to a day. */
export const levelAt = (q: ColourRequest): Promise<LevelAhead> => worker(SEARCHER).level(q);
export const levelRecordOf = (q: ColourRequest, dayStart: number, watch: Watch = {}): Promise<LevelRecord | null> =>
  watched(worker(SEARCHER + 1), watch, (w, job, onShare) => w.levelRecord(job, onShare, q, dayStart));

/** The colour of the water out of a photo. */
export const readPhoto = (picture: Picture, air: Spot, under: Spot, depthM: number): Promise<PhotoColour> =>
  worker(0).photo(picture, air, under, depthM);

/** One curve of "what moves the fly". */
export const curveOf = (move: CurveRequest, watch: Watch = {}): Promise<CurvePoint[] | null> =>
  watched(worker(SEARCHER), watch, (w, job, onShare) => w.curve(job, onShare, move));

/** A round of the practice ground, the same for the same seed. */
export const practiceRound = (kind: RoundKind, asked: Asked): Promise<Round> => worker(0).round(kind, asked);

/** A casting hour, the same for the same seed; and a cast of one’s own in it. */
export const practiceHour = (asked: Asked, watch: Watch = {}): Promise<Hour | null> =>
  watched(worker(SEARCHER), watch, (w, job, onShare) => w.hour(job, onShare, asked));
export const throwCast = (q: CoverRequest, plan: CastPlan): Promise<Thrown> =>
  worker(0).throwIn(keyed(worker(0), q), plan);
