import { CUBIC_FOOT_M3, FOOT_M, INCH_M } from '@/core/units';

export type UnitSystem = 'metric' | 'imperial';

/** What a number measures; inside the program it is always SI (°C for temperature). */
export type Quantity =
  | 'length' // along the river
  | 'line' // line out, a step more or less
  | 'depth'
  | 'small' // fly lengths, strips
  | 'speed'
  | 'temperature'
  | 'warmer' // a difference of temperatures
  | 'flow'
  | 'sinkRate'
  | 'level'; // water above or below normal

interface Scale {
  readonly unit: string;
  /** Shown = SI · factor + offset. */
  readonly factor: number;
  readonly offset?: number;
  readonly digits: number;
}

const SCALES: Record<Quantity, Record<UnitSystem, Scale>> = {
  length: {
    metric: { unit: 'm', factor: 1, digits: 0 },
    imperial: { unit: 'ft', factor: 1 / FOOT_M, digits: 0 },
  },
  line: {
    metric: { unit: 'm', factor: 1, digits: 1 },
    imperial: { unit: 'ft', factor: 1 / FOOT_M, digits: 0 },
  },
  depth: {
    metric: { unit: 'm', factor: 1, digits: 2 },
    imperial: { unit: 'ft', factor: 1 / FOOT_M, digits: 1 },
  },
  small: {
    metric: { unit: 'cm', factor: 100, digits: 1 },
    imperial: { unit: 'in', factor: 1 / INCH_M, digits: 1 },
  },
  speed: {
    metric: { unit: 'm/s', factor: 1, digits: 2 },
    imperial: { unit: 'ft/s', factor: 1 / FOOT_M, digits: 1 },
  },
  temperature: {
    metric: { unit: '°C', factor: 1, digits: 1 },
    imperial: { unit: '°F', factor: 1.8, offset: 32, digits: 0 },
  },
  warmer: {
    metric: { unit: '°C', factor: 1, digits: 1 },
    imperial: { unit: '°F', factor: 1.8, digits: 1 },
  },
  flow: {
    metric: { unit: 'm³/s', factor: 1, digits: 1 },
    imperial: { unit: 'cfs', factor: 1 / CUBIC_FOOT_M3, digits: 0 },
  },
  sinkRate: {
    metric: { unit: 'cm/s', factor: 100, digits: 1 },
    imperial: { unit: 'ips', factor: 1 / INCH_M, digits: 1 },
  },
  level: {
    metric: { unit: 'cm', factor: 100, digits: 0 },
    imperial: { unit: 'in', factor: 1 / INCH_M, digits: 0 },
  },
};

/** The unit a quantity is shown in. @example unitOf('flow', 'imperial') // 'cfs' */
export const unitOf = (q: Quantity, system: UnitSystem): string => SCALES[q][system].unit;

/** The number shown for an SI value. @example toShown('temperature', 20, 'imperial') // 68 */
export function toShown(q: Quantity, si: number, system: UnitSystem): number {
  const s = SCALES[q][system];
  return si * s.factor + (s.offset ?? 0);
}

/** The SI value of a number as shown; the inverse of toShown. @example fromShown('depth', 1, 'imperial') // 0.3048 */
export function fromShown(q: Quantity, shown: number, system: UnitSystem): number {
  const s = SCALES[q][system];
  return (shown - (s.offset ?? 0)) / s.factor;
}

/** A whole number of digits fit for reading, without the unit. */
export function formatNumber(q: Quantity, si: number, system: UnitSystem): string {
  const { digits } = SCALES[q][system];
  const text = toShown(q, si, system).toFixed(digits);
  return Number(text) === 0 ? (0).toFixed(digits) : text.replace('-', '−');
}

/** A value with its unit. @example format('depth', 0.8, 'metric') // '0.80 m' */
export const format = (q: Quantity, si: number, system: UnitSystem): string =>
  `${formatNumber(q, si, system)} ${unitOf(q, system)}`;

/** A level against normal, always with its sign. @example formatLevel(0.12, 'metric') // '+12 cm' */
export function formatLevel(si: number, system: UnitSystem): string {
  const text = formatNumber('level', si, system);
  return `${Number(text.replace('−', '-')) > 0 ? '+' : ''}${text} ${unitOf('level', system)}`;
}
