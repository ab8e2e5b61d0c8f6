import type { Beyond, CastPlan, OpeningRule, OutOfReach, Way, WindAsks } from '@/core/cast';
import { byBank } from '@/core/cast/stand';
import type { Wind } from '@/core/water';
import { format, type UnitSystem } from './units';

/** What each way of fishing a cast is, and when one fishes it so. */
export const WAY_WORDS: Readonly<Record<Way, string>> = {
  swing: 'Across or down and tight, round to the dangle. Walking down with it takes tension out.',
  'swing and strip': 'A worked swing: once the line is tight, small pulses or strips; the fly falls back between them.',
  'timed rise': 'Short cast, mend and a step; let the fly sink on slack, then come tight so that it rises at the fish.',
  strip: 'Square or a little up, count it down, strip with rests. Pause before you lift: fish follow and take then.',
  'towed by the bow':
    'Quarter upstream and let the bow in the line run ahead and tow the fly; short strips across the tongue.',
  'upstream strip':
    'Cast up and strip back a little faster than the current: a new side for fish that have seen the swing.',
  'dead drift':
    'Slack line, and more of it fed, so that the fly drifts with the current. The swing begins when the slack is used up.',
  'tight drift':
    'Short and a little up, rod high: lead the fly at the pace of the current, tight; a twitch now and then.',
  'dip and draw':
    'From the head of a slack pool a long cast down, rod tip under water. Let the fly sink, then draw it up past you.',
  'sweep the hang':
    'Once the fly hangs in the tongue, move the rod tip across and back, drop back some line, draw again.',
  'lift at the end':
    'Feed slack with the tip downstream until the fly is below you, then lift it over the shelf like a hatching insect.',
};

/** How far out one stands. @example outWords(4, 'metric') // '4 m out' */
export const outWords = (yM: number, units: UnitSystem): string =>
  byBank(yM) ? 'by the bank' : `${format('length', yM, units)} out`;

/** Where a wind blows to, as one sees it from one's bank: a wind "upstream" is read both ways. */
export const WIND_BLOWS: Readonly<Record<Wind['from'], string>> = {
  downstream: 'up the river',
  upstream: 'down the river',
  behind: 'from my bank',
  across: 'onto my bank',
};

/** What to do about the wind. */
export function windWords({ from, shoulder, ontoYou }: WindAsks): string {
  if (shoulder && ontoYou)
    return `Wind ${WIND_BLOWS[from]} blows line and hook onto you. Cast backhand over your ${shoulder} shoulder, short, or fish from the other bank. Learn the ${shoulder}-shoulder cast with an instructor.`;
  if (shoulder)
    return `Wind ${WIND_BLOWS[from]}: cast over your ${shoulder} shoulder, so that line and hook blow away from you.`;
  return from === 'across'
    ? 'Wind onto your bank: cast short and low into the wind, with a tight loop.'
    : 'Wind from your bank: cast high in front and keep the back cast low. Hat and glasses on.';
}

/** By which rule one begins to swing. */
const OPENINGS: Record<OpeningRule, string> = {
  'soft hackles': 'Soft hackles swing at 30 to 45°.',
  dirty: 'Little visibility: a slow swing, 60 to 70°.',
  cold: 'Cold water: steeper and slower, about 60°.',
  'clear and low': 'Clear and low: wide and broadside, 90° and above.',
  'low light': 'Low light: an easy swing, about 60°.',
  between: 'Neither dirty nor clear: an angle between, 75°.',
};
export const openingWords = (by: OpeningRule): string => OPENINGS[by];

/** Why a lie cannot be reached from where one can stand, and what to do. */
export const outOfReachWords = ({ rank, why, acrossM }: OutOfReach, units: UnitSystem): string =>
  why === 'too far'
    ? `Lie ${rank} is ${format('length', acrossM, units)} out, beyond your cast from here. Fish it from the other bank, or where you can wade further out.`
    : `Lie ${rank} lies too near the head for this: there is no room to stand above it.`;

/** What goes beyond what the angler can do. */
export function beyondWords(b: Beyond): string {
  switch (b.code) {
    case 'never fished':
      return `You have never fished a ${b.line}.`;
    case 'head on two hands':
      return 'A head on a two-hander takes a sustained-anchor or an overhead cast.';
    case 'longer than':
      return b.what === 'comfortable'
        ? 'This cast is longer than your comfortable one.'
        : b.what === 'rod carries'
          ? `This cast is longer than a ${b.lineNumber}-weight carries in comfort.`
          : 'This cast is longer than a mono rig can be led.';
    case 'trees behind':
      return 'Trees behind: no room for an overhead cast.';
    case 'fine knots':
      return 'Fine knots: take readers, or tie rings and loops at home.';
  }
}

/** What is worth learning for it, with a qualified instructor; null where it is only to be left alone. */
export function worthLearning(b: Beyond): string | null {
  switch (b.code) {
    case 'never fished':
      return `casting and fishing a ${b.line}`;
    case 'head on two hands':
      return 'sustained-anchor casts';
    case 'trees behind':
      return 'roll and sustained-anchor casts';
    default:
      return null;
  }
}

/** An angle, to five degrees: no eye lays a line closer. @example angleWords(48.2) // '50°' */
export const angleWords = (angleDeg: number): string => `${5 * Math.round(angleDeg / 5)}°`;
/** One throw: to the metre or the foot, as closely as an arm can. @example throwWords(plan, 'metric') // 'cast 12 m at 60°' */
export const throwWords = ({ outM, angleDeg }: Pick<CastPlan, 'outM' | 'angleDeg'>, units: UnitSystem): string =>
  `cast ${format('length', outM, units)} at ${angleWords(angleDeg)}`;

/** A mend of no more than this is one flick of the rod, m. */
const ONE_MEND_M = 1;
/** The mend of a cast; empty where there is none. @example mendWords(3, 'metric') // 'mend 3 m upstream' */
export const mendWords = (mendM: number, units: UnitSystem): string =>
  mendM === 0
    ? ''
    : `mend ${Math.abs(mendM) <= ONE_MEND_M ? 'once' : format('length', Math.abs(mendM), units)} ${mendM > 0 ? 'upstream' : 'downstream'}`;
