import type { DoubtFit, Eye } from '@/core/practice/eye';
import { HOUR_S, type HourEnd, type HourSoFar, type NotCast } from '@/core/practice/hour';
import type { Marked } from '@/core/practice/marks';
import type { OnWater } from '@/core/practice/onWater';
import type { GameKind, Sureness } from '@/core/practice/played';
import { capital } from './capital';
import { percent, several } from './counting';
import { format, formatLevel, type UnitSystem } from './units';

/** What is asked. */
export const GAME_TITLES: Readonly<Record<GameKind, string>> = {
  hour: 'The casting hour',
  lies: 'Where do they hold?',
  depth: 'How deep is it?',
  speed: 'How fast is it?',
  stand: 'Where do you stand?',
  order: 'In which order?',
  fly: 'Which fly?',
  tip: 'Which tip?',
  angle: 'Which angle?',
  change: 'What do you change?',
  moment: 'When does it happen?',
  hang: 'How deep does it hang?',
  stay: 'Rest, change or leave?',
  day: 'Which day?',
  luck: 'Better, or lucky?',
};
/** What one practises by it. */
export const GAME_HINTS: Readonly<Record<GameKind, string>> = {
  hour: 'Hidden fish, your own casts, an hour in quick time',
  lies: 'Tap three places on a run',
  depth: 'Read the bed from the surface',
  speed: 'Read the current from the bed',
  stand: 'Four positions, one lie',
  order: 'Three lies, one fly',
  fly: 'Four flies, a day and a school of colour',
  tip: 'One cast, four tips, one lie',
  angle: 'Flat, or square across the current',
  change: 'The smallest change that mends the cast',
  moment: 'A swing plays: tight, touching, rising',
  hang: 'Line, tip and current below you',
  stay: 'A few casts, and what came of them',
  day: 'A hydrograph, four days',
  luck: 'Two flies, a few takes',
};

export const SURENESS_WORDS: Readonly<Record<Sureness, string>> = {
  sure: 'sure, ±10 %',
  fairly: 'fairly, ±25 %',
  'a guess': 'a guess, ±60 %',
};

export const SURE_WORDS: Readonly<Record<Sureness, string>> = {
  sure: 'sure',
  fairly: 'fairly sure',
  'a guess': 'a guess',
};

/** Ranges that hold so much more or less often than four times in five are of one who is less, or more, sure than he should be. */
const FITS = 0.13;
/** Whether a range holds as it should. @example doubtWords({ sure: 'sure', rounds: 10, held: 0.5 }) */
export function doubtWords({ sure, rounds, held }: DoubtFit): string {
  const says = `${capital(SURE_WORDS[sure])}: your range held in ${Math.round(rounds * held!)} of ${several(rounds, 'round')}`;
  if (held! < 0.8 - FITS) return `${says}: take a wider one.`;
  return held! > 0.8 + FITS ? `${says}: a narrower one would do.` : `${says}, as it should.`;
}

/** The day of a round’s run: "Steelhead, level +12 cm, visibility 1.20 m, 8 °C, overcast". */
export function dayWords({ water: { quarry, reading } }: OnWater, units: UnitSystem): string {
  const temp = reading.waterTempC === null ? '' : `, ${format('temperature', reading.waterTempC, units)}`;
  return `${capital(quarry)}, level ${formatLevel(reading.levelM, units)}, visibility ${format('depth', reading.visibilityM, units)}${temp}, ${reading.sky}`;
}

/** What a round’s picture shows. @example 'An invented glide, 60 m long, from above' */
export function runSummary({ water: { kind, run } }: OnWater, units: UnitSystem): string {
  const length = format('length', run.lengthM, units);
  return kind === null ? `${run.name}, ${length} long, from above` : `An invented ${kind}, ${length} long, from above`;
}

/** What an answer was worth. */
export const markedWords = ({ marks, held }: Marked): string =>
  `${Math.round(marks)} of 100 marks${held === undefined ? '' : held ? ', within your range' : ', outside your range'}.`;

const OF: Partial<Record<GameKind, string>> = { depth: 'depth', speed: 'current', hang: 'the hang of the fly' };

/** One’s eye for one kind of question, in sentences. */
export function eyeWords(e: Eye): string[] {
  if (e.played === 0) return [GAME_HINTS[e.kind]];
  const out = [
    `${Math.round(e.marks!)} of 100 marks lately; ${several(e.played, e.kind === 'hour' ? 'hour' : 'round')} played`,
  ];
  if (e.bias !== null && e.biased) {
    const by = Math.abs(e.bias - 1);
    out.push(`You read ${OF[e.kind]} ${percent(by)} too ${e.bias > 1 ? 'high' : 'low'}`);
  }
  if (e.held !== null && e.held < 0.65)
    out.push(`Your range holds ${Math.round(10 * e.held)} times in 10: say less sure`);
  if (e.held !== null && e.held > 0.95) out.push('Your range always holds: say surer');
  return out;
}

/** Asks whether a pace by eye is to be corrected by what the eye is known for. @example correctPaceWords(1.2) */
export const correctPaceWords = (bias: number): string =>
  `On the practice ground you read currents ${percent(Math.abs(bias - 1))} too ${bias > 1 ? 'fast' : 'slow'}. Correct this pace by that?`;

/** Why a cast of one’s own is not made. */
export const NOT_CAST: Readonly<Record<NotCast, string>> = {
  stand: 'The water there is too deep or too fast to stand in, or your feet would scare a lie. Move.',
  line: 'Too little line: the head has to leave the rod tip. Lengthen.',
  snag: 'That swing ends in wood, or over a redd. Cast elsewhere.',
};

/** What a cast of the hour brought. */
export const castWords = ({ casts }: HourSoFar, took: number): string =>
  `Cast ${casts.length}: ${took === 0 ? 'no fish' : took === 1 ? 'a fish took' : `${took} fish took`}.`;

/** @example timeLeft(played) // '48 minutes left' */
export const timeLeft = ({ seconds }: HourSoFar): string =>
  `${several(Math.max(0, Math.round((HOUR_S - seconds) / 60)), 'minute')} left`;

/** How an hour went, the answer first. */
export function hourEndWords({ found, guide, took, of }: HourEnd): string[] {
  const out = [
    `${took} of ${of} fish took.`,
    `Your casts find ${percent(found)} of the willing fish in the mean; a guide’s hour with this rig finds ${percent(guide)}.`,
  ];
  const luck = took - found * of;
  if (luck >= 1.5) out.push('You were lucky: these casts usually find fewer.');
  else if (luck <= -1.5) out.push('You were unlucky: these casts usually find more.');
  return out;
}
