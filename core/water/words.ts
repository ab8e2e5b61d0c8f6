import { format, formatLevel, type UnitSystem } from '../units';
import { clarity } from './clarity';
import type { Reading } from './reading';

/** "seen to 80 cm · +12 cm · 9.4 °C · green" */
export function readingLine(r: Reading, units: UnitSystem): string {
  return [
    `seen to ${r.atLeast ? 'at least ' : ''}${format('depth', r.visibilityM, units)} (${clarity(r.visibilityM)})`,
    formatLevel(r.levelM, units),
    r.waterTempC === null ? null : format('temperature', r.waterTempC, units),
    r.colour,
    r.sky,
  ]
    .filter(Boolean)
    .join(' · ');
}
