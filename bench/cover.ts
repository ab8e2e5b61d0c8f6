import { type Question, requestOf } from '@/core/answer';
import { answerFor } from '@/core/answer/answer';
import { ANY_MEANS } from '@/core/cast';
import { beatFor, type CoverRequest, PATIENCES, ruleBeat, ruleFor } from '@/core/cover';
import { coveringOf } from '@/core/cover/covering';
import { lieOptionsOf } from '@/core/lies';
import { survey } from '@/core/lies/survey';
import { finished } from '@/core/maths/work';
import { TYPICAL_DAY } from '@/core/water';
import { KIT } from '@/demo/kit';
import { RUNS, WATERS } from '@/demo/waters';
import { table } from './table';

const AT = Date.UTC(2026, 8, 10, 11);

/** The casts of an hour on the demo’s runs, with the demo’s bag: how long they take to plan, and what they show beside the rule. */
export function benchCover(): void {
  const rows: (string | number)[][] = [];
  const timed = <T>(work: () => T): [T, number] => {
    const t0 = performance.now();
    return [work(), performance.now() - t0];
  };
  for (const run of RUNS) {
    const water = WATERS.find((w) => w.id === run.waterId)!;
    const reading = { ...TYPICAL_DAY, id: 'x', runId: run.id, at: AT, levelM: 0, speed: null };
    const question: Question = {
      ...{ run, water, reading, kit: KIT, settings: { school: 'near the bed' }, means: ANY_MEANS },
      ...{ at: AT, tiedOn: null, rigged: [], seen: [], ask: 'best' },
    };
    const options = lieOptionsOf(question);
    const request = requestOf({ ...survey(run, reading, options), question });
    const { served } = finished(answerFor(request));
    if (!served) continue;
    const q: CoverRequest = { ...request, options, rig: served.setup.rig, way: served.way, special: [] };
    finished(coveringOf(q)); // warm
    const [, atOnce] = timed(() => ruleFor(q));
    const [c, plan] = timed(() => finished(coveringOf(q)));
    const [, slider] = timed(() => PATIENCES.map((p) => beatFor(c, 45, p)));
    const hour = beatFor(c, 60, 2);
    rows.push([
      `${run.id}, ${run.lengthM} m`,
      c.casts.length,
      plan,
      atOnce,
      slider / PATIENCES.length,
      100 * hour.shares.once,
      100 * ruleBeat(c, 60, 2).shares.once,
    ]);
  }
  table(
    'Covering a run for an hour: one core, ms; shares of the holding water, %',
    ['run', 'casts looked at', 'all of it', 'first casts', 'a slider', 'the plan shows', 'the rule shows'],
    rows,
  );
}
