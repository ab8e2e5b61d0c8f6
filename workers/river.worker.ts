import { expose, transfer } from 'comlink';
import { colourFromPhoto } from '@/core/sight/photo';
import type { ChangesRequest } from '@/core/advice';
import { type AskedOn, requestOf } from '@/core/answer';
import { changesFor } from '@/core/advice/changes';
import { answerFor, firstAnswer } from '@/core/answer/answer';
import { judgeOf } from '@/core/advice/trial';
import type { CastPlan, CastRequest } from '@/core/cast';
import { caseOnRun, swingOnRun } from '@/core/cast/case';
import {
  clearing,
  colourRecord,
  type ColourReading,
  forecastColour,
  forecastLevel,
  type HydroPoint,
  levelRecord,
  type Rain,
  plainForecast,
  type River,
} from '@/core/colour';
import type { CoverRequest } from '@/core/cover';
import { coveringOf } from '@/core/cover/covering';
import { survey } from '@/core/lies/survey';
import type { CurveRequest, FlumeCast } from '@/core/practice';
import { flumeCase, responseCurve } from '@/core/practice/curve';
import { hourOf, throwIn } from '@/core/practice/hourWater';
import type { Asked } from '@/core/practice/onWater';
import { roundOf } from '@/core/practice/rounds';
import { type Doubt, runSwing, swingBand, type SwingResult } from '@/core/swing';
import type { Channel } from '@/core/water';
import { keepAnswer, keptAnswer } from '@/store/answers';
import { cancel, drive, type OnShare } from './drive';

/** Between them they walk every branch of the engine: line on, through and under the surface, fly on the bed. */
const WARM_UP: readonly FlumeCast[] = [
  { floatRule: 'clean', slackM: 1 },
  { floatRule: 'free', rod: 'follow' },
  { fly: 'leadEye', depthM: 0.6, u: 0.4 },
];
let warmed = 0;
/** The first swings of a process cost several times the later ones: make them before the hand asks, one at a time. */
function warmUp(): void {
  const next = WARM_UP[warmed++];
  if (!next) return;
  runSwing(flumeCase(next));
  setTimeout(warmUp, 0);
}

/** A result whose series goes over without being copied. */
const moved = (r: SwingResult): SwingResult => transfer(r, [r.series.buffer, ...r.others.map((o) => o.series.buffer)]);

/** A request whose channel the worker has already. */
export type Keyed<Q extends { readonly channel: Channel }> = Omit<Q, 'channel'> & { readonly channelKey: number };

/** A worker that was built is named by the sum of what it holds; while one develops it has none, and no answer is kept. */
const VERSION = /[0-9a-f]{32}/.exec(self.location.pathname)?.[0] ?? null;

const channels = new Map<number, Channel>();

/** The request with its channel again. */
function whole<Q extends { readonly channel: Channel }>({ channelKey, ...rest }: Keyed<Q>): Q {
  const channel = channels.get(channelKey);
  if (!channel) throw new RangeError('channel: not kept by this worker');
  return { ...rest, channel } as unknown as Q;
}

/** What is asked of a river's colour. */
export interface ColourRequest {
  readonly river: River;
  readonly series: readonly HydroPoint[];
  readonly readings: readonly ColourReading[];
  readonly ask: readonly number[];
  readonly rainAhead?: readonly Rain[];
}

const api = {
  /** Keeps a channel under a key, in place of another. */
  keep: (key: number, channel: Channel, drop: number | null) => {
    if (drop !== null) channels.delete(drop);
    channels.set(key, channel);
  },

  survey: (...asked: Parameters<typeof survey>) => {
    if (warmed === 0) setTimeout(warmUp, 0);
    return survey(...asked);
  },

  swing: (q: Keyed<CastRequest>) => moved(swingOnRun(whole(q))),

  cancel,

  band: (
    job: number,
    onShare: OnShare | undefined,
    asked: Keyed<CastRequest>,
    plain: { rows: number; dangleS: number | null },
    doubt: Doubt,
  ) => {
    const q = whole<CastRequest>(asked);
    return drive(job, swingBand(caseOnRun(q.channel, q.rig, q.plan, q.lies), plain, doubt, judgeOf(q)), onShare);
  },

  changes: (job: number, onShare: OnShare | undefined, q: Keyed<ChangesRequest>) =>
    drive(job, changesFor(whole(q)), onShare),

  firstAnswer: (q: Keyed<AskedOn>) => firstAnswer(requestOf(whole(q))),

  /** An answer that this version gave before, over a reload too; null where there is none. */
  keptAnswer: async (asked: string) => (VERSION ? keptAnswer(VERSION, asked) : null),

  async answer(job: number, onShare: OnShare | undefined, q: Keyed<AskedOn>, asked: string) {
    const answer = await drive(job, answerFor(requestOf(whole(q))), onShare);
    if (answer && VERSION) void keepAnswer(VERSION, asked, answer);
    return answer;
  },

  cover: (job: number, onShare: OnShare | undefined, q: Keyed<CoverRequest>) =>
    drive(job, coveringOf(whole(q)), onShare),

  /** The colour of the water out of a photo. */
  photo: colourFromPhoto,
  /** A river's colour at the moments asked for. */
  colour: (q: ColourRequest) => forecastColour(q.river, q.series, q.readings, q.ask, q.rainAhead).map(plainForecast),

  /** How a river is believed to clear. */
  clearing: (q: ColourRequest) => clearing(q.river, q.series, q.readings),
  colourRecord: (job: number, onShare: OnShare | undefined, q: ColourRequest) =>
    drive(job, colourRecord(q.river, q.series, q.readings), onShare),
  /** Its level from the last value on, at the moments asked for; and how such forecasts did. */
  level: (q: ColourRequest) => forecastLevel(q.river, q.series, q.ask, q.rainAhead),
  levelRecord: (job: number, onShare: OnShare | undefined, q: ColourRequest, dayStart: number) =>
    drive(job, levelRecord(q.river, q.series, dayStart), onShare),

  /** A round of the practice ground, an hour on it, and a cast in that hour. */
  round: roundOf,
  hour: (job: number, onShare: OnShare | undefined, asked: Asked) => drive(job, hourOf(asked), onShare),
  throwIn: (q: Keyed<CoverRequest>, plan: CastPlan) => throwIn(whole(q), plan),

  curve: (job: number, onShare: OnShare | undefined, move: CurveRequest) => drive(job, responseCurve(move), onShare),
};
export type RiverWorker = typeof api;

expose(api);
