import { itemsOf, type TipItem } from '../tackle';
import { FOOT_M, INCH_M } from '../units';
import { type Setup, setupOf, soundAfter } from './rigs';
import { shared } from '../maths/work';
import { type Fished, glance } from './fished';
import { type Bench, worthOf } from './setupWorth';

/** Tips of the trade that one may buy or borrow: 10 ft of an intermediate to a heavy one (handbook of the trade), inches a second. */
const SHOP_TIPS = { intermediate: 1.5, slow: 2.5, medium: 3.5, fast: 5.5, heavy: 8 } as const;
const SHOP_FT = 10;
/** Another tip must be better by so much before it is worth bringing. */
const WORTH_BRINGING = 1.15;

/** Of about one length, and sinking within so much, two tips are one to an angler. */
const ALIKE = { lengthM: 0.5, rate: Math.log(1.25) } as const;
const isAlike = (a: TipItem, b: TipItem): boolean =>
  Math.abs(a.lengthM - b.lengthM) < ALIKE.lengthM && Math.abs(Math.log(a.sinkRateMps / b.sinkRateMps)) < ALIKE.rate;

/** A tip to bring next time. */
export interface Bring {
  readonly kind: keyof typeof SHOP_TIPS;
  readonly lengthM: number;
  readonly sinkRateMps: number;
}

/** The tip to bring next time, where what there is does not reach; null where it would gain little. One like those in the bag is none. */
export function* toBring(b: Bench, { setup, way }: Fished): Generator<number, Bring | null, undefined> {
  if (setup.method === 'wake fly' || setup.rig.float) return null;
  let here = 0;
  let best: { readonly bring: Bring; readonly worth: number } | null = null;
  // What is on comes last: casts that served the others are known for it, too.
  const all = [...(Object.keys(SHOP_TIPS) as Bring['kind'][]), null];
  const isSound = soundAfter(b.s, setup.rig);
  const owned = itemsOf(b.s.kit, 'tip');
  for (const [i, kind] of all.entries()) {
    const tip: TipItem | null = kind && {
      type: 'tip',
      id: kind,
      name: kind,
      lengthM: SHOP_FT * FOOT_M,
      sinkRateMps: SHOP_TIPS[kind] * INCH_M,
    };
    if (tip && owned.some((t) => isAlike(t, tip))) continue;
    const rig = tip ? { ...setup.rig, tip } : setup.rig;
    if (!isSound(rig)) continue;
    const merits = setupOf(b.s, setup.method, rig, setup.merit);
    const other: Setup = { ...merits, fits: setup.fits };
    const worth = worthOf(b, other, yield* shared(glance(b, other, way), i / all.length, 1 / all.length, 8));
    if (!tip) here = worth;
    else if (!best || worth > best.worth)
      best = { worth, bring: { kind: kind!, lengthM: tip.lengthM, sinkRateMps: tip.sinkRateMps } };
  }
  return best && best.worth > WORTH_BRINGING * here ? best.bring : null;
}
