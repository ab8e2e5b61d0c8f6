import { PLAN } from '@/core/testing/fixtures';
import { fold, type LogEvent } from '@/core/logbook';
import { append } from '@/store/changes';
import { memoryDatabase, memoryStorage } from '@/store/memory';
import { table, time, timeAsync } from './table';

const cast = (n: number): LogEvent => ({
  id: `event-${n}`,
  at: 1_700_000_000_000 + n * 40_000,
  runId: 'long-even',
  xM: (n % 80) * 1.5,
  yM: 4,
  rig: 'rig-1',
  kind: 'cast',
  plan: PLAN,
});
const many = (n: number) => Array.from({ length: n }, (_, i) => cast(i));

/** Storage without the disk: what sealing, checking, chunking and folding cost. */
export async function benchStore(): Promise<void> {
  const large = 100_000;
  const outings = 250;
  const storage = memoryStorage();
  const db = memoryDatabase(storage);
  for (let o = 0; o < outings; o++) await db.commit(append(`outing-${o}`, many(large / outings)));
  const firstSum = await timeAsync(1, () => db.folded());
  const open = await timeAsync(5, () => memoryDatabase(storage).folded());
  const short = memoryDatabase(memoryStorage());
  await short.commit(append('o', many(10)));
  const long = memoryDatabase(memoryStorage());
  await long.commit(append('o', many(large)));
  let n = large;
  const few = await timeAsync(101, () => short.commit(append('o', [cast(n++)])));
  const lots = await timeAsync(101, () => long.commit(append('o', [cast(n++)])));
  const events = many(large);
  const folding = time(5, () => void fold(events)).median;
  table(
    'Logbook of 100,000 events in 250 outings (in memory: without the disk)',
    ['work', 'ms', 'ratio'],
    [
      ['sum up for the first time', firstSum, firstSum / open],
      ['open and sum up', open, 1],
      ['fold 100,000 events', folding, folding / open],
      ['append one event to 10', few, 1],
      ['append one event to 100,000', lots, lots / few],
    ],
  );
}
