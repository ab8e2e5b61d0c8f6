import { GUARDED } from '@/formats/privacy';
import { append, put } from './changes';
import { water } from './records.testing';
import { createAllFiles } from './allFiles';
import { memoryDatabase, memoryStorage } from './memory';
import { NEW_WATER } from '@/formats/sheet/terms';
import type { SheetChoices, SheetOffer } from './sheets';
import { castEvent, RUN } from '@/core/testing/fixtures';

const NOW = new Date(2026, 5, 1).getTime();
const TEXT = [
  'Datum;Water;Pool;Casts;Caught;Length',
  '1.5.2020;Test water;Weir;120;1;45,5',
  '2.5.2020;Elsewhere;;80;0;',
  'soon;Test water;;50;0;',
  '3.5.2020;test WATER;;60;2;30; ',
].join('\r\n');
const file = (text: string) => new Blob([text]);

async function open() {
  const storage = memoryStorage();
  const db = memoryDatabase(storage, { now: () => NOW });
  await db.commit(put('water', water()));
  const files = createAllFiles(db, () => NOW);
  const choices = (offer: SheetOffer, o: Partial<SheetChoices> = {}): SheetChoices => ({
    ...{ columns: offer.columns, order: offer.order, mended: [], waters: {}, waterId: 'w1', castsAnHour: 40 },
    ...o,
  });
  return { storage, db, files, choices };
}

describe('a sheet brought in', () => {
  it('is shown with what it would become, faults by row, and nothing is stored yet', async () => {
    const { db, files, choices } = await open();
    const offer = await files.readSheet(file(TEXT), 'metric', {});
    expect(offer.columns.map((c) => c.field)).toEqual(['date', 'water', 'run', 'casts', 'landed', 'length']);
    expect(offer.samples.slice(2, 4)).toEqual([['Weir'], ['120', '80', '50']]);
    expect(offer).toMatchObject({ rows: 4, order: 'day first', orderSure: false, western: false });
    const preview = await files.previewSheet(choices(offer));
    expect(preview).toMatchObject({ good: 3, bad: 1, outings: 3, here: 0, casts: 260, landed: 3 });
    expect(preview.waters).toEqual([
      { name: 'Test water', is: 'w1', rows: 2 },
      { name: 'Elsewhere', is: NEW_WATER, rows: 1 },
    ]);
    expect(preview.faulty).toMatchObject([
      { line: 4, faults: [{ column: 0 }], cells: ['soon', 'Test water', '', '50', '0', ''] },
    ]);
    expect(await db.all('outing')).toEqual([]);
  });

  it('is stored whole, with new waters, and undone whole', async () => {
    const { db, files, choices } = await open();
    const offer = await files.readSheet(file(TEXT), 'metric', {});
    await files.bringSheet(choices(offer, { mended: [['4/0', '4.5.2020']] }));
    expect(await db.all('outing')).toHaveLength(4);
    expect((await db.all('water')).map((w) => [w.name, w.character])).toEqual(
      expect.arrayContaining([['Elsewhere', 'from a sheet; its place is that of Test water']]),
    );
    const tallies = (await db.folded()).map((f) => f.log.tally);
    expect(tallies.reduce((n, t) => n + t.byHand, 0)).toBe(310);
    await files.undo();
    expect(await db.all('outing')).toEqual([]);
    expect(await db.all('water')).toHaveLength(1);
  });

  it('brings nothing twice: days that are here stay as they are, counted ones too', async () => {
    const { db, files, choices } = await open();
    const counted = {
      id: 'mine',
      waterId: 'w1',
      startedAt: new Date(2020, 4, 1, 9).getTime(),
      endedAt: null,
      notes: '',
    };
    await db.commit(put('outing', counted), append('mine', [castEvent(1)]));
    const offer = await files.readSheet(file(TEXT), 'metric', {});
    expect(await files.previewSheet(choices(offer))).toMatchObject({ outings: 2, here: 1 });
    await files.bringSheet(choices(offer));
    expect(await db.all('outing')).toHaveLength(3);
    await files.readSheet(file(TEXT), 'metric', {});
    expect(await files.previewSheet(choices(offer))).toMatchObject({ outings: 0, here: 3 });
    await expect(files.bringSheet(choices(offer))).rejects.toThrow('in your log already');
  });

  it('days are of the run of that name on their own water, however it is written', async () => {
    const { db, files, choices } = await open();
    const elsewhere = { ...RUN, id: 'there', waterId: 'w2', name: 'Weir' };
    await db.commit(put('water', water({ id: 'w2', name: 'Another' })), put('run', elsewhere));
    await db.commit(put('run', { ...RUN, id: 'here', waterId: 'w1', name: 'WEIR' }));
    await files.bringSheet(choices(await files.readSheet(file(TEXT), 'metric', {})));
    const first = (await db.all('outing')).sort((a, b) => a.startedAt - b.startedAt)[0]!;
    const runs = (await db.events(first.id)).map((e) => e.runId);
    expect(runs).toContain('here');
    expect(runs).not.toContain('there');
  });

  it('asks for the file again where none was read', async () => {
    const { files, choices } = await open();
    const offer = await files.readSheet(file(TEXT), 'metric', {});
    const again = (await open()).files;
    await expect(again.previewSheet(choices(offer))).rejects.toThrow('Choose the file again.');
  });

  it('a name can be said to be another water', async () => {
    const { db, files, choices } = await open();
    const offer = await files.readSheet(file(TEXT), 'metric', {});
    await files.bringSheet(choices(offer, { waters: { elsewhere: 'w1' } }));
    expect(await db.all('water')).toHaveLength(1);
    expect(new Set((await db.all('outing')).map((o) => o.waterId))).toEqual(new Set(['w1']));
  });

  it('while the store refuses, nothing has changed', async () => {
    const { storage, db, files, choices } = await open();
    const offer = await files.readSheet(file(TEXT), 'metric', {});
    storage.fail = 'no room';
    await expect(files.bringSheet(choices(offer))).rejects.toThrow('no room');
    storage.fail = null;
    expect(await db.all('outing')).toEqual([]);
    expect(await db.all('water')).toHaveLength(1);
  });

  it('reads what older spreadsheets wrote, and says so; their own files it refuses', async () => {
    const { files } = await open();
    const western = new Blob([
      Uint8Array.from(
        [...'Datum;Gew', 0xe4, ...'sser\n1.5.2020;S', 0xfc, ...'d'].map((c) =>
          typeof c === 'number' ? c : c.charCodeAt(0),
        ),
      ),
    ]);
    const offer = await files.readSheet(western, 'metric', {});
    expect(offer).toMatchObject({ western: true, headings: ['Datum', 'Gewässer'], samples: [['1.5.2020'], ['Süd']] });
    expect(offer.columns.map((c) => c.field)).toEqual(['date', 'water']);
    await expect(files.readSheet(file('PK\u0003\u0004…'), 'metric', {})).rejects.toThrow(/Save it as CSV/);
    await expect(files.previewSheet({} as SheetChoices)).rejects.toThrow();
  });

  it('takes columns as they were taken before', async () => {
    const { files } = await open();
    const offer = await files.readSheet(file(TEXT), 'metric', { Caught: { field: 'takes', unit: null } });
    expect(offer.columns.map((c) => c.field)).toEqual(['date', 'water', 'run', 'casts', 'takes', 'length']);
  });
});

describe('sharing from the store', () => {
  it('gives the outings that are asked for, the oldest first, under a name that says only the days', async () => {
    const { db, files, choices } = await open();
    await files.bringSheet(choices(await files.readSheet(file(TEXT), 'metric', {})));
    const ids = (await db.all('outing')).map((o) => o.id);
    const ask = {
      outingIds: ids,
      runId: null,
      privacy: GUARDED,
      units: 'metric',
    } as const;
    const all = await files.share({ ...ask, format: 'fish' });
    expect(all.name).toBe('wanderung-outings-2020-05-01-to-2020-05-03.fish.csv');
    expect(all.text.split('\r\n')).toHaveLength(1 + 3);
    const told = await files.share({ ...ask, privacy: { ...GUARDED, place: 'told', names: true }, format: 'fish' });
    expect(told.text).toContain('Test water');
    const one = await files.share({ ...ask, outingIds: ids.slice(0, 1), format: 'calendar' });
    expect(one.text.match(/BEGIN:VEVENT/g)).toHaveLength(1);
    // What was written here is brought in here again: the same fish.
    const back = memoryDatabase(memoryStorage(), { now: () => NOW });
    await back.commit(put('water', water()));
    const again = createAllFiles(back, () => NOW);
    const offer = await again.readSheet(file(all.text), 'metric', {});
    await again.bringSheet(choices(offer));
    const lengths = (await back.folded()).flatMap((f) => f.log.fish.map((c) => c.take.fish!.lengthM)).sort();
    expect(lengths).toEqual([0.3, 0.455, null]);
  });
});
