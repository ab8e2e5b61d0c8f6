import { type Answer, type Question, requestOf } from '@/core/answer';
import { answerFor, firstAnswer } from '@/core/answer/answer';
import { sectionWords } from '@/words/answer';
import { ANY_MEANS } from '@/core/cast';
import { lieOptionsOf } from '@/core/lies';
import { survey } from '@/core/lies/survey';
import { finished } from '@/core/maths/work';
import { describeRig } from '@/core/tackle';
import { type Reading, type Run, TYPICAL_DAY } from '@/core/water';
import { KIT } from '@/demo/kit';
import { RUNS, WATERS } from '@/demo/waters';
import { table } from './table';

const AT = Date.UTC(2026, 8, 10, 11);
/** Four ordinary days (handbook of the trade). */
export const ORDINARY: Readonly<Record<string, Partial<Reading>>> = {
  normal: {},
  cold: { waterTempC: 5, levelM: 0.1 },
  coloured: { visibilityM: 0.45, colour: 'grey-brown', levelM: 0.25 },
  'low and clear': { visibilityM: 2.5, colour: 'clear', levelM: -0.1, waterTempC: 14, sky: 'bright' },
};
const SURE_OF_TEN = 7;

/** What is asked of a run of the demo on a day, with the demo's bag. */
export const questionOn = (run: Run, day: Partial<Reading>): Question => ({
  run,
  water: WATERS.find((w) => w.id === run.waterId)!,
  reading: { ...TYPICAL_DAY, id: 'x', runId: run.id, at: AT, levelM: 0, speed: null, ...day },
  ...{ kit: KIT, settings: { school: 'near the bed' }, means: ANY_MEANS },
  ...{ at: AT, tiedOn: null, rigged: [], seen: [], ask: 'best' },
});
export const requestOn = (run: Run, day: Partial<Reading>) => {
  const question = questionOn(run, day);
  return requestOf({ ...survey(run, question.reading, lieOptionsOf(question)), question });
};

/** What a guide would be asked about an answer: lies that are well shown, fished and left, how the run is cast. */
function judged({ served, plan }: Answer) {
  const chances = served?.stands.map((t) => t.chance ?? 0) ?? [];
  const left = served?.givesUp.length ?? 0;
  return {
    well: chances.filter((c) => c >= SURE_OF_TEN).length,
    fished: (served?.of.length ?? 0) - left,
    left,
    found: served?.found ?? 0,
    begins: plan[0]?.plan,
  };
}

/** The runs of the demo on ordinary days: what the answer comes to on each, in its own words, and how long it takes. */
export function benchDays(): void {
  const rows: (string | number)[][] = [];
  const times: number[] = [];
  const firsts: number[] = [];
  const sums = { well: 0, more: 0, angles: 0 };
  for (const run of RUNS)
    for (const [name, day] of Object.entries(ORDINARY)) {
      const request = requestOn(run, day);
      const t0 = performance.now();
      firstAnswer(request);
      firsts.push(performance.now() - t0);
      const t1 = performance.now();
      const answer = finished(answerFor(request));
      times.push(performance.now() - t1);
      const { well, fished, left, found } = judged(answer);
      if (well > 0) sums.well++;
      if (fished > left) sums.more++;
      const way = answer.served?.way;
      if (way && (way.hands || (way.angleDeg >= 30 && way.angleDeg <= 95))) sums.angles++;
      rows.push([`${run.id}, ${name}`, well, fished, left, `${Math.round(100 * found)} %`, Math.round(times.at(-1)!)]);
      const rig = answer.served && describeRig(answer.served.setup.rig);
      console.log(`${run.id}, ${name}: ${answer.method}, ${rig ?? answer.why.join(' ')}`);
      for (const section of answer.plan) console.log(`  ${sectionWords(section, 'metric')}`);
    }
  table(
    'Ordinary days: lies that are well shown in seven of ten, fished and left; what an hour finds; ms on this machine',
    ['run and day', 'well', 'fished', 'left', 'found', 'ms'],
    rows,
  );
  const sorted = (list: number[]) => [...list].sort((a, b) => a - b);
  const [ms, first] = [sorted(times), sorted(firsts)];
  console.log(
    `of ${rows.length} days: a lie well shown on ${sums.well}, more fished than left on ${sums.more}, swung between 30° and 95° on ${sums.angles}; ` +
      `answer ${Math.round(ms[ms.length >> 1]!)} ms at the median, ${Math.round(ms.at(-1)!)} at the most; first look ${Math.round(first[first.length >> 1]!)} ms`,
  );
}

/** A hair more of what is read: a centimetre, a hundredth of visibility, a tenth of a degree. */
const NUDGES: Readonly<Record<string, (r: Reading) => Partial<Reading>>> = {
  '1 cm': (r) => ({ levelM: r.levelM + 0.01 }),
  '1 % of visibility': (r) => ({ visibilityM: 1.01 * r.visibilityM }),
  '0.1 °C': (r) => ({ waterTempC: r.waterTempC! + 0.1 }),
};

/** How often a hair more of a reading changes method or rig, and how often the other is told to be as good then. */
export function benchNudges(): void {
  const rows: string[][] = [];
  let [asked, changed, told] = [0, 0, 0];
  const rigOf = ({ served }: Answer) => (served ? `${served.setup.method} ${describeRig(served.setup.rig)}` : '');
  for (const [i, run] of RUNS.entries()) {
    const day = Object.values(ORDINARY)[i % 4]!;
    const before = finished(answerFor(requestOn(run, day)));
    for (const [name, nudge] of Object.entries(NUDGES)) {
      const reading = questionOn(run, day).reading;
      const after = finished(answerFor(requestOn(run, { ...day, ...nudge(reading) })));
      asked++;
      if (rigOf(after) === rigOf(before)) continue;
      changed++;
      const other = after.second && `${after.second.fished.setup.method} ${describeRig(after.second.fished.setup.rig)}`;
      const asGood = other === rigOf(before) && after.second!.why.code === 'as good';
      if (asGood) told++;
      rows.push([`${run.id}, ${name}`, rigOf(before), rigOf(after), asGood ? 'told as good' : '']);
    }
  }
  table('A hair more of a reading that changes the rig', ['run', 'before', 'after', ''], rows);
  console.log(`of ${asked} nudges ${changed} change the rig, ${told} of them told as good`);
}
