import { shared } from '../maths/work';
import { borrowed, esteem, type Stand, surestFirst } from './casts';
import { fliesFor } from './flies';
import { METHOD_NAMES } from './methods';
import { type Setup, withSecond } from './rigs';
import { byWorth, type Ranked, screen } from './search';
import { asTold, serve, type Served, summed } from './servedLies';
import { type Bench, byWeight, isBetter } from './setupWorth';

/** Lies that set-ups are compared at, worked out in full at, and that get casts in the end. */
export const COMPARED = 4;
export const JUDGED = 5;
const PLANNED = 12;
/** Casts tried for a lie where set-ups are compared. */
export const TRIES = 8;
/** Set-ups that are compared, and those that are worked out in full. */
const COMPARE = 6;
const FULL = 3;

/** The best of all, and the best of every method, so that the second school is looked at in full. */
function shortlisted(all: readonly Ranked[], most: number): Ranked[] {
  const sorted = [...all].sort(byWorth);
  const out = sorted.slice(0, most);
  for (const method of METHOD_NAMES) {
    const best = sorted.find((r) => r.setup.method === method);
    if (best && !out.includes(best)) out.push(best);
  }
  return out;
}

/** The best set-ups of a list in full, the best first. */
export function* finals(b: Bench, all: readonly Ranked[]): Generator<number, Served[], undefined> {
  const lies = byWeight(b.s);
  const shortlist = shortlisted(all, COMPARE);
  const compared: Ranked[] = [];
  for (const [i, { setup }] of shortlist.entries()) {
    const share = COMPARING / shortlist.length;
    const work = screen(b, setup, lies.slice(0, COMPARED), TRIES);
    compared.push({ setup, worth: yield* shared(work, i * share, share, COMPARED * TRIES) });
  }
  compared.sort(byWorth);
  const last = compared.slice(0, FULL);
  const other = compared.find((r) => r.setup.method !== last[0]?.setup.method);
  if (other && !last.includes(other)) last.push(other);
  return yield* inFull(
    b,
    last.map((r) => r.setup),
    COMPARING,
  );
}
/** Share of the finals that goes into comparing. */
const COMPARING = 0.4;

/** Set-ups in full at the best lies, the best first. */
export function* inFull(b: Bench, setups: readonly Setup[], from = 0): Generator<number, Served[], undefined> {
  const lies = byWeight(b.s).slice(0, JUDGED);
  const out: Served[] = [];
  const share = (LENDING - from) / Math.max(1, setups.length);
  for (const [i, setup] of setups.entries())
    out.push(yield* shared(serve(b, setup, lies), from + i * share, share, 100));
  return (yield* shared(lent(b, out), LENDING, 1 - LENDING, 20)).sort(byWorth);
}
/** Share of the work in full after which casts are lent. */
const LENDING = 0.9;
/** A cast that is right so much more often, of ten, is tried with another rig. */
const LENT_OF_TEN = 2;

/** Set-ups with the casts of the others that have the same rod and line, where those serve a lie better: what a cast does with one
 * tip it mostly does with the next, and which of them it was found with is chance. */
export function* lent(b: Bench, all: readonly Served[]): Generator<void, Served[], undefined> {
  const out: Served[] = [];
  for (const own of all) {
    const { method, rig } = own.setup;
    const lenders = all.filter(
      ({ setup }) => setup.method === method && setup.rig.rod.id === rig.rod.id && setup.rig.head.id === rig.head.id,
    );
    const stands: Stand[] = [];
    for (const lie of own.of) {
      const mine = own.stands.find((t) => t.lie === lie) ?? null;
      const [theirs] = surestFirst(
        lenders.flatMap((x) => x.stands.filter((t) => t.lie === lie && t.chance! >= (mine?.chance ?? 0) + LENT_OF_TEN)),
      );
      const tried = theirs ? yield* borrowed(b.s, rig, theirs) : null;
      const best = esteem(tried) > esteem(mine) ? tried : mine;
      if (best) stands.push(best);
    }
    out.push(summed(b, own.setup, own.of, stands));
  }
  return out;
}

/** The winner with a second fly, unless it is worth more alone by more than chance. */
export function* maybePaired(b: Bench, best: Served): Generator<number, Served, undefined> {
  const flies = fliesFor(b.s, best.setup.method, b.look);
  const paired = withSecond(b.s, best.setup, flies);
  if (!paired) return best;
  const served = yield* shared(serve(b, paired, best.of), 0, 1, 100);
  return best.worth > A_SWING * served.worth ? best : served;
}
/** One swing more in twenty is chance: two flies show two depths. */
const A_SWING = 1.05;

/** The best set-up of a list, the best first, that differs from another in what matters: of another method if it is near. */
export function rivalOf(best: Served, found: readonly Served[]): Served | null {
  const tied = ({ setup: { method, rig } }: Served) => [method, rig.tip?.id, rig.head.id, rig.fly.id].join();
  const others = found.filter((x) => x !== best && tied(x) !== tied(best));
  return others.find((x) => x.setup.method !== best.setup.method && x.worth >= NEAR * best.worth) ?? others[0] ?? null;
}
/** Another method is told as the second when it is worth so much of the first. */
const NEAR = 0.4;

/** The first two and the rival of the first once more, by drawings that none was chosen by, and none besides: the better first,
 * and who was first stays it unless another is better by more than chance. */
export function* lastHeat(b: Bench, found: readonly Served[]): Generator<number, Served[], undefined> {
  const [first, second] = found;
  const again = [...new Set([first, second, first && rivalOf(first, found)])].filter((x) => !!x);
  const heat: Served[] = [];
  for (const [i, x] of again.entries())
    heat.push(yield* shared(asTold(b, x), i / again.length, 1 / again.length, x.stands.length));
  const stays = heat[0];
  heat.sort(byWorth);
  return stays && !isBetter(heat[0]!.worth, stays.worth) ? [...new Set([stays, ...heat])] : heat;
}

/** The winner over the whole run. @param best it, with its chances as they are told */
export function* overTheRun(b: Bench, best: Served): Generator<number, Served, undefined> {
  const served = yield* shared(serve(b, best.setup, byWeight(b.s).slice(0, PLANNED), best), 0, FOUND, 100);
  return yield* shared(asTold(b, served, best.of), FOUND, 1 - FOUND, served.stands.length);
}
const FOUND = 0.8;
