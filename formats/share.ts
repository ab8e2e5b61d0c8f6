import { outingsCalendar } from './shareCalendar';
import { eventsCsv, fishCsv, outingsJson } from './shareCsv';
import { outingsGeoJSON, outingsGPX } from './shareGeo';
import { outingsPage } from './sharePage';
import { SHARE_FORMATS, type ShareFormat } from './shareFormats';
import type { Veiled } from './veil';
import { type UnitSystem } from '@/words/units';

const WRITERS: Readonly<Record<ShareFormat, (veiled: Veiled, units: UnitSystem) => string>> = {
  page: outingsPage,
  events: eventsCsv,
  fish: fishCsv,
  calendar: outingsCalendar,
  geojson: outingsGeoJSON,
  gpx: outingsGPX,
  json: outingsJson,
};

export interface SharedFile {
  readonly name: string;
  readonly type: string;
  readonly text: string;
}

const dayOf = (at: number): string => new Date(at).toISOString().slice(0, 10);

/** Outings as a file; its name says no more than the days. @throws RangeError where that format cannot hold what may be told */
export function sharedFile(veiled: Veiled, format: ShareFormat, units: UnitSystem): SharedFile {
  const { ending, type } = SHARE_FORMATS[format];
  const days = veiled.outings.map((o) => dayOf(o.startedAt)).sort();
  const [first, last] = [days[0] ?? 'none', days.at(-1) ?? 'none'];
  const name = `wanderung-${days.length === 1 ? 'outing' : 'outings'}-${first}${first === last ? '' : `-to-${last}`}.${ending}`;
  return { name, type, text: WRITERS[format](veiled, units) };
}
