import { GRAIN_KG, POUND_KG, G, INCH_M } from '../units';
import { balanceOf } from './balance';
import { isWetFly } from './families';
import { floatCarriesKg } from './float';
import { flyBody, profileOf } from './flies';
import type { FlyItem } from './kit';
import { leaderLengthM, strengthN, tippetOf, xSizeOf } from './leader';
import { endSinks, fliesOf, heft, isMonoRig, type Rig, type TieWay } from './rig';

/** What follows from how a rig is put together. `care`: live with it or mend it; `bad`: it will go wrong. */
interface Consequence {
  readonly of: 'balance' | 'turnover' | 'strength' | 'tangles' | 'slip' | 'hands' | 'float' | 'tie';
  readonly level: 'good' | 'care' | 'bad';
  readonly says: string;
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

export const pounds = (n: number): string => `${(n / (POUND_KG * G)).toFixed(0)} lb`;

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
  const say = (level: Consequence['level'], says: string) => out.push({ of: 'turnover', level, says });
  const tippet = tippetOf(rig.leader);
  const x = xSizeOf(tippet.toDiameterM ?? tippet.diameterM);
  const want = wantedX(rig.fly);
  if (want !== null && x > want + X_EITHER_WAY.finer)
    say('care', `The tippet is fine for hook ${rig.fly.hook}: the fly will not turn over well and spins it up.`);
  if (want !== null && x < want - X_EITHER_WAY.stouter)
    say('care', `The tippet is stout for hook ${rig.fly.hook}: so small a fly moves stiffly on it.`);
  const lengthM = leaderLengthM(rig.leader);
  const most = rig.droppers.length > 0 ? BEHIND_TIP_M.two : BEHIND_TIP_M.one;
  if (endSinks(rig) && lengthM > most)
    say('care', 'The leader is long for a sinking tip: the fly rides well above it.');
  if (isMonoRig(rig) && rig.tip) say('bad', 'A mono rig has no tip: take one of them off.');
  const flies = fliesOf(rig);
  // With soft hackles larger above, small on the point is a school of its own.
  if (!flies.every(isWetFly) && Math.max(...flies.map(heft)) > 1.5 * heft(rig.fly))
    say('care', 'The larger fly hangs on the dropper: it turns over less surely than with the larger on the point.');
  return out;
}

function strength(rig: Rig, { wood }: Place): Consequence[] {
  const n = holdsN(rig);
  const enough = n >= NEAR_WOOD_N * KNOT;
  const by = enough
    ? 'enough to stop a fish by wood'
    : wood
      ? 'too little to stop a fish by the wood in this run, where about 10 lb are wanted'
      : 'for open water; by wood step up to about 10 lb';
  const out: Consequence[] = [
    {
      of: 'strength',
      level: enough || !wood ? 'good' : 'care',
      says: `Holds ${pounds(n)} with its knots: ${by}. Set the drag to ${pounds(DRAG_SHARE * n)} at the most.`,
    },
  ];
  if (rig.leader.nicked)
    out.push({
      of: 'strength',
      level: 'bad',
      says: 'The leader is nicked: it parts on the next fish. Cut it back or change it.',
    });
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
  const say = (says: string) => out.push({ of: 'tangles', level: 'care', says });
  let below: { fly: FlyItem; aboveM: number } = { fly: rig.fly, aboveM: 0 };
  for (const d of rig.droppers) {
    const apart = d.aboveM - below.aboveM;
    if (apart < LENGTHS_APART * Math.max(d.fly.lengthM, below.fly.lengthM))
      say(`Two flies only ${Math.round(apart / INCH_M)} in apart: they catch in each other.`);
    if (d.way !== 'bend' && d.armM > LONGEST_ARM_M)
      say('An arm over 8 in wraps round the leader: 6 to 8 in stand off.');
    below = d;
  }
  if (tangling(rig) >= OFTEN)
    say('So many free arms tangle often in wind: open the loop of the cast, fewer false casts.');
  return out;
}

function slip(rig: Rig): Consequence[] {
  // From the bend of the fly above hangs the next one below it.
  return rig.droppers.some((d) => d.way === 'bend' && d.fly.barbless)
    ? [
        {
          of: 'slip',
          level: 'bad',
          says: 'The next fly hangs from the bend of a barbless hook: it slips off. Use a ring or a tag.',
        },
      ]
    : [];
}

const hands = (rig: Rig): Consequence[] =>
  rig.droppers.length > 0
    ? [
        {
          of: 'hands',
          level: 'care',
          says: 'A second hook hangs free while you unhook a fish: hold it, whichever fly the fish took.',
        },
      ]
    : [];

/** With less than this under it, in water, a float does not take a fly down in a current (assumed), kg. */
const LEAST_LOAD_KG = 0.15e-3;

function float(rig: Rig): Consequence[] {
  if (!rig.float) return [];
  const { item, aboveM } = rig.float;
  const out: Consequence[] = [];
  const say = (level: Consequence['level'], says: string) => out.push({ of: 'float', level, says });
  const loadKg = fliesOf(rig).reduce((sum, f) => sum + flyBody(f).massInWaterKg, 0) + (rig.shot ? rig.shot.massKg : 0);
  const carries = floatCarriesKg(item);
  if (loadKg > carries) say('bad', 'The flies drag this float under: take a bigger one, or lighten.');
  else if (loadKg > 0.7 * carries) say('care', 'The float lies deep: any pull of the current drags it under.');
  if (loadKg < LEAST_LOAD_KG)
    say(
      'care',
      'Hardly anything heavy hangs under the float: the fly stays near the surface. A pinch of shot brings it down.',
    );
  if (rig.droppers.some((d) => d.aboveM > aboveM))
    say('bad', 'A fly hangs above the float: it would lie on the surface. Bring it down or the float up.');
  if (aboveM >= leaderLengthM(rig.leader)) say('bad', 'The float sits above the leader: bring it down.');
  if (rig.tip && rig.tip.sinkRateMps > 0) say('bad', 'A sinking tip drags the float under: take the tip off.');
  return out;
}

function tie(rig: Rig): Consequence[] {
  const lengthM = leaderLengthM(rig.leader);
  return rig.droppers.some((d) => d.aboveM >= lengthM)
    ? [{ of: 'tie', level: 'bad', says: 'A second fly hangs above the leader: bring it down or take a longer one.' }]
    : [];
}

function balance(rig: Rig): Consequence[] {
  if (isMonoRig(rig)) return [];
  const b = balanceOf(rig);
  const grains = (kg: number) => `${Math.round(kg / GRAIN_KG)}`;
  const what = rig.head.shape === 'taper' ? 'line (its first 30 ft)' : 'head';
  const window = `this rod throws ${grains(b.windowKg[0])} to ${grains(b.windowKg[1])} gr`;
  const tip = b.tipKg > 0 ? `, a tip of ${grains(b.tipKg)} gr before it` : '';
  const out: Consequence[] = [
    b.fits === 'right'
      ? { of: 'balance', level: 'good', says: `The ${what} of ${grains(b.headKg)} gr balances: ${window}${tip}.` }
      : { of: 'balance', level: 'care', says: `The ${what} of ${grains(b.headKg)} gr is ${b.fits}: ${window}${tip}.` },
  ];
  if (b.tipTooHeavy)
    out.push({
      of: 'balance',
      level: 'care',
      says: `The tip of ${grains(b.tipKg)} gr is heavy for this ${what}: it drops before it turns over.`,
    });
  if (b.tipTooLight)
    out.push({
      of: 'balance',
      level: 'care',
      says: 'A short head on two hands wants more tip before it: without one it does not hold in the water, and lands in a heap.',
    });
  if (b.flyTooHeavy)
    out.push({
      of: 'balance',
      level: 'care',
      says: 'The flies are heavy for what throws them: they drop short, and hit rod or head. Hat and glasses.',
    });
  return out;
}

/** Everything that follows from how a rig is put together, the worst first. */
export const consequencesOf = (rig: Rig, place: Place = {}): Consequence[] => {
  const order = { bad: 0, care: 1, good: 2 };
  return [balance, turnover, strength, tie, slip, tangles, hands, float]
    .flatMap((of) => of(rig, place))
    .sort((a, b) => order[a.level] - order[b.level]);
};
