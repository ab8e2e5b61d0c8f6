import type { Property } from '@/core/gauge/feed';
import { CUBIC_FOOT_M3, FOOT_M, own } from '@/core/units';

type ToSi = (x: number) => number;
const same: ToSi = (x) => x;
const feet: ToSi = (x) => x * FOOT_M;
const cubicFeet: ToSi = (x) => x * CUBIC_FOOT_M3;
const fahrenheit: ToSi = (x) => (x - 32) / 1.8;

/** Units of each property as a person chooses them. */
export const GAUGE_UNITS: Readonly<Record<Property, Readonly<Record<string, ToSi>>>> = {
  stage: { m: same, cm: (x) => x / 100, mm: (x) => x / 1000, ft: feet },
  discharge: { 'm³/s': same, 'l/s': (x) => x / 1000, cfs: cubicFeet },
  temperature: { '°C': same, '°F': fahrenheit },
  rainfall: { mm: same, in: (x) => 25.4 * x },
};

/** Other names of the same units, in lower case: UCUM codes (unitsofmeasure.org) and what agencies write. */
const ALSO: Readonly<Record<string, string>> = {
  '[ft_i]': 'ft',
  feet: 'ft',
  foot: 'ft',
  metre: 'm',
  meter: 'm',
  metres: 'm',
  meters: 'm',
  'm3/s': 'm³/s',
  'm3.s-1': 'm³/s',
  cms: 'm³/s',
  cumecs: 'm³/s',
  'm^3/s': 'm³/s',
  'ft3/s': 'cfs',
  'ft³/s': 'cfs',
  'ft^3/s': 'cfs',
  '[ft_i]3/s': 'cfs',
  '[cft_i]/s': 'cfs',
  cel: '°C',
  degc: '°C',
  'deg c': '°C',
  c: '°C',
  '[degf]': '°F',
  degf: '°F',
  'deg f': '°F',
  f: '°F',
  '[in_i]': 'in',
  inches: 'in',
  inch: 'in',
};

/** The unit of a property by any of its names, as GAUGE_UNITS calls it; null where it is none. */
export function unitNamed(property: Property, name: string): string | null {
  const key = name.trim();
  const found = own(ALSO, key.toLowerCase()) ?? key;
  return Object.keys(GAUGE_UNITS[property]).find((u) => u.toLowerCase() === found.toLowerCase()) ?? null;
}

/** Codes of the US Geological Survey's parameters, and the units they are in (NWIS parameter codes, from memory). */
const CODES: Readonly<Record<string, readonly [Property, string]>> = {
  '00060': ['discharge', 'cfs'],
  '00065': ['stage', 'ft'],
  '00010': ['temperature', '°C'],
  '00011': ['temperature', '°F'],
  '00045': ['rainfall', 'in'],
};
const WORDS: readonly (readonly [Property, RegExp])[] = [
  ['rainfall', /\brain|precip|niederschlag|pluie/],
  ['discharge', /discharge|flow|abfluss|d[ée]bit|\bq\b/],
  ['temperature', /\btemp|water.?(c|temp)\b|wassertemp|°/],
  ['stage', /stage|ga[u]?ge.?height|\blevel|height|wasserstand|pegel|hauteur/],
];

/** What a heading or the title of a series speaks of; null where of nothing that is used. Air is not water. */
export function propertyNamed(title: string): { property: Property; unit: string | null } | null {
  const text = title.toLowerCase().replace(/_/g, ' ');
  // What tells of the quality of a value is no value.
  if (/\bair\b|\bluft|qualif|\bcd$|quality|flag|min\b|max\b/.test(text)) return null;
  const code = Object.keys(CODES).find((c) => text.includes(c));
  if (code) return { property: CODES[code]![0], unit: CODES[code]![1] };
  const property = WORDS.find(([, word]) => word.test(text))?.[0];
  if (!property) return null;
  const parts = text.split(/[\s,;:()[\]]+/).filter(Boolean);
  const named = [text.match(/[([]([^)\]]+)[)\]]/)?.[1] ?? '', ...parts.reverse()];
  const unit = named.map((n) => unitNamed(property, n.replace('m3s', 'm3/s'))).find((u) => u !== null) ?? null;
  return { property, unit };
}
