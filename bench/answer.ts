import { oddsOf } from '@/core/advice/trial';
import { type Question, requestOf } from '@/core/answer';
import { answerFor, firstAnswer } from '@/core/answer/answer';
import { esteem } from '@/core/answer/casts';
import { classOf, fliesFor } from '@/core/answer/flies';
import { COMPARED, finals, inFull, lastHeat, maybePaired, TRIES } from '@/core/answer/finals';
import { leaderFor, setupOf, tipsOf } from '@/core/answer/rigs';
import { methodsToTry, screen, wholeBag } from '@/core/answer/search';
import type { Served } from '@/core/answer/servedLies';
import { situationOf } from '@/core/answer/situation';
import { benchOf, type Bench, byWeight, weightOf, worthOf } from '@/core/answer/setupWorth';
import { ANY_MEANS, beyondMeans, doubtOf } from '@/core/cast';
import { lieOptionsOf } from '@/core/lies';
import { survey } from '@/core/lies/survey';
import { finished } from '@/core/maths/work';
import { checkRig } from '@/core/rules';
import { draws } from '@/core/swing';
import { itemsOf } from '@/core/tackle';
import { type Reading, TYPICAL_DAY } from '@/core/water';
import { KIT } from '@/demo/kit';
import { RUNS, WATERS } from '@/demo/waters';
import { table } from './table';

const DAYS: readonly Partial<Reading>[] = [
  {},
  { visibilityM: 0.5, colour: 'grey-brown', levelM: 0.2 },
  { visibilityM: 2.5, colour: 'clear', levelM: -0.1, waterTempC: 14, sky: 'bright', seen: ['hatch'] },
];
const CASES = 20;
const AT = Date.UTC(2026, 8, 10, 11);

function cases(): Question[] {
  const all = DAYS.flatMap((day) =>
    RUNS.map((run): Question => ({
      run,
      water: WATERS.find((w) => w.id === run.waterId)!,
      reading: { ...TYPICAL_DAY, id: 'x', runId: run.id, at: AT, levelM: 0, speed: null, ...day },
      ...{ kit: KIT, settings: { units: 'metric', school: 'near the bed' }, means: ANY_MEANS },
      ...{ at: AT, tiedOn: null, rigged: [], seen: [], ask: 'best' },
    })),
  );
  return all.slice(0, CASES);
}

/** So many of all that was screened are worked out in full. */
const IN_FULL = 8;

const DRAWN_ANEW = 60;
/** What a set-up is worth with its casts judged over drawings of the water that no search has seen: the best of many by ten
 * drawings was lucky with them, too. */
function anew(b: Bench, served: Served): number {
  const { channel } = b.s;
  const fresh = draws({ ...doubtOf(channel, DRAWN_ANEW), seed: 101 });
  const got = served.stands.reduce((sum, stand) => {
    const odds = oddsOf(channel, { lie: stand.lie, sideOn: false }, stand, fresh);
    const judged = odds && { ...stand, chance: odds.ofTen, credit: odds.credit };
    return sum + weightOf(stand.lie) * esteem(judged);
  }, 0);
  return worthOf(b, served.setup, got / served.of.reduce((sum, lie) => sum + weightOf(lie), 0));
}

/** Every rod, line, tip and kind of fly for every method that is tried; those that could be worth more than what was found are
 * screened at the same lies, the best of them in full. */
function everything(b: Bench, found: number): { best: Served | null; tried: number } {
  const { s } = b;
  const leaders = itemsOf(s.kit, 'leader').filter((l) => !l.nicked);
  const lies = byWeight(s).slice(0, COMPARED);
  const setups = methodsToTry(b).flatMap((method) => {
    const flies = fliesFor(s, method, b.look);
    const kinds = flies.filter((j, i) => flies.findIndex((f) => classOf(f.fly) === classOf(j.fly)) === i);
    return itemsOf(s.kit, 'rod').flatMap((rod) =>
      itemsOf(s.kit, 'head').flatMap((head) =>
        tipsOf(s, method).flatMap((tip) =>
          kinds.flatMap(({ fly, merit }) => {
            const bare = { rod, head, tip, leader: leaders[0]!, fly, droppers: [], lineClean: true };
            const rig = { ...bare, leader: leaderFor(s, method, bare, leaders)! };
            const legal = !s.rules || checkRig(s.rules, rig).length === 0;
            return legal && beyondMeans(s.means, rig).length === 0 ? [setupOf(s, method, rig, merit)] : [];
          }),
        ),
      ),
    );
  });
  const ranked = setups
    .filter((setup) => worthOf(b, setup, 1) > found) // no more than with every lie served
    .map((setup) => ({ setup, worth: finished(screen(b, setup, lies, TRIES)) }))
    .sort((x, y) => y.worth - x.worth);
  const [best] = finished(
    inFull(
      b,
      ranked.slice(0, IN_FULL).map((r) => r.setup),
    ),
  );
  return { best: best ?? null, tried: setups.length };
}

/** The answer against trying everything, on twenty cases of the demo’s runs with the demo’s bag: time and regret. */
export function benchAnswer(): void {
  const rows: (string | number)[][] = [];
  const sums = { first: 0, search: 0, whole: 0, all: 0, most: 0, regret: 0 };
  const timed = <T>(work: () => T): [T, number] => {
    const t0 = performance.now();
    return [work(), performance.now() - t0];
  };
  for (const q of cases()) {
    const request = requestOf({ ...survey(q.run, q.reading, lieOptionsOf(q)), question: q });
    const b = benchOf(situationOf(request));
    if (request.lies.length === 0) continue;
    finished(answerFor(request)); // warm
    const [, first] = timed(() => firstAnswer(request));
    const [found, search] = timed(() => finished(finals(b, finished(wholeBag(b)))));
    const [, whole] = timed(() => finished(answerFor(request)));
    const paired = found[0] ? [finished(maybePaired(b, found[0])), ...found] : [];
    const mine = finished(lastHeat(b, [...new Set(paired)]))[0] ?? null;
    const [{ best, tried }, all] = timed(() => everything(b, mine?.worth ?? 0));
    // Where none of all could be worth more, it is the best.
    const regret = mine && best && best.worth > mine.worth ? 1 - anew(b, mine) / anew(b, best) : 0;
    sums.first += first;
    sums.search += search;
    sums.whole += whole;
    sums.all += all;
    sums.most = Math.max(sums.most, whole);
    sums.regret += regret;
    console.error(
      `${rows.length + 1}: ${q.run.id}, regret ${(100 * regret).toFixed(1)} %, everything ${(all / 1000).toFixed(0)} s`,
    ); // it takes minutes
    rows.push([
      `${q.run.id}, ${q.reading.visibilityM} m of sight`,
      first,
      whole,
      all / search,
      tried,
      `${(100 * regret).toFixed(1)} %`,
    ]);
  }
  table(
    'The answer against trying everything (ms on this machine; the ratio and the regret carry over)',
    ['case', 'first thought', 'answer', 'everything ÷ search', 'rigs', 'regret'],
    rows,
  );
  const n = rows.length;
  console.log(
    `mean: first thought ${(sums.first / n).toFixed(0)} ms, answer ${(sums.whole / n).toFixed(0)} ms (at the most ${sums.most.toFixed(0)}), everything ${(sums.all / sums.search).toFixed(1)} times the search, regret ${((100 * sums.regret) / n).toFixed(1)} %`,
  );
}
