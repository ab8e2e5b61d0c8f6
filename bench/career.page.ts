// Runs in the page: a career's logbook on the browser's own database (bench/career.ts).
import { DAY_MS } from '@/core/units';
import { append } from '@/store/changes';
import { openDatabase } from '@/store/open';
import { recordKey, sealRecord } from '@/store/envelopes';
import { reopen } from '@/store/reopen';

const { db } = openDatabase();
const time = async (work: () => Promise<unknown>) => {
  const t0 = performance.now();
  await work();
  return performance.now() - t0;
};

Object.assign(window, {
  /** Copies the log of one outing to so many others, as it is stored. */
  async fill(entries: Record<string, string>, outings: number) {
    const store = await reopen('wanderung');
    for (let from = 0; from < outings; from += 50) {
      const part: Record<string, string> = {};
      for (let o = from; o < Math.min(outings, from + 50); o++)
        for (const [key, value] of Object.entries(entries))
          part[key.replace('/o/', `/o${o}/`).replace(/\/o$/, `/o${o}`)] = value;
      await store.setMany(part);
    }
    await store.removeMany(['sums', 'stale']); // of the one that was there before
  },
  /** The records of as many outings on a water, a day apart, the newest yesterday. */
  async days(waterId: string, outings: number) {
    const store = await reopen('wanderung');
    const records = Array.from({ length: outings }, (_, o) => {
      const startedAt = Date.now() - (outings - o) * DAY_MS;
      return { id: `o${o}`, waterId, startedAt, endedAt: startedAt + DAY_MS / 6, notes: '' };
    });
    await store.setMany(
      Object.fromEntries(records.map((r) => [recordKey('outing', r.id), sealRecord('outing', r, r.startedAt)])),
    );
  },
  sum: async () => {
    let casts = 0;
    const ms = await time(async () => (casts = (await db.folded()).reduce((n, f) => n + f.log.tally.casts, 0)));
    return { ms, casts };
  },
  append: (outing: string, event: Parameters<typeof append>[1][number]) =>
    time(() => db.commit(append(outing, [event]))),
});
