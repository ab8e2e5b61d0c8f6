import { ANY_MEANS, type Means, meansInWind } from '../cast';
import {
  type DepthSchool,
  type FloodSchool,
  lieOptionsOf,
  type OwnFish,
  type Quarry,
  type SizeClass,
  type Survey,
  USUAL_QUARRY,
} from '../lies';
import { closedNow, type WaterRules } from '../rules';
import { placeOf, sunDay, sunDegAt } from '../sight';
import { type KitItem, type RigChoice, rigOf } from '../tackle';
import type { Reading, Run, Sighting } from '../water';
import type { Ask, Goal } from './goals';
import { chosenSchools, type Schools } from './schools';
import type { AnswerRequest } from './situation';
import { DAY_MS, HOUR_MS } from '../units';

/** What is asked, as records: a screen and the command ask alike. */
export interface Question {
  readonly water: {
    readonly quarry: Quarry;
    /** Null: not said. */
    readonly latDeg: number | null;
    readonly lonDeg: number | null;
    readonly rules: WaterRules | null;
  } | null;
  readonly run: Run;
  readonly reading: Reading;
  readonly kit: readonly KitItem[];
  readonly settings: {
    readonly school: DepthSchool;
    readonly flood?: FloodSchool;
    readonly schools?: Partial<Schools>;
    readonly goal?: Goal;
    readonly ownFish?: OwnFish;
  };
  /** Not said: everything. */
  readonly means?: Means;
  /** ms UTC */
  readonly at: number;
  readonly tiedOn: RigChoice | null;
  readonly rigged: readonly RigChoice[];
  /** Besides what the reading names. */
  readonly seen: readonly Sighting[];
  readonly ask: Ask;
  readonly size?: SizeClass;
}

/** A question with the run as it is today. */
export interface AskedOn extends Pick<Survey, 'channel' | 'lies'> {
  readonly question: Question;
}

/** A question and the run as it is today, as the search takes them. Hours and days go by the sun of the place. */
export function requestOf({ question: q, channel, lies }: AskedOn): AnswerRequest {
  const place = placeOf(q.water);
  const rules = q.water?.rules ?? null;
  const local = q.at + ((place?.lonDeg ?? 0) / 15) * HOUR_MS;
  const dayStart = q.at - (((local % DAY_MS) + DAY_MS) % DAY_MS);
  const monthDay = new Date(local).toISOString().slice(5, 10);
  const { settings } = q;
  const sun = place && sunDay(dayStart, place.latDeg, place.lonDeg);
  return {
    run: q.run,
    channel,
    lies,
    reading: q.reading,
    quarry: q.water?.quarry ?? USUAL_QUARRY,
    options: lieOptionsOf(q),
    rules,
    kit: q.kit,
    means: meansInWind(q.means ?? ANY_MEANS, q.reading.wind, q.run.bank),
    sunDeg: sunDegAt(place, q.at),
    seen: [...new Set([...(q.reading.seen ?? []), ...q.seen])],
    goal: settings.goal ?? 'any',
    schools: chosenSchools(settings),
    tiedOn: q.tiedOn && rigOf(q.kit, q.tiedOn),
    rigged: q.rigged.flatMap((c) => rigOf(q.kit, c) ?? []),
    ask: q.ask,
    closed: closedNow(rules, { at: q.at, monthDay, sun, runId: q.run.id }),
  };
}
