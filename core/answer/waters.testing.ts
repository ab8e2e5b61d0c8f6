import { ANY_MEANS } from '../cast';
import { lieOptionsOf } from '../lies';
import { survey } from '../lies/survey';
import { finished } from '../maths/work';
import {
  type FlyFamily,
  FLY_FAMILIES,
  type FlyColour,
  type FlyItem,
  type HeadItem,
  type KitItem,
  type LeaderItem,
  level,
  type RigChoice,
  type RodItem,
  tippetDiameterM,
  type TipItem,
  type FloatItem,
} from '../tackle';
import { day, OPEN } from '../testing/fixtures';
import { FOOT_M, GRAIN_KG, INCH_M } from '../units';
import type { Reading, Run } from '../water';
import { answerFor, type Answer } from './answer';
import { type Question, requestOf } from './question';

import { even, river } from '../water/runs.testing';
import { type AnswerRequest, type Situation, situationOf } from './situation';

export { OPEN } from '../testing/fixtures';
export { across, even, feature, river } from '../water/runs.testing';

const rod = (id: string, feet: number, hands: 1 | 2, lineNumber: number): RodItem => ({
  ...{ type: 'rod', id, name: `${feet} ft rod`, lengthM: feet * FOOT_M, hands, lineNumber },
});
const head = (id: string, shape: HeadItem['shape'], lengthM: number, grains: number, ...ips: number[]): HeadItem => ({
  ...{
    type: 'head',
    id,
    name: id,
    shape,
    lengthM,
    massKg: grains * GRAIN_KG,
    sinkRatesMps: ips.map((r) => r * INCH_M),
  },
});
const tip = (id: string, feet: number, ips: number): TipItem => ({
  ...{ type: 'tip', id, name: id, lengthM: feet * FOOT_M, sinkRateMps: ips * INCH_M },
});
const leader = (id: string, pieces: LeaderItem['pieces']): LeaderItem => ({ type: 'leader', id, name: id, pieces });
export const fly = (family: FlyFamily, colour: FlyColour, rest: Partial<FlyItem> = {}): FlyItem => ({
  ...{ type: 'fly', id: `${colour} ${family}`, name: `${colour} ${family}`, family, colour, barbless: true },
  ...FLY_FAMILIES[family].usual,
  ...rest,
});

/** A bag for most things. */
export const BAG: readonly KitItem[] = [
  rod('single 4', 9, 1, 4),
  rod('single 6', 9.5, 1, 6),
  rod('two-hander 7', 12, 2, 7),
  head('floating 4', 'taper', 12, 157, 0),
  head('floating 6', 'taper', 12, 210, 0),
  head('short head', 'short', 7, 500, 0),
  head('long head', 'long', 11, 480, 0),
  tip('10 ft intermediate', 10, 1.5),
  tip('10 ft slow', 10, 3),
  tip('10 ft fast', 10, 5),
  tip('10 ft heavy', 10, 7),
  tip('6 ft sinking leader', 6, 2.5),
  leader('4 ft of 12 lb', level(1.2, 0.3e-3, 'nylon')),
  leader('6 ft to 4X', level(1.9, tippetDiameterM(4), 'nylon')),
  leader('9 ft to 3X', [
    { part: 'butt', lengthM: 1.2, diameterM: 0.45e-3, material: 'nylon' },
    { part: 'tippet', lengthM: 1.5, diameterM: tippetDiameterM(3), material: 'nylon' },
  ]),
  leader('12 ft to 5X', [
    { part: 'butt', lengthM: 1.8, diameterM: 0.45e-3, material: 'nylon' },
    { part: 'tippet', lengthM: 1.9, diameterM: tippetDiameterM(5), material: 'nylon' },
  ]),
  { type: 'float', id: 'float', name: 'float', diameterM: 0.016, massKg: 0.6e-3 } satisfies FloatItem,
  fly('woolly bugger', 'black'),
  fly('woolly bugger', 'olive', { weight: 'bead' }),
  fly('rabbit strip', 'black'),
  fly('rabbit strip', 'white'),
  fly('rabbit strip', 'olive'),
  fly('slim baitfish', 'white'),
  fly('sculpin', 'olive'),
  fly('muddler', 'tan'),
  fly('crayfish', 'brown'),
  fly('micro streamer', 'olive'),
  fly('shank fly', 'black and blue'),
  fly('soft-hackle spider', 'brown'),
  fly('large soft hackle', 'orange'),
  fly('hair-wing wet', 'black'),
  fly('waking fly', 'black'),
];

/** What is on: of the bag by id. */
export const tied = (
  rodId: string,
  headId: string,
  tipId: string,
  leaderId: string,
  flyId: string,
  rest: Partial<RigChoice> = {},
): RigChoice => ({
  ...{ rodId, headId, tipId, leaderId, flyId, runningId: '', droppers: [], floatId: '', lineClean: true },
  ...rest,
});

/** A light rod with no tip and a fly of no weight. */
export const LIGHT = tied('single 6', 'floating 6', '', '9 ft to 3X', 'black woolly bugger');

/** Noon at 50° north in September. */
const NOON = Date.UTC(2026, 8, 10, 12);

export type Asked = Omit<Partial<Question>, 'reading' | 'water' | 'settings'> & {
  readonly reading?: Partial<Reading>;
  readonly water?: Partial<NonNullable<Question['water']>>;
  readonly settings?: Partial<Question['settings']>;
};

/** A question about a run; what is not said is ordinary: fair green water of 11 °C under a broken sky at noon, trout. */
export const question = (run: Run, o: Asked = {}): Question => ({
  kit: BAG,
  means: ANY_MEANS,
  at: NOON,
  tiedOn: null,
  rigged: [],
  seen: [],
  ask: 'best',
  ...o,
  run,
  reading: day({ runId: run.id, ...o.reading }),
  water: { quarry: 'brown trout', latDeg: 50, lonDeg: 0, rules: OPEN, ...o.water },
  settings: { school: 'near the bed', ...o.settings },
});

/** A plain glide. */
export const RUN = river(even(24, 0, 0.5, 1.1, 1.5, 1.2, 0), 0.8);
/** What is asked, with the water surveyed; and how the answer sees it. */
export function request(o: Asked = {}, run: Run = RUN): AnswerRequest {
  const q = question(run, o);
  return requestOf({ ...survey(run, q.reading, lieOptionsOf(q)), question: q });
}
export const situation = (o: Asked = {}, run: Run = RUN): Situation => situationOf(request(o, run));

/** The whole advice, from the readings on. */
export const workedOut = (run: Run, o: Asked = {}): Answer => finished(answerFor(request(o, run)));

const known = new Map<string, Answer>();
/** The same; what is asked again is not worked out again. */
export function answered(run: Run, o: Asked = {}): Answer {
  const key = JSON.stringify([run, o]);
  const answer = known.get(key) ?? workedOut(run, o);
  known.set(key, answer);
  return answer;
}
