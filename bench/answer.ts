import { answerFor } from '@/core/answer/answer';
import { classOf, fliesFor } from '@/core/answer/flies';
import { fish, type Fished, suitedWay } from '@/core/answer/fished';
import { leaderFor, type Setup, setupOf, suitsFish, tipsOf } from '@/core/answer/rigs';
import { type Bench, benchOf, priorOf } from '@/core/answer/setupWorth';
import { situationOf } from '@/core/answer/situation';
import { looked, methodsToTry, soundedOf } from '@/core/answer/looks';
import { tableOf } from '@/core/answer/table';
import { beyondMeans } from '@/core/cast';
import { finished } from '@/core/maths/work';
import { checkRig } from '@/core/rules';
import { balanceOf, describeRig, itemsOf } from '@/core/tackle';
import { RUNS } from '@/demo/waters';
import { ORDINARY, requestOn } from './days';
import { table } from './table';

/** So many of all are looked at over the doubt of the readings, and of these fished over the whole run. */
const SOUNDED = 60;
const IN_FULL = 10;

/** Every rod, line, tip and kind of fly of the bag for every method that is tried, as far as it can be cast. */
function everything({ s, look, votes }: Bench): Setup[] {
  const leaders = itemsOf(s.kit, 'leader').filter((l) => !l.nicked);
  return methodsToTry({ votes }).flatMap((method) => {
    const flies = fliesFor(s, method, look);
    const kinds = flies.filter((j, i) => flies.findIndex((f) => classOf(f.fly) === classOf(j.fly)) === i);
    const rods = itemsOf(s.kit, 'rod').filter((rod) => suitsFish(s, rod));
    return rods.flatMap((rod) =>
      itemsOf(s.kit, 'head').flatMap((head) =>
        tipsOf(s, method).flatMap((tip) =>
          kinds.flatMap(({ fly, merit }) => {
            const bare = { rod, head, tip, leader: leaders[0]!, fly, droppers: [], lineClean: true };
            const rig = { ...bare, leader: leaderFor(s, method, bare, leaders)! };
            const { tipTooHeavy, tipTooLight } = balanceOf(rig);
            const able = !tipTooHeavy && !tipTooLight && beyondMeans(s.means, rig).length === 0;
            return able && checkRig(s.rules, rig).length === 0 ? [setupOf(s, method, rig, merit)] : [];
          }),
        ),
      ),
    );
  });
}

/** The search against everything: what of the best of all is lost. */
function best(b: Bench, least: number): { best: Fished | null; tried: number } {
  const all = everything(b);
  const byWorth = (x: { readonly worth: number }, y: { readonly worth: number }) => y.worth - x.worth;
  const seen = all
    .filter((setup) => priorOf(b, setup) > least) // no more than with every fish found
    .map((setup) => finished(looked(b, setup)))
    .sort(byWorth)
    .slice(0, SOUNDED);
  const ranked = seen.map(({ setup }) => finished(soundedOf(b, setup))).sort(byWorth);
  const fished = ranked
    .slice(0, IN_FULL)
    .map(({ setup }) => finished(fish(b, setup, finished(suitedWay(b, setup)).way)));
  return { best: fished.sort(byWorth)[0] ?? null, tried: all.length };
}

/** The answer against trying everything, on ordinary days of the demo's runs with the demo's bag: time and regret. */
export function benchAnswer(): void {
  const rows: (string | number)[][] = [];
  const regrets: number[] = [];
  const timed = <T>(work: () => T): [T, number] => {
    const t0 = performance.now();
    return [work(), performance.now() - t0];
  };
  for (const [i, run] of RUNS.entries())
    for (const [n, [name, day]] of Object.entries(ORDINARY).entries()) {
      if ((i + n) % 2 === 1) continue; // every other day of every run
      const request = requestOn(run, day);
      const b = benchOf(situationOf(request));
      const [{ rows: found }, search] = timed(() => finished(tableOf(b, null, false)));
      const [, whole] = timed(() => finished(answerFor(request)));
      const mine = found[0]?.worth ?? 0;
      const [all, ms] = timed(() => best(b, mine));
      const regret = all.best && all.best.worth > mine ? 1 - mine / all.best.worth : 0;
      regrets.push(regret);
      const told = (f: Fished | null | undefined) =>
        f && `${f.setup.method}, ${f.setup.rig.head.name}, ${describeRig(f.setup.rig)} at ${f.way.angleDeg}°`;
      const missed = regret > 0 ? `: ${told(all.best)} instead of ${told(found[0])}` : '';
      console.error(
        `${run.id}, ${name}: regret ${(100 * regret).toFixed(1)} %, everything ${(ms / 1000).toFixed(0)} s${missed}`,
      );
      rows.push([`${run.id}, ${name}`, whole, ms / search, all.tried, `${(100 * regret).toFixed(1)} %`]);
    }
  table(
    'The answer against trying everything (ms on this machine; the ratio and the regret carry over)',
    ['case', 'answer', 'everything ÷ search', 'rigs', 'regret'],
    rows,
  );
  const mean = regrets.reduce((sum, r) => sum + r, 0) / regrets.length;
  console.log(`regret: mean ${(100 * mean).toFixed(1)} %, at the most ${(100 * Math.max(...regrets)).toFixed(1)} %`);
}
