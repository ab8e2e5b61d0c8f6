import type { Way } from '../cast';
import { shared } from '../maths/work';
import { choiceOf, fliesOf, type Rig, type RigChoice } from '../tackle';
import { setupsOf } from './looks';
import { neighbours, type Step, stepsTo } from './steps';
import { differsFrom, fliesFor, judgeFly } from './flies';
import { type Method, METHODS } from './methods';
import { plainWays } from './ways';
import { takesDown } from './fits';
import { type Setup, setupOf, soundAfter, tipsOf } from './rigs';
import { type Fished, glance } from './fished';
import type { Situation } from './situation';
import { type Bench, worthOf } from './setupWorth';

/** In what a next change would differ. */
type Differs = 'cadence' | 'depth' | 'profile' | 'colour';

/** What to try after the first fly. */
export interface Turn {
  readonly differs: Differs;
  readonly costS: number;
  /** What is changed for it; null: the same rig, fished by another method. */
  readonly step: Step | null;
  readonly method: Method;
  /** What is tied on then, and how it is shown. */
  readonly rig: RigChoice;
  readonly way: Way;
}

/** Which way one goes to look for fish at another depth: up in soft light and in warm clear water, down in the cold (handbook of the
 * trade); 0 where either will do. */
const deeperBy = ({ dusk, warm, clear, cold }: Situation): number => (dusk || (warm && clear) ? -1 : cold ? 1 : 0);

/** Less than this share of what the first is worth is not worth a try. */
const WORTH_A_TRY = 0.4;
const TURNS = 2;

/**
 * The next two changes worth trying after the first fly: cheap ones first, each differing in something else, so that a take
 * teaches something.
 */
export function* rotation(b: Bench, first: Fished): Generator<number, Turn[], undefined> {
  const { rig, method } = first.setup;
  const on = new Set(fliesOf(rig).map((f) => f.id));
  const isSound = soundAfter(b.s, rig);
  const flies = fliesFor(b.s, method, b.look).filter((j) => !on.has(j.fly.id) && isSound({ ...rig, fly: j.fly }));
  const otherFly = (differs: 'profile' | 'colour') =>
    flies.find((j) => {
      const d = differsFrom(j.fly, rig.fly);
      return differs === 'profile' ? d.profile : d.colour && !d.profile;
    })?.fly ?? flies.find((j) => differsFrom(j.fly, rig.fly)[differs])?.fly;
  const suits = new Set(tipsOf(b.s, method).map((t) => t?.id));
  const tips = neighbours(b, rig).filter(
    (r) => r.fly.id === rig.fly.id && r.tip?.id !== rig.tip?.id && r.rod.id === rig.rod.id && suits.has(r.tip?.id),
  );
  const deeper = (r: Rig) => takesDown(r.tip) - takesDown(rig.tip);
  const asWater = (r: Rig) => Number(Math.sign(deeper(r)) === deeperBy(b.s));
  const nextTip = tips.sort((a, c) => asWater(c) - asWater(a) || Math.abs(deeper(a)) - Math.abs(deeper(c)))[0];
  const cadence = setupsOf(b, rig).find((x) => x.method !== method && x.method !== 'soft hackles on the swing');
  const all: { readonly differs: Differs; readonly setup: Setup; readonly step: Step | null }[] = [];
  if (cadence) all.push({ differs: 'cadence', setup: cadence, step: null });
  if (nextTip)
    all.push({
      differs: 'depth',
      setup: setupOf(b.s, method, nextTip, first.setup.merit),
      step: stepsTo(b, rig, nextTip),
    });
  for (const differs of ['profile', 'colour'] as const) {
    const fly = otherFly(differs);
    if (!fly || all.some((t) => t.setup.rig.fly.id === fly.id)) continue;
    const next = { ...rig, fly };
    const setup = setupOf(b.s, method, next, judgeFly(b.s, method, fly, b.look).merit);
    all.push({ differs, setup, step: stepsTo(b, rig, next) });
  }
  const out: Turn[] = [];
  const foundHere = yield* shared(glance(b, first.setup, first.way), 0, 0, 8);
  const here = worthOf(b, first.setup, foundHere);
  const costS = (t: (typeof all)[number]) => t.step?.costS ?? 0;
  for (const [i, t] of all.sort((a, c) => costS(a) - costS(c)).entries()) {
    if (out.length >= TURNS) break;
    const way = t.differs === 'cadence' ? plainWays(b.s, t.setup)[0]! : first.way;
    const found = yield* shared(glance(b, t.setup, way), i / all.length, 1 / all.length, 8);
    // Another way is tried for being another: what the water says for the method is not held against it.
    const isWorth =
      t.differs === 'cadence' ? found >= WORTH_A_TRY * foundHere : worthOf(b, t.setup, found) >= WORTH_A_TRY * here;
    if (isWorth) {
      const { differs, step, setup } = t;
      const way = METHODS[setup.method].ways[0];
      out.push({ differs, costS: costS(t), step, method: setup.method, rig: choiceOf(setup.rig), way });
    }
  }
  return out;
}
