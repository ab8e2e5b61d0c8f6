import { csvOf } from './csv';
import type { Veiled } from './veil';

/** Every entry that stands, one row each. */
export const eventsCsv = ({ columns, outings }: Veiled): string =>
  csvOf(
    columns,
    outings.flatMap((o) => o.rows),
  );

/** Fish that were landed, one row each. */
export function fishCsv({ privacy: { place, names, notes }, outings }: Veiled): string {
  const data = outings.flatMap((o) =>
    o.fish.map((f) => ({
      ...{ outing: o.uid, time_utc: new Date(f.at).toISOString(), water: o.water ?? '', run: f.run },
      ...{ species: f.species, length_m: f.lengthM ?? '', sex: f.sex ?? '', origin: f.origin ?? '' },
      ...{ fly: f.fly, fly_colour: f.flyColour, hook: f.hook, level_m: f.levelM ?? '', take_where: f.where ?? '' },
      ...{ condition: f.condition, lat_deg: f.place?.latDeg ?? '', lon_deg: f.place?.lonDeg ?? '' },
    })),
  );
  return csvOf(
    [
      ...['outing', 'time_utc'],
      ...(names ? ['water', 'run'] : []),
      ...['species', 'length_m', 'sex', 'origin', 'fly', 'fly_colour', 'hook', 'level_m', 'take_where'],
      ...(notes ? ['condition'] : []),
      ...(place === 'left out' ? [] : ['lat_deg', 'lon_deg']),
    ],
    data,
  );
}

/** Nothing but numbers and strings, as they stand in the rows of the tables; without the shapes of runs. */
export function outingsJson({ privacy, outings }: Veiled): string {
  const list = outings.map(({ rows, visits, place, water, notes, ...o }) => ({
    ...o,
    ...(place && { place }),
    ...(water !== null && { water }),
    ...(notes && { notes }),
    visits: visits.map(({ map: _map, place: at, run, ...v }) => ({ run, ...v, ...(at && { place: at }) })),
    entries: rows.map((r) => Object.fromEntries(Object.entries(r).filter(([, v]) => v !== ''))),
  }));
  return JSON.stringify({ format: 'wanderung-outings', version: 1, privacy, outings: list }, null, 1);
}
