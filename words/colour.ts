import type { Clears } from '@/core/colour/clears';
import type { ColourBecause } from '@/core/colour/forecast';
import type { Judged } from '@/core/colour/verdict';
import type { WaterChoice } from '@/core/plan/waters';
import { DIRTY_M } from '@/core/water/clarity';
import { format, type UnitSystem } from './units';
import { inTen } from './counting';
import { breachWords } from './rules';

/** How a colour is judged for a day out. */
export function judgedWords({ verdict, fishable, plain, drive }: Judged): string {
  switch (verdict) {
    case 'go':
      return `Clear enough to fish as usual: a chance of ${inTen(plain)}.`;
    case 'go with sinking gear':
      return `Fishable: a chance of ${inTen(fishable)}. Clear enough to fish as usual: ${inTen(plain)}. Fish large, dark and slow, deep and along the edges.`;
    case 'elsewhere':
      return `Fishable: a chance of only ${inTen(fishable)}${drive ? ', too little for the drive' : ''}.`;
  }
}

const RIVER = {
  'clearing slowly': 'still clearing from a rise some days ago',
  high: 'more water than usual, steady',
  raised: 'somewhat more water than usual, steady',
  low: 'low water, steady',
  middling: 'middling water, steady',
} as const;

function riverWords(r: ColourBecause['river']): string {
  switch (r.code) {
    case 'rising':
      return `rising: ${Math.round(100 * r.moreShare)} % more flow in twelve hours`;
    case 'clearing':
      return `clearing after a rise of the last day or two, the flow ${r.falling ? 'falling' : 'steady'}`;
    default:
      return RIVER[r.code];
  }
}

const ago = (h: number): string => (h < 48 ? `${Math.round(h)} h` : `${Math.round(h / 24)} days`);

/** What decides a forecast. */
export function colourBecause({ river, readings, latestH, pastH, rainMm }: ColourBecause): string {
  const read =
    latestH === null
      ? 'no reading of this river yet, so as usual for its kind'
      : `${readings === 1 ? 'one reading' : `${readings} readings`}, the last ${ago(latestH)} before`;
  const past = pastH > 0 ? [`${Math.round(pastH)} h past the gauge’s last value`] : [];
  const mm = rainMm === null ? null : Math.round(rainMm);
  const rain =
    mm === null ? [] : [mm > 0 ? `${mm} mm of rain in the forecast until then` : 'no rain in the forecast until then'];
  return [riverWords(river), read, ...past, ...rain].join('; ');
}

const span = (h: number): string => (h < 36 ? `${h} hours` : `${Math.round(h / 12) / 2} days`);

/** What a river is believed to do after a rise. */
export function clearsWords({ readings, topM, middleH, soonestH, latestH }: Clears, units: UnitSystem): string {
  const by = readings === 0 ? 'Usual for its kind' : 'This river, by your readings';
  const dirty = format('depth', DIRTY_M, units);
  const at = `${by}: a rise that doubles the flow leaves ${format('depth', topM, units)} visibility at its top`;
  if (middleH === 0) return `${at}, still more than ${dirty}.`;
  if (middleH === null) return `${at}, and no more than ${dirty} for five days.`;
  const early =
    soonestH === null || soonestH === middleH
      ? ''
      : soonestH === 0
        ? ', perhaps at once'
        : `, perhaps after ${span(soonestH)}`;
  const late =
    latestH === null
      ? ', perhaps not within five days'
      : latestH === middleH
        ? ''
        : `, at the latest after ${span(latestH)}`;
  return `${at}, and ${dirty} again after about ${span(middleH)}${early}${late}.`;
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

/** What a level that moves means for the day. */
export const trendWords = (trend: 'rising' | 'falling'): string =>
  trend === 'rising' ? 'Rising now: the water may still colour, and come up under you.' : 'Falling.';
