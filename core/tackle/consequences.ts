import { G, POUND_KG } from '../units';
import { balanceOf } from './balance';
import { isWetFly } from './families';
import { floatCarriesKg } from './float';
import { flyBody, profileOf } from './flies';
import type { FlyItem } from './kit';
import { leaderLengthM, strengthN, tippetOf, xSizeOf } from './leader';
import { endSinks, fliesOf, heft, isMonoRig, type Rig, type TieWay } from './rig';

/** What follows from how a rig is put together. `care`: live with it or mend it; `bad`: it will go wrong. */
export type Consequence = {
  readonly of: 'balance' | 'turnover' | 'strength' | 'tangles' | 'slip' | 'hands' | 'float' | 'tie';
  readonly level: 'good' | 'care' | 'bad';
} & Effect;

/** What happens, with its figures: kg, m and N. */
type Effect =
  | { readonly code: 'fine tippet' | 'stout tippet'; readonly hook: string }
  | {
      readonly code: 'holds';
      readonly n: number;
      readonly byWood: 'enough' | 'too little' | 'not asked';
      readonly dragN: number;
    }
  | { readonly code: 'flies close'; readonly apartM: number }
  | ({ readonly code: 'head' } & Throw)
  | ({ readonly code: 'tip too heavy'; readonly tipKg: number } & Pick<Throw, 'line'>)
  | {
      readonly code:
        | 'long leader'
        | 'tip on mono'
        | 'larger dropper'
        | 'nicked'
        | 'long arm'
        | 'many arms'
        | 'barbless bend'
        | 'free hook'
        | 'float drowns'
        | 'float deep'
        | 'float light'
        | 'fly above float'
        | 'float above leader'
        | 'tip under float'
        | 'fly above leader'
        | 'tip too light'
        | 'flies too heavy';
    };

/** A head, or of a whole line its first thirty feet, on a rod that throws so much. */
interface Throw {
  readonly line: 'head' | 'line';
  readonly headKg: number;
  readonly tipKg: number;
  readonly windowKg: readonly [number, number];
  readonly fits: 'right' | 'too light' | 'too heavy';
}

/** Where it is fished. */
interface Place {
  /** Wood stands in the water. */
  readonly wood?: boolean;
}

/** Share of a line's strength that its knots keep (from memory: clinch and surgeon's knots 0.85 to 0.95 when wetted). */
const KNOT = 0.85;
/** A nick leaves about half (common practice, no source). */
const NICKED = 0.5;
/** Where wood or rock is near a fish must be stopped: about 10 lb (handbook of the trade, practice). */
const NEAR_WOOD_N = 10 * POUND_KG * G;
/** A reel's drag is set to a third of what the tippet holds at the most (common practice, no source). */
const DRAG_SHARE = 1 / 3;

/** What a rig's weakest place holds, N: the thinnest piece with its knots. @example holdsN(rig) // 45 for 12 lb of nylon */
export const holdsN = ({ leader }: Pick<Rig, 'leader'>): number =>
  KNOT * (leader.nicked ? NICKED : 1) * Math.min(...leader.pieces.map(strengthN));

/** Hook size as a number. @example hookNumber('2/0') // -1 */
export function hookNumber(hook: string): number | null {
  const sea = /^\s*(\d+)\s*\/\s*0\s*$/.exec(hook);
  if (sea) return 1 - Number(sea[1]);
  const plain = /\d+/.exec(hook);
  return plain ? Number(plain[0]) : null;
}

/** X size that turns a hook over: its number over four (common practice, no source), streamers two sizes stouter for their
 * bulk. @example wantedX({ hook: '16', family: 'soft-hackle spider', … }) // 4 */
export function wantedX(fly: FlyItem): number | null {
  const n = hookNumber(fly.hook);
  return n === null ? null : n / 4 - (isWetFly(fly) || profileOf(fly) === 'sparse' ? 0 : 1);
}
const X_EITHER_WAY = { finer: 2.5, stouter: 5 } as const;

/** Behind a tip 3 to 5 ft for one fly, two soft hackles 6 to 7 ft (handbook of the trade, practice); in m with some room. */
const BEHIND_TIP_M = { one: 1.6, two: 2.3 } as const;

function turnover(rig: Rig): Consequence[] {
  const out: Consequence[] = [];
  const say = (level: Consequence['level'], effect: Effect) => out.push({ of: 'turnover', level, ...effect });
  const tippet = tippetOf(rig.leader);
  const x = xSizeOf(tippet.toDiameterM ?? tippet.diameterM);
  const want = wantedX(rig.fly);
  if (want !== null && x > want + X_EITHER_WAY.finer) say('care', { code: 'fine tippet', hook: rig.fly.hook });
  if (want !== null && x < want - X_EITHER_WAY.stouter) say('care', { code: 'stout tippet', hook: rig.fly.hook });
  const lengthM = leaderLengthM(rig.leader);
  const most = rig.droppers.length > 0 ? BEHIND_TIP_M.two : BEHIND_TIP_M.one;
  if (endSinks(rig) && lengthM > most) say('care', { code: 'long leader' });
  if (isMonoRig(rig) && rig.tip) say('bad', { code: 'tip on mono' });
  const flies = fliesOf(rig);
  // With soft hackles larger above, small on the point is a school of its own.
  if (!flies.every(isWetFly) && Math.max(...flies.map(heft)) > 1.5 * heft(rig.fly))
    say('care', { code: 'larger dropper' });
  return out;
}

function strength(rig: Rig, { wood }: Place): Consequence[] {
  const n = holdsN(rig);
  const enough = n >= NEAR_WOOD_N * KNOT;
  const out: Consequence[] = [
    {
      of: 'strength',
      level: enough || !wood ? 'good' : 'care',
      ...{ code: 'holds', n, byWood: enough ? 'enough' : wood ? 'too little' : 'not asked', dragN: DRAG_SHARE * n },
    },
  ];
  if (rig.leader.nicked) out.push({ of: 'strength', level: 'bad', code: 'nicked' });
  return out;
}

/** How readily a way tangles, from the sliding loop (least) on (handbook of the trade; the steps are assumed). */
const TANGLES: Record<TieWay, number> = { loop: 1, bend: 1.5, ring: 2, tag: 2.5 };
/** An arm of 6 to 8 in stands off; a longer one wraps (handbook of the trade, practice), m. */
const LONGEST_ARM_M = 0.21;
/** Nearer together than the fly's length three times over they catch in each other (common practice, no source). */
const LENGTHS_APART = 3;
const OFTEN = 4;

/** How often a rig tangles, as a figure to compare by: 0 with one fly. */
export const tangling = (rig: Pick<Rig, 'droppers' | 'shot'>): number =>
  rig.droppers.reduce((sum, d) => sum + TANGLES[d.way] + (d.armM > LONGEST_ARM_M ? 1 : 0), 0) *
  (rig.shot && rig.droppers.length > 0 ? 1.3 : 1);

function tangles(rig: Rig): Consequence[] {
  if (rig.droppers.length === 0) return [];
  const out: Consequence[] = [];
  const say = (effect: Effect) => out.push({ of: 'tangles', level: 'care', ...effect });
  let below: { fly: FlyItem; aboveM: number } = { fly: rig.fly, aboveM: 0 };
  for (const d of rig.droppers) {
    const apart = d.aboveM - below.aboveM;
    if (apart < LENGTHS_APART * Math.max(d.fly.lengthM, below.fly.lengthM)) say({ code: 'flies close', apartM: apart });
    if (d.way !== 'bend' && d.armM > LONGEST_ARM_M) say({ code: 'long arm' });
    below = d;
  }
  if (tangling(rig) >= OFTEN) say({ code: 'many arms' });
  return out;
}

function slip(rig: Rig): Consequence[] {
  // From the bend of the fly above hangs the next one below it.
  return rig.droppers.some((d) => d.way === 'bend' && d.fly.barbless)
    ? [{ of: 'slip', level: 'bad', code: 'barbless bend' }]
    : [];
}

const hands = (rig: Rig): Consequence[] =>
  rig.droppers.length > 0 ? [{ of: 'hands', level: 'care', code: 'free hook' }] : [];

/** With less than this under it, in water, a float does not take a fly down in a current (assumed), kg. */
const LEAST_LOAD_KG = 0.15e-3;

function float(rig: Rig): Consequence[] {
  if (!rig.float) return [];
  const { item, aboveM } = rig.float;
  const out: Consequence[] = [];
  const say = (level: Consequence['level'], effect: Effect) => out.push({ of: 'float', level, ...effect });
  const loadKg = fliesOf(rig).reduce((sum, f) => sum + flyBody(f).massInWaterKg, 0) + (rig.shot ? rig.shot.massKg : 0);
  const carries = floatCarriesKg(item);
  if (loadKg > carries) say('bad', { code: 'float drowns' });
  else if (loadKg > 0.7 * carries) say('care', { code: 'float deep' });
  if (loadKg < LEAST_LOAD_KG) say('care', { code: 'float light' });
  if (rig.droppers.some((d) => d.aboveM > aboveM)) say('bad', { code: 'fly above float' });
  if (aboveM >= leaderLengthM(rig.leader)) say('bad', { code: 'float above leader' });
  if (rig.tip && rig.tip.sinkRateMps > 0) say('bad', { code: 'tip under float' });
  return out;
}

function tie(rig: Rig): Consequence[] {
  const lengthM = leaderLengthM(rig.leader);
  return rig.droppers.some((d) => d.aboveM >= lengthM) ? [{ of: 'tie', level: 'bad', code: 'fly above leader' }] : [];
}

function balance(rig: Rig): Consequence[] {
  if (isMonoRig(rig)) return [];
  const { fits, headKg, tipKg, windowKg, ...is } = balanceOf(rig);
  const line = rig.head.shape === 'taper' ? 'line' : 'head';
  const care = (effect: Effect): Consequence => ({ of: 'balance', level: 'care', ...effect });
  return [
    { ...care({ code: 'head', line, headKg, tipKg, windowKg, fits }), level: fits === 'right' ? 'good' : 'care' },
    ...(is.tipTooHeavy ? [care({ code: 'tip too heavy', line, tipKg })] : []),
    ...(is.tipTooLight ? [care({ code: 'tip too light' })] : []),
    ...(is.flyTooHeavy ? [care({ code: 'flies too heavy' })] : []),
  ];
}

/** Everything that follows from how a rig is put together, the worst first. */
export const consequencesOf = (rig: Rig, place: Place = {}): Consequence[] => {
  const order = { bad: 0, care: 1, good: 2 };
  return [balance, turnover, strength, tie, slip, tangles, hands, float]
    .flatMap((of) => of(rig, place))
    .sort((a, b) => order[a.level] - order[b.level]);
};
