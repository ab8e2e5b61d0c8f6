import type {
  Bring,
  Check,
  Flip,
  FlipThen,
  FlipWhen,
  FlyCode,
  Lost,
  Nothing,
  Reason,
  Second,
  SignCode,
  SignFact,
  ToRead,
  Turn,
} from '@/core/answer';
import { PALE, SMALL_M } from '@/core/answer/flies';
import { describeFly, describeRig, type FlyItem, isWetFly } from '@/core/tackle';
import type { QuickReading } from '@/core/water';
import { ranksOf } from './answer';
import { stepWords } from './changes';
import { openingWords } from './cast';
import { capital } from './capital';
import { format, type UnitSystem } from './units';
import { ofTen, percent } from './counting';

const sentence = (words: string): string => `${capital(words)}.`;

/** Currents a streamer is swung in: as fast as one strolls, and as one walks, m/s. */
const STROLL_MPS = 0.35;
const WALK_MPS = 0.65;
const paceWords = (mps: number): string =>
  mps < STROLL_MPS
    ? 'slow: the current just swings a streamer'
    : mps < WALK_MPS
      ? 'a stroll: the current swings a streamer well'
      : 'a walking pace: the current swings a streamer well';

type Says = (s: SignFact, as: Readonly<Record<'depth' | 'speed' | 'visibility' | 'temp', string>>) => string;

/** What is read for a method, or against it. */
const SIGNS: Record<SignCode, Says> = {
  rippled: (_, { depth }) => `${depth} deep and rippled: soft-hackle water`,
  'swings well': (s, { depth, speed }) => `${depth} deep at ${speed}, ${paceWords(s.speedMps)}`,
  'enough to swing': (_, { depth }) => `${depth} of water is enough to swing a streamer`,
  slack: (_, { depth, speed }) => `${depth} deep with hardly any current (${speed}): a fly does not swing there`,
  creeps: (_, { speed }) => `a creeping current (${speed}): draw the fly by hand rather than swing it`,
  'works the fly': (_, { speed }) => `the current (${speed}) works the fly`,
  'small stream': () => 'a small stream: fish up it, from below the fish',
  pockets: (_, { depth }) => `${depth} of water over stones: only the pockets fish`,
  dirty: (_, { visibility }) => `${visibility} visibility: deep, slow and dark`,
  mud: (_, { visibility }) => `${visibility} visibility is mud: put the fly on the fish’s nose`,
  clear: (s, { visibility }) => `${s.low ? 'low and clear' : 'clear water'} (${visibility} visibility)`,
  cold: (_, { temp }) => `cold water (${temp}): fish move little and slowly`,
  'up to the surface': (_, { temp }) => `warm, clear water in soft light (${temp}): the fly may ride up to the surface`,
  'not for waking': () => 'not the hour for a waking fly',
  travellers: ({ quarry }) => `${quarry} rest along seams: swing a good-sized fly evenly over the water`,
  'brown trout by wood': () => 'brown trout by wood and cover',
  rises: () => 'rising fish',
  'few rises': () => 'insects about, but few rises',
  hatch: () => 'a hatch on the water',
  fry: () => 'fry about',
  crayfish: () => 'crayfish on the bed',
  refusals: () => 'fish look and refuse',
  'party ahead': () => 'somebody has just fished it: show them something else',
  juveniles: () => 'young fish pluck at small flies',
  footprints: () => 'fished before you today',
  'one big fish': () => 'you want one big fish',
  numbers: () => 'you want many fish',
  beginner: () => 'action for a beginner',
  'strong tongue': (_, { speed }) => `a strong tongue (${speed}) carries the line`,
  flat: () => 'flat water hides neither fly nor line',
  fast: (_, { speed }) => `fast water (${speed})`,
};

/** What is read for a method, or against it. @example signWords(fact, 'metric') // '1.20 m deep and rippled: soft-hackle water' */
export const signWords = (s: SignFact, units: UnitSystem): string =>
  SIGNS[s.sign](s, {
    depth: format('depth', s.depthM, units),
    speed: format('speed', s.speedMps, units),
    visibility: format('depth', s.visibilityM, units),
    temp: format('temperature', s.tempC, units),
  });

/** What speaks for a fly. */
const FLY_WORDS: Record<FlyCode, (fly: FlyItem) => string> = {
  method: ({ family }) => family,
  fry: ({ family, colour }) =>
    ['fry are about', family !== 'rabbit strip' && 'slim', PALE.has(colour) && 'pale'].filter(Boolean).join(', '),
  crayfish: () => 'crayfish are about',
  hatch: () => 'insects are about',
  'yellow light': ({ colour }) =>
    colour === 'tan' ? 'tan shows well in yellow light' : 'a fly that rides up suits yellow light',
  'party ahead': ({ lengthM }) => `other than what they have just seen: ${lengthM <= SMALL_M ? 'smaller' : 'red'}`,
  juveniles: () => 'too big for the young fish',
  cold: () => 'goes down to fish that stay low in the cold',
  steelhead: (fly) => (isWetFly(fly) ? 'a light wet, as steelhead are shown' : 'it waves, as steelhead like it'),
  'sea trout': () => 'slim, as sea trout like it',
  size: () => 'the right size',
  murk: () => 'dark and deep in dirty water',
  'tan in yellow light': () => 'yellow light: tan',
  'bright day': () => 'bright day, bright fly',
  'soft light': () => 'soft light, dark fly',
  natural: () => 'a natural colour',
  contrast: () => 'stands out against this water',
  sight: () => 'how far fish see it',
  'over stones': () => 'rides over the stones',
  'point up': () => 'its point rides up',
};
export const flyCodeWords = (code: FlyCode, fly: FlyItem): string => FLY_WORDS[code](fly);

const CARRIED_BY = {
  sight: 'seen from further',
  size: 'nearer the right size',
  method: 'better for this way of fishing',
} as const;

/** Why this fly. */
function flyWords({ fly, why }: Extract<Reason, { code: 'fly' }>): string {
  switch (why.code) {
    case 'speaks for it':
      return [...new Set(why.codes.map((code) => flyCodeWords(code, fly)))].join('; ');
    case 'on, another suits better':
      return `tied on already; ${describeFly(why.than)} would suit this water better`;
    case 'fishes better on this rig':
      return `fishes better on this rig than ${describeFly(why.than)}`;
    case 'nearest':
      return 'the nearest in the bag to what this water wants';
    case 'carried by':
      return `${CARRIED_BY[why.by]} than ${describeFly(why.than)}`;
  }
}

/** That the best there is does not pass as wanted, the water being as read. */
const OFF = { 'too shallow': ', too high', 'too deep': ', too deep', 'on the bed': ', on the bed there' } as const;

/** A reading that decided. */
export function reasonWords(r: Reason, units: UnitSystem): string {
  const m = (d: number) => format('depth', d, units);
  switch (r.code) {
    case 'no use':
      return sentence(`${r.method} would be the way in such water, but reaches no lie here well`);
    case 'sign':
      return sentence(signWords(r, units));
    case 'depth': {
      const wants = `lie ${r.lie} is ${m(r.depthM)} deep at ${format('speed', r.speedMps, units)} and wants the fly at ${m(r.topM)} to ${m(r.bottomM)}`;
      const off = OFF[r.fit as keyof typeof OFF] ?? '';
      const less = r.lighter ? `; ${r.lighter.tip} rides ${m(r.lighter.higherM)} higher` : '';
      return sentence(`${wants}: ${r.tip ? `on ${r.tip} ` : ''}yours passes at ${m(r.passesM)}${off}${less}`);
    }
    case 'fly':
      return sentence(`${describeFly(r.fly)}: ${flyWords(r)} (${m(r.visibilityM)} visibility)`);
    case 'opening':
      return openingWords(r.rule);
  }
}

/** Why there is no set-up for a run. */
export function nothingWords(n: Nothing): string {
  switch (n.code) {
    case 'no water':
      return 'No water here suits the fish you are after at this level.';
    case 'rig not allowed':
      return 'Your rig is not allowed here. Change it under Rig.';
    case 'no cast':
      return 'Every cast here would swing over the redd or land on the bank. Leave this run alone.';
    case 'bag lacks':
      return `Your bag has no ${n.lacks.map((t) => (t === 'head' ? 'line' : t)).join(', no ')}. Add one under Bag.`;
    case 'no fly':
      return 'No fly in your bag can be fished here.';
    case 'bag not allowed':
      return 'Nothing in your bag is allowed here.';
  }
}

const TACKLE = {
  outfit: 'but its rod and line suit this water and these fish less',
  light: 'but it sinks more than needed',
  turnsOver: 'but its line hardly turns over what hangs on it',
  leader: 'but its leader suits it less',
} as const;

function lostWords(why: Lost, units: UnitSystem): string {
  switch (why.code) {
    case 'as good':
      return 'as good: take what is at hand';
    case 'finds less':
      return '';
    case 'little between':
      return 'there is little between them';
    case 'water speaks less':
      return 'but the water suits it less';
    case 'fly suits less':
      return 'but its fly suits this water and light less';
    case 'costs more':
      return `but the change takes ${Math.round(why.moreS)} s longer`;
    case 'sign':
      return `but ${signWords(why, units)}`;
    case 'tackle':
      return TACKLE[why.part];
  }
}

/** What came second, and why it lost. */
export function secondWords({ fished, against, why }: Second, units: UnitSystem): string {
  const name = `${fished.setup.method}, ${describeRig(fished.setup.rig)}`;
  const found = `covers ${percent(fished.found)} of the willing fish in an hour, against ${percent(against)}`;
  return sentence([`${name}: ${found}`, lostWords(why, units)].filter(Boolean).join('; '));
}

export function whenWords(w: FlipWhen, units: UnitSystem): string {
  switch (w.code) {
    case 'deeper':
      return `${format('depth', w.byM, units)} deeper than read`;
    case 'shallower':
      return `${format('depth', w.byM, units)} shallower than read`;
    case 'faster':
      return 'A third faster than read';
    case 'slower':
      return 'A third slower than read';
    case 'clears':
      return `The water clears to ${format('depth', w.toM, units)} visibility`;
    case 'colours':
      return `The water colours to ${format('depth', w.toM, units)} visibility`;
    case 'warms':
      return `The water warms to ${format('temperature', w.toC, units)}`;
    case 'light goes':
      return 'The light goes';
    case 'hatch':
      return 'Insects come up, with few rises';
    case 'refusals':
      return 'Fish look and refuse';
    case 'hatch stops':
      return 'The hatch stops';
  }
}

export const thenWords = (t: FlipThen): string =>
  t.code === 'tip'
    ? (t.tip ?? 'no tip')
    : `${t.method} with the ${describeFly(t.fly)}${t.angleDeg === null ? '' : `, cast at ${t.angleDeg}°`}`;

/** What would change the answer. @example flipWords(flip, 'metric') // '0.15 m deeper than read: 10 ft heavy.' */
export const flipWords = ({ when, then }: Flip, units: UnitSystem): string =>
  `${whenWords(when, units)}: ${thenWords(then)}.`;

/** What to see at the river when it is right. */
export function checkWords(c: Check): string {
  switch (c.code) {
    case 'tight':
      return c.byS < 1.5
        ? 'The line should come tight at once.'
        : `The line should come tight by the count of ${Math.round(c.byS)}.`;
    case 'wake':
      return 'The fly should draw a wake all the way; where it dives, hold the rod higher.';
    case 'float drift':
      return 'The float should stand upright and keep pace with the foam; where it dips on every drift, set the fly shallower.';
    case 'drift':
      return 'The fly should come down as fast as the foam; once the line draws tight the drift is over.';
    case 'touches':
      return `The fly touches the bed ${c.times === 1 ? 'once' : `${c.times} times`} here: now and then is right, on every cast lighten.`;
    case 'touch now and then':
      return 'A touch of the bed now and then shows the right depth; on every cast, lighten.';
    case 'no touch':
      return 'The fly should not touch the bed; a splash behind it means that it skates: sink it a step.';
    case 'out of sight':
      return `A pale fly would go out of sight after ${Math.round(c.afterS)} s.`;
  }
}

/** What to do, and what it should bear out. */
const DO: Record<QuickReading, string> = { float: 'time a float', staff: 'measure a depth' };
const BEARS_OUT: Record<QuickReading, string> = { float: 'the speed', staff: 'the depth' };

/** The reading to take before one begins. */
export function toReadWords({ read, lies, ofTen: tens, nowOfTen }: ToRead): string {
  const what = read.map((r) => DO[r]).join(' and ');
  const bears = read.length > 1 ? 'both confirm the reading' : `it confirms ${BEARS_OUT[read[0]!]}`;
  const where = `${lies.length > 1 ? 'lies' : 'lie'} ${ranksOf(lies.map((rank) => ({ rank })))}`;
  return `First ${what}: if ${bears}, the fly is well shown in ${ofTen(tens / 10)} swings at ${where}, not in ${Math.round(nowOfTen)}.`;
}

/** The tip to bring next time. */
export const bringWords = ({ kind, lengthM, sinkRateMps }: Bring, units: UnitSystem): string =>
  `Next time bring ${format('length', lengthM, units)} of ${kind} tip (${format('sinkRate', sinkRateMps, units)}): it takes this fly nearer to the fish.`;

/** What to try next. */
export const turnWords = ({ step, method }: Turn, units: UnitSystem): string =>
  step ? stepWords(step, units) : `Fish the same fly another way: ${method}`;
