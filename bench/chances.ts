import { oddsOf } from '@/core/advice/trial';
import { answerFor } from '@/core/answer/answer';
import { situationOf } from '@/core/answer/situation';
import { doubtOf } from '@/core/cast';
import { normal, seeded } from '@/core/maths';
import { finished } from '@/core/maths/work';
import type { Draw } from '@/core/swing';
import { RUNS } from '@/demo/waters';
import { ORDINARY, requestOn } from './days';
import { table } from './table';

const CASES = 14;
const DRAWN = 40;

/** How often a cast told so many of ten times shows its lie well in waters that are drawn freely, by a generator of their own. */
export function benchChances(): void {
  const rows: (string | number)[][] = [];
  let [squares, told] = [0, 0];
  const cases = RUNS.flatMap((run, i) =>
    Object.entries(ORDINARY)
      .filter((_, j) => (i + j) % 2 === 0)
      .map(([name, day]) => ({ run, name, day })),
  ).slice(0, CASES);
  for (const [n, { run, name, day }] of cases.entries()) {
    const request = requestOn(run, day);
    const { channel } = situationOf(request);
    const { served } = finished(answerFor(request));
    const rand = seeded(100 + n);
    const doubt = doubtOf(channel);
    const waters = Array.from({ length: DRAWN }, (): Draw => ({
      speed: Math.exp(doubt.speed * normal(rand)),
      depth: Math.exp(doubt.depth * normal(rand)),
      turned: rand() < doubt.line,
    }));
    for (const t of served?.stands ?? []) {
      const got = oddsOf(channel, t.lie, t, { all: waters })?.ofTen ?? 0;
      squares += ((t.chance! - got) / 10) ** 2;
      told++;
      rows.push([`${run.id}, ${name}`, t.lie.rank, t.chance!.toFixed(1), got.toFixed(1)]);
    }
  }
  table(`Chances of ten as told, and in ${DRAWN} waters drawn freely`, ['run and day', 'lie', 'told', 'got'], rows);
  console.log(
    `${told} chances on ${cases.length} days: off by ${Math.sqrt(squares / told).toFixed(3)} (root of the mean square)`,
  );
}
