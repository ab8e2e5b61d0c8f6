import type { Dam, Release, Turnover } from '@/core/plan/dam';
import { clockText, minuteOfDay } from '@/core/plan/spans';
import { MINUTE_MS } from '@/core/units';
import { format, type UnitSystem } from './units';

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
      ? `Dam releases ${releases.map((s) => `${clockText(s.fromMin)} to ${clockText(s.toMin)}`).join(', ')}, as you entered them: be out of the water before, and for an hour after. Hours change without notice. A siren, or water that rises without rain: get out at once.`
      : 'Below a dam the water rises without rain and without warning. Ask for the release hours and enter them under Rules, Edit.';

/** The sign of a lake that turned over above. */
export const turnoverWords = ({ nowC, beforeC }: Turnover, units: UnitSystem): string =>
  `The water warmed to ${format('temperature', nowC, units)} from ${format('temperature', beforeC, units)} some days ago, and not with the air: the lake above may have turned over. Expect coloured water for a week or two that no rain or level foretells; fish wake up, too.`;
