import { type Banded, BOUNDS } from '@/core/logbook';
import type { Dimension } from '@/core/learn/evidence';
import { formatLevel, formatNumber, type Quantity, unitOf, type UnitSystem } from './units';

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
  cadence: 'time from pull to pull',
  lie: 'over a lie or not',
  kind: 'kind of lie',
  run: 'run',
  river: 'river',
  water: 'visibility',
  level: 'level',
  trend: 'rising or falling',
  freshet: 'days since the river peaked',
  temperature: 'water temperature',
  sky: 'sky',
  wind: 'wind from',
  hour: 'time of day',
  season: 'season',
  moon: 'moon',
};

/** A bound as a number and its unit; hooks and hours have none. */
const quantity =
  (q: Quantity) =>
  (v: number, units: UnitSystem): readonly [number: string, unit: string] => [
    (q === 'level' ? formatLevel(v, units).split(' ')[0]! : formatNumber(q, v, units)).replace(/\.0+$/, ''),
    ` ${unitOf(q, units)}`,
  ];
const TELLERS: Readonly<Record<Banded, ReturnType<typeof quantity>>> = {
  size: (size) => [String(size), ''],
  tip: quantity('sinkRate'),
  level: quantity('level'),
  temperature: quantity('temperature'),
  hour: (hour) => [`${String(hour).padStart(2, '0')}:00`, ''],
  depth: quantity('depth'),
  speed: quantity('speed'),
  cadence: (s) => [String(s), ' s'],
  freshet: (days) => [String(days), days === 1 ? ' day' : ' days'],
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
  cadence: ['less than', 'more than'],
  freshet: ['less than', 'more than'],
};
const isBanded = (of: Dimension): of is Banded => of in BOUNDS;

/** One value of what is asked by, in words. @example valueWords('temperature', '0', 'metric') // 'below 5 °C' */
export function valueWords(of: Dimension, value: string, units: UnitSystem): string {
  if (of === 'weight') return value === 'none' ? 'unweighted' : value;
  if (of === 'tip' && value === 'none') return 'no tip';
  if (!isBanded(of)) return value;
  const bounds: readonly number[] = BOUNDS[of];
  const n = Number(value);
  const tell = (i: number) => TELLERS[of](bounds[i]!, units);
  const whole = (i: number) => tell(i).join('');
  const [below, above] = ENDS[of];
  if (of === 'tip' && n === 0) return below;
  // Hooks: a smaller number is a larger hook, and sizes are even.
  if (of === 'size')
    return n === 0 ? '4 and larger' : n === bounds.length ? '14 and smaller' : n === 1 ? '6 or 8' : '10 or 12';
  if (n === 0) return `${below} ${whole(0)}`;
  if (n === bounds.length) return `${above} ${whole(n - 1)}`;
  return `${of === 'tip' ? 'sinks ' : ''}${tell(n - 1)[0]} to ${whole(n)}`;
}
