import {
  balanceOf,
  consequencesOf,
  endSinks,
  holdsN,
  isMonoRig,
  leaderLengthM,
  type Rig,
  type TipItem,
  tippetOf,
  xSizeOf,
} from '../tackle';
import { G, POUND_KG } from '../units';
import { meanWidthM } from '../water';
import type { Method } from './methods';
import type { Situation } from './situation';
import { WEIGHTS } from './weights';

/** Methods that want a soft hand: a light rod, a taper, a fine tippet. */
const isSoft = (method: Method): boolean => method === 'soft hackles on the swing' || method === 'drift or float';

/** What a light line and a soft landing suit: no more than a light sinking leader. */
const isLight = (method: Method): boolean => MOST_TIP[method] <= LIGHT;
/** Wider than this sea trout are fished for with two hands, too (common practice, no source), m. */
const WIDE_M = 35;
/** Whether one comes with two hands: for steelhead, and to sea trout on a wide river. */
const isTwoHanded = (s: Situation): boolean =>
  s.migrant && !s.small && (s.quarry === 'steelhead' || meanWidthM(s.channel) > WIDE_M);

/** Rods by line number: 4 for soft hackles, 5 to 7 for streamers, 7 to 8 for steelhead (handbook of the trade, practice), between
 * for sea trout; near wood one up. */
function wantedLine(s: Situation, method: Method): number {
  const soft = isSoft(method);
  const streamers = s.migrant ? (isTwoHanded(s) ? 7.5 : 6.5) : s.small ? 4.5 : 6;
  return soft ? (s.migrant ? 6 : s.small ? 4.5 : 4) : streamers + (s.wood ? 0.5 : 0);
}
const PER_LINE = 0.12;
/** A switch rod on a small stream; one hand where two are the usual: it can be done. */
const WRONG_HANDS = 0.75;
/** A two-hander on a small stream: its head alone is longer than the water is wide. */
const TOO_MUCH_ROD = 0.5;
/** Two hands where one is the usual: more rod than is needed; a switch rod is where trout are fished for short under a raised hand. */
const LONG_ROD = 0.8;
const OUT_OF_BALANCE = 0.6;

/** How well rod and line serve. */
function outfitFits(s: Situation, method: Method, rig: Rig): number {
  const { rod, head } = rig;
  const line = Math.exp(-PER_LINE * Math.abs(rod.lineNumber - wantedLine(s, method)));
  const two = rod.hands === 2;
  // A drift is mended and lifted with one hand, whatever the fish.
  const short = isTwoHanded(s) && !two && method !== 'drift or float';
  const hands =
    s.small && two && !rod.switch
      ? TOO_MUCH_ROD
      : (s.small && two) || short
        ? WRONG_HANDS
        : two && !isTwoHanded(s) && (!rod.switch || (isSoft(method) && !s.migrant))
          ? LONG_ROD
          : 1;
  // Long tapers lay small flies softly; short heads throw heavy tips (handbook of the trade).
  const shape =
    (isLight(method) && head.shape === 'short') || (!isLight(method) && head.shape === 'long' && two) ? 0.9 : 1;
  return line * hands * shape * (balanceOf(rig).fits === 'right' ? 1 : OUT_OF_BALANCE);
}

/** How deep a tip takes a fly, to sort by: its length and sink rate. */
export const takesDown = (tip: TipItem | null): number => (tip ? tip.lengthM * tip.sinkRateMps : 0);

/** How much line sinks, and how fast, m²/s. */
export const sinking = (rig: Rig): number =>
  takesDown(rig.tip) +
  rig.head.sinkRatesMps.reduce((sum, r) => sum + (r * rig.head.lengthM) / rig.head.sinkRatesMps.length, 0);
/** What a tip may take down for a method, m²/s: soft hackles ride behind a light sinking leader at the most, what wakes behind
 * none (handbook of the trade). */
const LIGHT = 0.25;
export const MOST_TIP: Readonly<Record<Method, number>> = {
  'soft hackles on the swing': LIGHT,
  'streamer on the swing': Infinity,
  strip: Infinity,
  upstream: LIGHT,
  'drift or float': LIGHT,
  'dip and draw': Infinity,
  hang: Infinity,
  'wake fly': 0,
};

/** A line that sinks more than the method bears. */
const TOO_MUCH = 0.5;

/** The lightest that reaches; soft hackles behind a light leader at the most; lead eyes cost casting and the soft inside. */
function lightness(s: Situation, method: Method, rig: Rig): number {
  const sinks = sinking(rig);
  const soft = sinks > MOST_TIP[method] ? TOO_MUCH : 1;
  // One dense line that is kept moving is not lightened for the soft edge (a school).
  const lighter = s.school.tip === 'one dense line kept moving' ? 0 : WEIGHTS.sinks;
  return (
    Math.exp(-(s.clear && s.low ? WEIGHTS.sinksInSight : lighter) * sinks) *
    soft *
    (rig.fly.weight === 'lead eyes' ? 0.9 : 1)
  );
}

/** Leaders [practice]: 3 to 5 ft behind a tip or sinker, 6 to 7 ft for two soft hackles behind a light one, 9 ft on a floating
 * line, 12 ft in low clear water; what wakes in low light is not looked at so closely, and turns over badly. */
function wantedLeaderM(s: Situation, method: Method, sinks: boolean): number {
  if (sinks) return method === 'soft hackles on the swing' || (s.clear && s.low) ? 1.9 : 1.2;
  return s.clear && s.low && method !== 'wake fly' ? 3.6 : 2.7;
}
const NEAR_WOOD_N = 10 * POUND_KG * G;
/** What travelling fish are played on at the least, some 8 lb with its knots (common practice, no source). */
const MIGRANT_N = 0.8 * 8 * POUND_KG * G;
const FINE_X = 3.5;
/** A streamer on what the school would not tie it to; more than its turning over a little worse counts. */
const OTHER_TIPPET = 0.7;
/** Less than what stops a fish by wood; in clear water, where it is looked at, no school adds to that. */
const BY_WOOD = 0.6;

export function leaderMerit(s: Situation, method: Method, rig: Rig): number {
  const wantedM = wantedLeaderM(s, method, endSinks(rig));
  const leads = method === 'drift or float' && isMonoRig(rig); // it is as long as the drift
  const length = leads ? 1 : Math.exp(-Math.abs(Math.log(leaderLengthM(rig.leader) / wantedM)));
  const tippet = tippetOf(rig.leader);
  const strong = holdsN(rig) >= 0.85 * NEAR_WOOD_N;
  const soft = isSoft(method);
  const fine = xSizeOf(tippet.diameterM) >= FINE_X || s.migrant;
  const suits = soft || s.school.tippet === 'finer' ? fine : strong;
  const school = suits ? 1 : soft ? 0.85 : OTHER_TIPPET;
  const wood = s.wood && !strong ? BY_WOOD : 1;
  const tied = s.wood && s.clear ? wood : school * wood;
  const big = s.migrant && holdsN(rig) < MIGRANT_N ? 0.5 : 1;
  return length * tied * big * levelsOf(rig);
}

/** What follows from how it is put together, as a factor. */
const levelsOf = (rig: Rig): number =>
  consequencesOf(rig)
    .filter((c) => c.of === 'turnover' || c.of === 'tie' || c.of === 'slip' || c.of === 'float')
    .reduce((m, c) => m * (c.level === 'bad' ? 0.2 : c.level === 'care' ? 0.85 : 1), 1);

/** More tip or fly than turns over: it can be lobbed. */
const TOO_HEAVY = 0.7;

/** How well the parts of a rig serve a method, each 0 to 1: rod and line, sinking no more than is needed, what the line turns over, and
 * the leader. */
export function fitsOf(s: Situation, method: Method, rig: Rig) {
  const b = balanceOf(rig);
  return {
    outfit: outfitFits(s, method, rig),
    light: lightness(s, method, rig),
    turnsOver: (b.tipTooHeavy ? TOO_HEAVY : 1) * (b.flyTooHeavy ? TOO_HEAVY : 1),
    leader: Math.sqrt(leaderMerit(s, method, rig)),
  };
}
