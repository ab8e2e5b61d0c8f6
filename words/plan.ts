import type { DayCaution, Leg } from '@/core/plan/day';
import type { Dam, Release, Turnover } from '@/core/plan/dam';
import type { Goodness } from '@/core/plan/goodness';
import type { goingOn } from '@/core/plan/goingOn';
import type { Barred, HoursBecause } from '@/core/plan/hours';
import type { TemperatureRecord } from '@/core/plan/temperature';
import { clockText, minuteOfDay, spansText } from '@/core/plan/spans';
import type { DecidedBy, Reason, WaterChoice } from '@/core/plan/waters';
import { MINUTE_MS } from '@/core/units';
import { judgedWords } from './colour';
import { breachWords, hoursText } from './rules';
import { capital } from './capital';
import { format, type UnitSystem } from './units';
import { inTen, several } from './counting';

const clockOf = (at: number): string => clockText(minuteOfDay(at));
const inWords = (min: number): string =>
  min < 60 ? `${min} min` : `${Math.floor(min / 60)} h${min % 60 > 0 ? ` ${min % 60} min` : ''}`;

/** What a release means now. @example releaseWords(release, now) // 'Dam release at 07:00, in 25 min: be out of the water before.' */
export function releaseWords({ fromAt, toAt, clearAt }: Release, now: number): string {
  if (now >= toAt)
    return `Dam release ended at ${clockOf(toAt)}, still coming down: stay out until ${clockOf(clearAt)}.`;
  if (now >= fromAt) return `Dam release until ${clockOf(toAt)}: stay out of the water until ${clockOf(clearAt)}.`;
  const min = Math.max(1, Math.ceil((fromAt - now) / MINUTE_MS));
  return `Dam release at ${clockOf(fromAt)}, in ${inWords(min)}: be out of the water before.`;
}

/** What to beware of below a dam, before anything else. */
export const damWords = ({ releases, entered }: Dam): string =>
  entered && releases.length === 0
    ? 'No dam release that day, by the hours you entered. Hours change without notice. A siren, or water that rises without rain: get out at once.'
    : releases.length > 0
      ? `Dam releases ${spansText(releases)}, as you entered them: be out of the water before, and for an hour after. Hours change without notice. A siren, or water that rises without rain: get out at once.`
      : 'Below a dam the water rises without rain and without warning. Ask for the release hours and enter them under Rules, Edit.';

/** The sign of a lake that turned over above. */
export const turnoverWords = ({ nowC, beforeC }: Turnover, units: UnitSystem): string =>
  `The water warmed to ${format('temperature', nowC, units)} from ${format('temperature', beforeC, units)} some days ago, and not with the air: the lake above may have turned over. Expect coloured water for a week or two that no rain or level foretells; fish wake up, too.`;

/** How far to trust the water temperatures of a coming day. */
export function temperatureWords(held: TemperatureRecord | null, byAir: boolean, units: UnitSystem): string {
  const from = `Water temperatures follow the last days at the gauge${byAir ? ' and the forecast air' : ''}`;
  if (!held) return `${from}, and may be a degree or two off.`;
  const out =
    held.likelyC === null ? '' : ` Likely out by no more than ${format('warmer', Math.max(0.1, held.likelyC), units)}.`;
  return `${from}. Told the evening before, ${held.within} of the last ${several(held.days, 'afternoon')} came within ${format('warmer', 1, units)}.${out}`;
}

/** Why nobody fishes at an hour. */
export function barredWords(b: Barred, units: UnitSystem): string {
  switch (b.code) {
    case 'dam release':
      return 'dam release: out of the water';
    case 'closed':
      return `closed: fish from ${hoursText(b.hours)}`;
    case 'too warm':
      return `too warm to play fish: ${format('temperature', b.tempC, units)}`;
  }
}

const LESS: Readonly<Record<NonNullable<Goodness['less']>, string>> = {
  bright: 'the light is too bright',
  dim: 'the light is dim',
  cold: 'the water is cold',
  warm: 'the water is warm',
  cooling: 'the water cools',
  warming: 'the water warms',
  wind: 'it blows',
};
/** From so much on an hour is good, and fair. */
const [GOOD, FAIR] = [0.75, 0.45];
/** How good an hour is. @example goodWords({ share: 0.6, less: 'cold' }) // 'A fair hour: the water is cold.' */
export function goodWords({ share, less }: Goodness): string {
  if (share === 0) return '';
  const hour = share >= GOOD ? 'A good hour' : share >= FAIR ? 'A fair hour' : 'A poor hour';
  return less ? `${hour}: ${LESS[less]}.` : `${hour}.`;
}

/** Why a school of hours is at work. */
export function hoursBecause(b: HoursBecause, units: UnitSystem): string {
  switch (b.code) {
    case 'chosen':
      return 'as you chose under Schools';
    case 'cold water':
      return `cold water, ${format('temperature', b.warmestC, units)} at most`;
    case 'cooling':
      return `cold water that cools through the day, from ${format('temperature', b.fromC, units)} to ${format('temperature', b.toC, units)}`;
    case 'under cloud':
      return 'the light stays soft under cloud';
    case 'low sun all day':
      return 'the sun stays low, and the light soft, as under cloud';
    case 'bright sky':
      return 'bright sky';
    case 'sky not said':
      return 'for a bright sky; under cloud you would fish all day';
    case 'no place':
      return 'the place of the water is not entered';
  }
}

/** A part of a day by the clock. */
export function legWords({ kind, name }: Leg): string {
  switch (kind) {
    case 'drive':
      return 'Drive';
    case 'walk':
      return 'Walk';
    case 'break':
      return 'Break';
    case 'walk back':
      return 'Walk back';
    case 'back':
      return 'Drive back';
    case 'run':
      return name || 'A run you deleted';
  }
}

/** What comes after the run that one fishes. @example goingOnWords({ next, untilAt, lateMin: 0 }) // 'Copper Bend at 13:20' */
export const goingOnWords = ({ next }: ReturnType<typeof goingOn> & object): string =>
  next ? `${legWords(next)} at ${clockOf(next.fromAt)}` : 'The last run of the day';

/** What to beware of on a day. */
export function dayCaution(c: DayCaution): string {
  switch (c.code) {
    case 'closed run':
      return `${c.run}: ${breachWords(c.breach)}`;
    case 'dam release':
      return `Dam release ${clockOf(c.fromAt)} to ${clockOf(c.toAt)}, while you are at ${c.runs.join(' and ')}: be out of the water before, and stay out until ${clockOf(c.clearAt)}. Hours change without notice.`;
    case 'dark':
      return `Dark from ${clockOf(c.fromAt)}: you would walk back until ${clockOf(c.backAt)}. Take a lamp, or leave earlier.`;
    case 'rain':
      return `${c.mm} mm of rain in the forecast for your hours and the six before. The river may rise while you stand in it. Cross only where you can come back, and get out at the first leaf and twig coming down.`;
    case 'long day':
      return `${Math.round(c.hours)} hours from door to door: let somebody else drive home, or sleep there.`;
    case 'one end':
      return `Both ends of the day would be ${Math.round(c.hours)} hours from door to door: one of them is planned. Sleep there to fish both.`;
    case 'more road than water':
      return `${Math.round(c.roadMin)} minutes of road for ${Math.round(c.fishedMin)} on the water: choose a nearer river, or a longer day.`;
  }
}

const AGO = ['today', 'yesterday'] as const;

/** What speaks for a water on a day, or against it. */
export function waterReason(r: Reason, units: UnitSystem): string {
  const upTo = (c: number) => `Water up to ${format('temperature', c, units)}`;
  switch (r.code) {
    case 'other fish':
      return `Holds ${r.has}, not ${r.wanted}.`;
    case 'rising':
      return 'Rising now: the water may still colour, and come up under you.';
    case 'falling':
      return 'Falling.';
    case 'too warm':
      return `${upTo(r.tempC)}: too warm to play fish in the warmest hours.`;
    case 'warm':
      return `${upTo(r.tempC)}: fish the cool hours only.`;
    case 'cold':
      return `${upTo(r.tempC)}: cold, fish move little. Slow and deep, in the warmest hours.`;
    case 'cool':
      return `${upTo(r.tempC)}: on the cold side. Slowly, in the warmest hours.`;
    case 'good temperature':
      return `${upTo(r.tempC)}: fish ${r.travellers ? 'move to a fly' : 'feed'}.`;
    case 'wind': {
      const force = capital(r.force);
      const out = r.of - r.runs;
      return r.of === 1
        ? `${force} wind on its run.`
        : `${force} wind on ${r.runs} of ${r.of} runs${out > 0 ? `; ${out} out of the wind` : ''}.`;
    }
    case 'little wind':
      return 'Little wind on its runs.';
    case 'shoulder':
      return `Wind on ${several(r.runs, 'run')} asks for the ${r.shoulder} shoulder, over which you do not cast.`;
    case 'freshet': {
      const fished =
        r.fishedDays === 0 ? 'not fished since, as far as you know' : `fished on ${several(r.fishedDays, 'day')} since`;
      const since = r.days === 0 ? 'Less than a day' : several(r.days, 'day');
      return `${since} since the last freshet, ${fished}${r.newFish ? '; new fish may have come up with it' : ''}.`;
    }
    case 'fished lately':
      return `Fished on ${several(r.days, 'day')} lately.`;
    case 'hearsay':
      return `${capital(r.source)}, ${AGO[r.days] ?? `${r.days} days ago`}: “${r.text}”${r.old ? ' (old: the river has changed since)' : ' (word of mouth)'}`;
    case 'largest':
      if (r.lengthM !== null) return `Your largest here: ${format('small', r.lengthM, units)}.`;
      return r.travellers ? 'Large fish run here; you have measured none yet.' : 'You have measured no fish here yet.';
    case 'season':
      return `Your season here: ${r.now} of your ${r.of} fish came about this time of the year.`;
    case 'takes':
      return `Yours here: ${several(r.takes, 'take')} in ${several(r.casts, 'cast')}.`;
    case 'seldom take':
      return `${capital(r.quarry)} take seldom: long hours for a beginner.`;
    case 'road':
      return `${r.minutes} minutes’ drive, one way.`;
    case 'road not said':
      return 'Driving time not entered.';
  }
}

/** What is to be said of a water’s colour that day. */
export function choiceWords({ closed, judged, noColour }: WaterChoice): string {
  if (closed) return breachWords(closed);
  if (judged) return judgedWords(judged);
  switch (noColour?.code) {
    case 'no gauge':
      return 'No gauge is set, so no colour forecast. Look from the bridge.';
    case 'failed':
      return noColour.of === 'gauge' ? noColour.why : `No colour forecast: ${noColour.why}.`;
    default:
      return 'The colour forecast reaches two days.';
  }
}

/** Where to go if a water is too dirty. @example insteadWords({ name: 'Pimmeril', chance: 0.95 }) // 'Second plan, if this one runs dirty: Pimmeril, a chance of more than 9 in 10 to be clear enough.' */
export const insteadWords = ({ name, chance }: NonNullable<WaterChoice['instead']>): string =>
  `Second plan, if this one runs dirty: ${name}, a chance of ${inTen(chance)} to be clear enough.`;

const DECIDED: Readonly<Record<DecidedBy, string>> = {
  'season or fish': 'its season or its fish',
  colour: 'its colour is less sure to suit',
  against: 'more speaks against it',
  goal: 'it suits your goal less',
  road: 'the drive is longer',
};
/** Why a water stands where it does in the order. @example behindWords({ of: 'Pimmeril', by: 'road' }) // 'After Pimmeril: the drive is longer.' */
export const behindWords = ({ of, by }: NonNullable<WaterChoice['behind']>): string => `After ${of}: ${DECIDED[by]}.`;
