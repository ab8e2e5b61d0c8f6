import { castEvent, RUN } from '@/core/testing/fixtures';
import { append, put } from './changes';
import { memoryDatabase, memoryStorage } from './memory';
import { type ShareAsk, shareOutings } from './share';
import { water } from './records.testing';
import { DAY_MS } from '@/core/units';

const ASK: ShareAsk = {
  ...{ outingIds: ['late', 'early'], runId: null, units: 'metric', format: 'geojson' },
  privacy: { place: 'told', names: true, notes: true, times: 'to the minute', hints: true },
};

async function stored() {
  const db = memoryDatabase(memoryStorage());
  const outing = (id: string, startedAt: number) =>
    put('outing', { id, waterId: 'w1', startedAt, endedAt: startedAt + 1, notes: id });
  await db.commit(put('water', water()), put('run', { ...RUN, waterId: 'w1' }));
  for (const [id, at] of [
    ['late', 2 * DAY_MS],
    ['early', DAY_MS],
    ['other', 3 * DAY_MS],
  ] as const)
    await db.commit(
      outing(id, at),
      append(id, [
        { id: `${id}-1`, at, runId: 'run', xM: 0, yM: 0, rig: null, kind: 'run start', runName: RUN.name },
        { ...castEvent(1), id: `${id}-2`, at: at + 1 },
        { ...castEvent(2), id: `${id}-3`, at: at + 2, runId: null },
      ]),
    );
  return db;
}
interface Shared {
  readonly features: readonly { geometry: { type: string } | null; properties: Record<string, unknown> }[];
}

describe('outings out of the store', () => {
  it('are those that are asked for, the oldest first, their runs drawn where their water is', async () => {
    const { text } = await shareOutings(await stored(), ASK);
    const runs = (JSON.parse(text) as Shared).features.filter((f) => f.properties.wanderung === 'run');
    expect(runs.map((f) => [f.geometry?.type, f.properties.name, f.properties.from])).toEqual([
      ['Polygon', RUN.name, new Date(DAY_MS).toISOString()],
      ['Polygon', RUN.name, new Date(2 * DAY_MS).toISOString()],
    ]);
  });

  it('of one run are what happened on it', async () => {
    const db = await stored();
    const casts = async (runId: string | null) =>
      (await shareOutings(db, { ...ASK, runId, format: 'events' })).text.match(/,cast,/g)?.length;
    expect(await casts(null)).toBe(4);
    expect(await casts('run')).toBe(2);
  });

  it('whose water or run is gone are told without them', async () => {
    const db = memoryDatabase(memoryStorage());
    await db.commit(put('outing', { id: 'early', waterId: 'gone', startedAt: DAY_MS, endedAt: null, notes: '' }));
    await db.commit(append('early', [{ ...castEvent(1), at: DAY_MS }]));
    const { text } = await shareOutings(db, { ...ASK, format: 'events' });
    expect(text.split('\r\n')).toHaveLength(2);
  });
});
