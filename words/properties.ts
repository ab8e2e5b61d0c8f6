import { type Banded, BOUNDS } from '@/core/logbook';
import type { Dimension } from '@/core/learn/evidence';
import { format, formatLevel, type UnitSystem } from './units';

/** What a log is asked by, as one calls it. */
export const DIMENSION_NAMES: Readonly<Record<Dimension, string>> = {
  colour: 'fly colour',
  family: 'kind of fly',
  size: 'hook size',
  weight: 'weight in the fly',
  place: 'point fly or dropper',
  tip: 'tip',
  way: 'how it was fished',
  depth: 'depth of the fly',
  speed: 'speed across',
  lie: 'over a lie or not',
  run: 'run',
  river: 'river',
  water: 'visibility',
  level: 'level',
  temperature: 'water temperature',
  sky: 'sky',
  wind: 'wind from',
  hour: 'time of day',
  season: 'season',
};

type Teller = (bound: number, units: UnitSystem) => string;
const clock: Teller = (hour) => `${String(hour).padStart(2, '0')}:00`;
const hook: Teller = (size) => String(size);
const TELLERS: Readonly<Record<Banded, Teller>> = {
  size: hook,
  tip: (v, units) => format('sinkRate', v, units),
  level: formatLevel,
  temperature: (v, units) => format('temperature', v, units),
  hour: clock,
  depth: (v, units) => format('depth', v, units),
  speed: (v, units) => format('speed', v, units),
};
/** What lies below the first bound, and what not below the last. */
const ENDS: Readonly<Record<Banded, readonly [string, string]>> = {
  size: ['larger than', 'smaller than'],
  tip: ['floats', 'sinks faster than'],
  level: ['below', 'above'],
  temperature: ['below', 'above'],
  hour: ['before', 'after'],
  depth: ['less than', 'deeper than'],
  speed: ['slower than', 'faster than'],
};
const isBanded = (of: Dimension): of is Banded => of in BOUNDS;

/** One value of what is asked by, in words. @example valueWords('temperature', '0', 'metric') // 'below 5.0 °C' */
export function valueWords(of: Dimension, value: string, units: UnitSystem): string {
  if (of === 'weight') return value === 'none' ? 'unweighted' : value;
  if (of === 'tip' && value === 'none') return 'no tip';
  if (!isBanded(of)) return value;
  const bounds: readonly number[] = BOUNDS[of];
  const n = Number(value);
  const tell = (i: number) => TELLERS[of](bounds[i]!, units);
  const [below, above] = ENDS[of];
  if (of === 'tip' && n === 0) return below;
  // Hooks: a smaller number is a larger hook, and sizes are even.
  if (of === 'size')
    return n === 0 ? '4 and larger' : n === bounds.length ? '14 and smaller' : n === 1 ? '6 or 8' : '10 or 12';
  if (n === 0) return `${below} ${tell(0)}`;
  if (n === bounds.length) return `${above} ${tell(n - 1)}`;
  return `${of === 'tip' ? 'sinks ' : ''}${tell(n - 1)} to ${tell(n)}`;
}
