import { several } from './counting';
import { formatLevel, type UnitSystem } from './units';

/** Takes of a run at about a level. @param known takes at a level that was read */
export function takenWords(
  { levelM, here, all, known }: { levelM: number; here: number; all: number; known: number },
  units: UnitSystem,
): string {
  const not = all - known > 0 ? ` ${several(all - known, 'take')} without a level not shown.` : '';
  const others = known - here;
  return `At about ${formatLevel(levelM, units)}: ${several(here, 'take')}${others > 0 ? `, and ${others} at other levels` : ''}.${not}`;
}
