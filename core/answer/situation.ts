import type { Means } from '../cast';
import { type FishLie, type LieOptions, MIGRANTS, type Quarry } from '../lies';
import type { Breach, WaterRules } from '../rules';
import { type KitItem, type Rig } from '../tackle';
import {
  type Channel,
  CLEAR_M,
  COME_UP_C,
  froude,
  isSmallStream,
  type Reading,
  type Run,
  seenDownM,
  type Sighting,
  TYPICAL_DAY,
} from '../water';
import type { Ask, Goal } from './goals';
import { schoolDayOf, schoolsOn } from './schoolDay';
import type { Schools } from './schools';

/** All that an answer follows from. */
export interface AnswerRequest {
  readonly run: Run;
  readonly channel: Channel;
  /** Where fish hold today, the best first. */
  readonly lies: readonly FishLie[];
  readonly reading: Reading;
  readonly quarry: Quarry;
  /** By which the lies were looked for. */
  readonly options: LieOptions;
  readonly rules: WaterRules | null;
  readonly kit: readonly KitItem[];
  readonly means: Means;
  /** Altitude of the sun, degrees. */
  readonly sunDeg: number;
  readonly seen: readonly Sighting[];
  readonly goal: Goal;
  /** What the angler has chosen; the others go by quarry and water. */
  readonly schools: Partial<Schools>;
  readonly tiedOn: Rig | null;
  /** Other rods that stand ready. */
  readonly rigged: readonly Rig[];
  readonly ask: Ask;
  /** What closes the run now by its rules: season, hours, reach. */
  readonly closed: readonly Breach[];
}

/** Of a water's surface: where a fly and a fish are hidden, and where not. */
type Texture = 'flat' | 'rippled' | 'broken';

/** What decides the method: the holding water as it is, what is seen, and the day. */
export interface Situation extends AnswerRequest {
  readonly school: Schools;
  /** Means over the lies, the better weighing more. */
  readonly depthM: number;
  readonly speedMps: number;
  readonly texture: Texture;
  /** Hardly any current over some depth: nothing swings. */
  readonly slack: boolean;
  /** Thin water over stones: only the few feet that matter fish. */
  readonly skinny: boolean;
  readonly small: boolean;
  readonly wood: boolean;
  readonly migrant: boolean;
  readonly visibilityM: number;
  readonly dirty: boolean;
  readonly mud: boolean;
  readonly clear: boolean;
  readonly low: boolean;
  readonly tempC: number;
  readonly cold: boolean;
  readonly warm: boolean;
  readonly bright: boolean;
  readonly dusk: boolean;
}

const SLACK = { speedMps: 0.2, depthM: 0.9 } as const;
const SKINNY_M = 0.6;
/** Pockets lie along a run that has a boulder for each so much of its length, m (assumed). */
const POCKET_M = 12;
const MUD_M = 0.12;
/** Froude numbers of a flat and of a broken surface: a pool's lower half and a riffle (Jowett 1993, from memory). */
const FLAT_TO = 0.09;
const BROKEN_FROM = 0.41;
/** The sun lower than this is dusk, degrees. */
const LOW_SUN_DEG = 5;

/** The mean of something over the lies, the better weighing more. */
const over = (lies: readonly FishLie[], of: (l: FishLie) => number): number =>
  lies.reduce((sum, l) => sum + l.score * of(l), 0) /
  Math.max(
    1e-9,
    lies.reduce((sum, l) => sum + l.score, 0),
  );

/** From here down a river is low, m: at its normal level it is not. */
const LOW_M = -0.05;

/** So many lies, the best, say what kind of water a run is. */
const TELLING = 6;

/** Reads the situation off a request. */
export function situationOf(q: AnswerRequest): Situation {
  const { reading, channel, run } = q;
  const lies = q.lies.slice(0, TELLING);
  const depthM = over(lies, (l) => l.depthM);
  const speedMps = over(lies, (l) => l.speedMps);
  const fr = froude(speedMps, depthM);
  const visibilityM = seenDownM(reading);
  const tea = reading.colour === 'tea';
  const { cold, dirty, bright, wood } = schoolDayOf(q);
  const tempC = reading.waterTempC ?? TYPICAL_DAY.waterTempC;
  const dusk = reading.sky === 'dusk' || q.sunDeg < LOW_SUN_DEG;
  const boulders = run.features.filter((f) => f.kind === 'boulder').length;
  const stones = run.bed === 'boulders' || boulders * POCKET_M >= run.lengthM;
  return {
    ...q,
    school: schoolsOn(q),
    depthM,
    speedMps,
    texture: fr < FLAT_TO ? 'flat' : fr > BROKEN_FROM ? 'broken' : 'rippled',
    slack: speedMps < SLACK.speedMps && depthM > SLACK.depthM,
    skinny: depthM < SKINNY_M && stones,
    small: isSmallStream(channel),
    wood,
    migrant: MIGRANTS.has(q.quarry),
    visibilityM,
    dirty,
    mud: visibilityM <= MUD_M,
    clear: !tea && visibilityM > CLEAR_M,
    low: reading.levelM < LOW_M,
    tempC,
    cold,
    warm: tempC >= COME_UP_C,
    bright,
    dusk,
  };
}
