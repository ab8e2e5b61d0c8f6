import type { CastPlan, Hands } from '../cast';
import type { RiverThen } from '../gauge';
import type { FlyColour, FlyFamily, Rig } from '../tackle';
import type { Reading, Sky } from '../water';
import type { Did } from './asSimulated';

export const TAKE_PLACES = [
  'landing',
  'sinking',
  'coming tight',
  'mid-swing',
  'soft inside',
  'dangle',
  'strip',
  'lift',
  'pick-up',
] as const;
export type TakePlace = (typeof TAKE_PLACES)[number];
/** Where each is on the swing, as a share of the way to the dangle. */
export const SHARE_OF_SWING: Readonly<Record<TakePlace, number>> = {
  landing: 0,
  sinking: 0.08,
  'coming tight': 0.15,
  'mid-swing': 0.45,
  'soft inside': 0.8,
  dangle: 1,
  strip: 1,
  lift: 1,
  'pick-up': 1,
};
/** Where it was not said. */
export const USUAL_PLACE: TakePlace = 'mid-swing';

/** How it was noticed. */
export const TAKE_SIGNS = ['line end', 'felt', 'float', 'seen'] as const;
export type TakeSign = (typeof TAKE_SIGNS)[number];

/** What it was; `follow` and `roll` are signs of fish, not takes. */
export const TAKE_KINDS = ['pluck', 'thump', 'stop', 'follow', 'roll', 'hooked', 'lost', 'landed'] as const;
export type TakeKind = (typeof TAKE_KINDS)[number];

/** Fish that take sunk flies; an open list: whatever else takes is entered by name. */
export const SPECIES = [
  ...['brown trout', 'rainbow trout', 'cutthroat trout', 'brook trout', 'sea trout', 'steelhead', 'char', 'grayling'],
  ...['whitefish', 'salmon'],
] as const;

export interface Fish {
  readonly species: string;
  readonly lengthM: number | null;
  readonly sex: 'male' | 'female' | null;
  readonly condition: string;
  readonly origin: 'wild' | 'marked' | null;
}

/** What of the cover one chose for oneself: the same stand and angle again and again; from one stand all round; the run once more;
 * on to another lie; or only where one stands by now. */
export const GO_WAYS = ['same lane', 'fan', 'again', 'skip', 'here', 'plan'] as const;
export type GoWay = (typeof GO_WAYS)[number];

/** What is remembered of the fly of a day that was entered afterwards; null: not known. */
export interface RememberedFly {
  readonly name: string;
  readonly colour: FlyColour | null;
  readonly family: FlyFamily | null;
}
/** What is remembered of the water of such a day. */
export interface RememberedWater {
  readonly levelM: number | null;
  readonly visibilityM: number | null;
  readonly waterTempC: number | null;
  readonly sky: Sky | null;
}

/** An outing that entries went to, or came from, as it was then. */
export interface OutingFacts {
  readonly outingId: string;
  readonly waterId: string;
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly notes: string;
}

/** One thing that was logged. Events are only ever appended; `undo` takes back an earlier one, `amend` says it anew. */
export interface EventBase {
  readonly id: string;
  /** ms UTC */
  readonly at: number;
  readonly runId: string | null;
  /** Where the angler stood, m down the run and out from the described bank. */
  readonly xM: number | null;
  readonly yM: number | null;
  /** Key of the rig in force, as given by the last `rig` event with it. */
  readonly rig: string | null;
}

/** What happened on the water. */
export type Happened = EventBase &
  (
    | { readonly kind: 'run start'; readonly runName: string }
    | { readonly kind: 'run end' }
    | { readonly kind: 'rig'; readonly set: Rig }
    | {
        readonly kind: 'reading';
        readonly reading: Reading;
        /** What the gauge said of the river just then; not said: nobody knows. */
        readonly river?: RiverThen;
      }
    | {
        readonly kind: 'cast';
        /** The whole of it: stand, length, angle, hands, way. The rig is the one in force (`rig`). */
        readonly plan: CastPlan;
        /** What the engine said that it did; not said: it had not been simulated yet. */
        readonly did?: Did;
      }
    | { readonly kind: 'step'; readonly byM: number }
    /** Where one goes on from is the event's own place. */
    /** `afloat`: one fishes from a boat there. */
    | { readonly kind: 'go'; readonly how: GoWay; readonly lie: number | null; readonly afloat?: true }
    /** How the fly is shown from now on; null: as was planned. */
    | { readonly kind: 'way'; readonly hands: Hands | null }
    /** From now on what is on is held against another fly, or another way to show it, so many casts each in turn; both null: no
     * longer. */
    | { readonly kind: 'trial'; readonly flyId: string | null; readonly hands: Hands | null; readonly block: number }
    | {
        readonly kind: 'take';
        readonly where: TakePlace | null;
        readonly sign: TakeSign | null;
        readonly what: TakeKind;
        readonly juvenile: boolean;
        readonly fish: Fish | null;
        /** Which fly of the rig, from the point upwards: 0 the point fly; not said: not known. */
        readonly place?: number;
        /** Taken on this fly, which is no part of the rig: a dry, a nymph. It stands under none of the rig's. */
        readonly on?: string;
      }
    /** A fish rose, to what drifts and not to the fly. */
    | { readonly kind: 'rise' }
    | { readonly kind: 'bed' }
    | { readonly kind: 'hang-up' }
    | { readonly kind: 'fly lost' }
    | { readonly kind: 'fouled' }
    | { readonly kind: 'rest'; readonly minutes: number }
    | { readonly kind: 'note'; readonly text: string }
    | {
        /** Casts and takes that were not counted one by one, but remembered, or stand in another’s list. */
        readonly kind: 'estimate';
        /** null: nothing is known of how much was fished. */
        readonly casts: number | null;
        /** Beyond those that are logged by themselves. */
        readonly takes: number;
        readonly minutes: number | null;
        /** Whether the hours of the stay are known, and not only its day. */
        readonly timed: boolean;
        /** null: the rig in force. */
        readonly fly: RememberedFly | null;
        /** null: the reading in force. */
        readonly water: RememberedWater | null;
      }
  );

/** What was said of the log afterwards. */
export type Correction = EventBase &
  (
    | { readonly kind: 'undo'; readonly undoes: string }
    /** The entry with the id of `to` is `to` from now on; where there is none, it was missed as it happened. */
    | { readonly kind: 'amend'; readonly to: Happened }
    /** These entries stand in another outing from now on. */
    | { readonly kind: 'split'; readonly ids: readonly string[]; readonly outing: OutingFacts }
    /** These entries came from another outing, which is no more. */
    | { readonly kind: 'join'; readonly ids: readonly string[]; readonly outing: OutingFacts }
  );

export type LogEvent = Happened | Correction;
export type EventKind = LogEvent['kind'];
export type EventOf<K extends EventKind> = Extract<LogEvent, { kind: K }>;

/** All kinds; the compiler finds one that is missing or unknown. What is true of one is taken back by `undo`. */
const KINDS: Record<EventKind, { readonly undoable: boolean }> = {
  'run start': { undoable: false },
  'run end': { undoable: false },
  rig: { undoable: false },
  reading: { undoable: false },
  cast: { undoable: true },
  step: { undoable: false },
  go: { undoable: true },
  way: { undoable: true },
  trial: { undoable: true },
  take: { undoable: true },
  rise: { undoable: true },
  bed: { undoable: true },
  'hang-up': { undoable: true },
  'fly lost': { undoable: true },
  fouled: { undoable: true },
  rest: { undoable: true },
  note: { undoable: true },
  estimate: { undoable: true },
  undo: { undoable: false },
  amend: { undoable: false },
  split: { undoable: false },
  join: { undoable: false },
};
export const EVENT_KINDS = Object.keys(KINDS) as EventKind[];

/** Whether the angler can take an event back by itself; a step goes with its cast, the rest stays. */
export const isUndoable = (e: LogEvent): boolean => KINDS[e.kind].undoable;

const CORRECTIONS: readonly EventKind[] = ['undo', 'amend', 'split', 'join'];
export const isCorrection = (e: LogEvent): e is Correction => CORRECTIONS.includes(e.kind);

const isContact = (e: EventOf<'take'>): boolean => !e.juvenile && e.what !== 'follow' && e.what !== 'roll';
/** A contact of the rig's flies with a fish that is no juvenile; follows and rolls are signs of fish. */
export const isTake = (e: EventOf<'take'>): boolean => isContact(e) && e.on === undefined;
/** The same on a fly that is no part of the rig: it counts in no rate of its casts. */
export const isOnOther = (e: EventOf<'take'>): boolean => isContact(e) && e.on !== undefined;

/** What an event says beyond when, where and with what. */
export type EventBody = LogEvent extends infer E ? (E extends LogEvent ? Omit<E, keyof EventBase> : never) : never;
