/** Ways to share outings: what one is told of each, its ending, its media type, and whether it is made of places. */
interface FormatEntry {
  readonly label: string;
  readonly ending: string;
  readonly type: string;
  readonly needsPlace?: true;
}
const ENTRIES = {
  page: { label: 'a page to print', ending: 'html', type: 'text/html' },
  events: { label: 'entries, CSV', ending: 'csv', type: 'text/csv' },
  fish: { label: 'fish, CSV', ending: 'fish.csv', type: 'text/csv' },
  calendar: { label: 'iCalendar', ending: 'ics', type: 'text/calendar' },
  geojson: { label: 'GeoJSON', ending: 'geojson', type: 'application/geo+json' },
  gpx: { label: 'GPX', ending: 'gpx', type: 'application/gpx+xml', needsPlace: true },
  json: { label: 'JSON', ending: 'json', type: 'application/json' },
} as const satisfies Record<string, FormatEntry>;
export type ShareFormat = keyof typeof ENTRIES;
export const SHARE_FORMATS: Readonly<Record<ShareFormat, FormatEntry>> = ENTRIES;
