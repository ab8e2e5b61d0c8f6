import { type Guessable, isRead, type Reading } from '@/core/water';
import { format, formatLevel, type UnitSystem } from './units';

const LEVEL_FROM = { gauge: ' (gauge)', eye: '', guess: '' } as const;

/** What was read, then what is only guessed: "Visibility 0.80 m · +12 cm · 9.4 °C · green · bright", "+12 cm (gauge) · guess: visibility
 * 1.01 m, green, overcast". */
export function readingLine(r: Reading, units: UnitSystem): string {
  const sees = `visibility ${r.atLeast ? 'at least ' : ''}${format('depth', r.visibilityM, units)}`;
  const level = `${Math.abs(r.levelM) < 0.005 ? 'normal level' : formatLevel(r.levelM, units)}${LEVEL_FROM[r.levelFrom ?? 'eye']}`;
  const of = (part: Guessable, says: string) => ({ says, read: isRead(r, part) });
  const parts = [
    of('visibility', sees),
    { says: level, read: r.levelFrom !== 'guess' },
    ...(r.waterTempC === null ? [] : [{ says: format('temperature', r.waterTempC, units), read: true }]),
    of('colour', r.colour),
    of('sky', r.sky),
  ];
  const guesses = parts.filter((p) => !p.read).map((p) => p.says);
  const line = [
    ...parts.filter((p) => p.read).map((p) => p.says),
    ...(guesses.length > 0 ? [`guess: ${guesses.join(', ')}`] : []),
  ].join(' · ');
  return line.charAt(0).toUpperCase() + line.slice(1);
}
