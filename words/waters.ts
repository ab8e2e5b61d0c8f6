import type { DecidedBy, Reason, WaterChoice } from '@/core/plan/waters';
import { capital } from './capital';
import { trendWords } from './colour';
import { inTen, several } from './counting';
import { format, type UnitSystem } from './units';

const AGO = ['today', 'yesterday'] as const;

/** What speaks for a water on a day, or against it. */
export function waterReason(r: Reason, units: UnitSystem): string {
  const upTo = (c: number) => `Water up to ${format('temperature', c, units)}`;
  switch (r.code) {
    case 'other fish':
      return `Holds ${r.has}, not ${r.wanted}.`;
    case 'rising':
    case 'falling':
      return trendWords(r.code);
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

/** Where to go if a water is too dirty. @example insteadWords({ run: null, water: { name: 'Pimmeril', chance: 0.95 } }) // 'Second plan, if this one runs dirty: Pimmeril, a chance of more than 9 in 10 to be clear enough.' */
export function insteadWords({ run, water }: NonNullable<WaterChoice['instead']>): string {
  const places = [
    ...(run === null ? [] : [`the clear water below the spring of ${run}`]),
    ...(water === null ? [] : [`${water.name}, a chance of ${inTen(water.chance)} to be clear enough`]),
  ];
  return `Second plan, if this one runs dirty: ${places.join('; or ')}.`;
}

const DECIDED: Readonly<Record<DecidedBy, string>> = {
  'season or fish': 'its season or its fish',
  colour: 'its colour is less sure to suit',
  against: 'more speaks against it',
  goal: 'it suits your goal less',
  road: 'the drive is longer',
};
/** Why a water stands where it does in the order. @example behindWords({ of: 'Pimmeril', by: 'road' }) // 'After Pimmeril: the drive is longer.' */
export const behindWords = ({ of, by }: NonNullable<WaterChoice['behind']>): string => `After ${of}: ${DECIDED[by]}.`;
