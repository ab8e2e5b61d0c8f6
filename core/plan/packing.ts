import type { Means } from '../cast/means';
import type { ColourAt } from '../colour/verdict';
import { STEPS_M } from '../colour/verdict';
import type { Quarry } from '../lies/suitability';
import { notAllowed, type WaterRules } from '../rules';
import { fliesLeft, type FlyItem, isWetFly, itemsOf, type KitItem, skates } from '../tackle';
import { INCH_M } from '../units';
import { COLD_SHOCK_C, COME_UP_C, WARM_C } from '../water/warmth';
import { DARK, type Purpose, type RodAhead, rodsAhead, sinkOf } from './rodsAhead';

/** One thing to pack, and what of the day asks for it; °C and mm. */
export type PackItem = {
  /** By which it is ticked off. */
  readonly id: string;
} & Packed;

type Packed =
  | { readonly code: 'rod'; readonly rod: RodAhead; readonly inHand: boolean }
  | { readonly code: 'flies'; readonly of: 'dark' | 'light' | 'wet' | 'wake'; readonly flies: readonly FlyItem[] }
  | { readonly code: 'tips' | 'spools' | 'rings' | 'shot'; readonly names: readonly string[] }
  | { readonly code: 'floats' | 'forceps' | 'net' | 'lamp' | 'food' | 'phone' }
  | { readonly code: 'thermometer'; readonly warm: boolean }
  | { readonly code: 'hat'; readonly sun: boolean }
  | { readonly code: 'vest'; readonly children: boolean }
  | { readonly code: 'staff'; readonly dam: boolean }
  | { readonly code: 'gloves'; readonly airC: number }
  | { readonly code: 'rain jacket'; readonly mm: number }
  | { readonly code: 'dry layer'; readonly coldC: number | null }
  | { readonly code: 'permit'; readonly source: string };

interface PackGroup {
  readonly name: 'rods' | 'bag' | 'on you' | 'with you';
  readonly items: readonly PackItem[];
}

/** What the day may ask for and the bag does not hold; chances 0 to 1. */
export type Missing =
  | { readonly code: 'no legal fly' | 'no whole rig' | 'barbed flies' | 'no tippet' }
  | { readonly code: 'only floating'; readonly owns: boolean; readonly chance: number }
  | { readonly code: 'no rod for'; readonly purpose: Purpose; readonly chance: number }
  | { readonly code: 'running low'; readonly names: readonly string[] };

export interface PackAsk {
  readonly kit: readonly KitItem[];
  readonly quarry: Quarry;
  readonly rules: WaterRules | null;
  readonly means: Means;
  /** Colour to expect; null: nothing is known of it. */
  readonly colour: ColourAt | null;
  /** Water at its coldest and warmest while one fishes, °C; air at its coldest; rain, mm; null: not known. */
  readonly waterC: readonly [number, number] | null;
  readonly airC: number | null;
  readonly rainMm: number | null;
  /** The sun shines on the water at some hour that is fished. */
  readonly sun: boolean;
  /** One fishes or walks in the dark. */
  readonly dark: boolean;
  /** There are dam releases that day. */
  readonly dam: boolean;
}

interface Packing {
  readonly rods: readonly RodAhead[];
  readonly groups: readonly PackGroup[];
  /** What the day may ask for and the bag does not hold, the gravest first. */
  readonly missing: readonly Missing[];
}

/** A chance so large is worth a rod of its own; so large that one without an answer to it should know before the drive (assumed). */
const [WORTH_A_ROD, WORTH_SAYING] = [0.15, 0.2];
/** Sinks well enough for dirty water, m/s: a slow tip and more. */
const SINKS_MPS = 2 * INCH_M;
/** People rig two or three rods (handbook of the trade). */
const MOST_RODS = 3;
/** Air that asks for gloves, and for a second dry layer, °C (common practice, no source). */
const [GLOVES_C, LAYER_C] = [6, 14];

/** Chances of dirty, fair and clear water: two feet and less, up to where it is clear, beyond. */
function chancesOf({ chances }: Pick<ColourAt, 'chances'>): Record<Purpose, number> {
  const over = (m: number) => chances[STEPS_M.indexOf(m as (typeof STEPS_M)[number])]!;
  return { dirty: 1 - over(0.6), fair: over(0.6) - over(1.8), clear: over(1.8) };
}

function wantedOf(colour: ColourAt | null): { purpose: Purpose; chance: number | null }[] {
  if (!colour)
    return [
      { purpose: 'fair', chance: null },
      { purpose: 'dirty', chance: null },
      { purpose: 'clear', chance: null },
    ];
  const chances = chancesOf(colour);
  const all = (['dirty', 'fair', 'clear'] as const)
    .map((purpose) => ({ purpose, chance: chances[purpose] }))
    .sort((a, b) => b.chance - a.chance);
  // More than one answer is carried always: forecasts fail, and rivers differ from reach to reach.
  return all.filter((w, i) => i < 2 || w.chance >= WORTH_A_ROD);
}

/** What to pack for a day, out of what is owned, can be cast and may be used: with reasons, and what is missing. */
export function packFor(a: PackAsk): Packing {
  const wanted = wantedOf(a.colour);
  const rods = rodsAhead(a.kit, wanted, a.quarry, a.rules, a.means, MOST_RODS);
  const groups: PackGroup[] = [
    { name: 'rods', items: rods.map((r, i) => rodItem(r, i)) },
    { name: 'bag', items: bagItems(a, wanted, rods) },
    { name: 'on you', items: worn(a) },
    { name: 'with you', items: carried(a) },
  ];
  return { rods, groups: groups.filter((g) => g.items.length > 0), missing: missingOf(a, wanted, rods) };
}

const rodItem = (rod: RodAhead, i: number): PackItem => ({
  ...{ id: `rod-${rod.rig.rod.id}`, code: 'rod', rod, inHand: i === 0 },
});
const item = (packed: Packed): PackItem => ({ id: packed.code, ...packed });

type Wanted = ReturnType<typeof wantedOf>;

function bagItems(a: PackAsk, wanted: Wanted, rods: readonly RodAhead[]): PackItem[] {
  const out: PackItem[] = [];
  const allowed = fliesLeft(a.kit).filter((f) => notAllowed(a.rules, f) === null);
  const flies = (of: Extract<Packed, { code: 'flies' }>['of'], list: readonly FlyItem[]) => {
    if (list.length > 0) out.push({ id: `flies-${of}`, code: 'flies', of, flies: list });
  };
  const names = (code: 'tips' | 'spools' | 'rings' | 'shot', items: readonly { readonly name: string }[]) => {
    if (items.length > 0) out.push(item({ code, names: items.map((x) => x.name) }));
  };
  const asked = new Set(wanted.map((w) => w.purpose));
  const streamers = allowed.filter((f) => !isWetFly(f) && !skates(f));
  const sees = asked.has('fair') || asked.has('clear');
  if (asked.has('dirty')) flies('dark', streamers.filter((f) => DARK.has(f.colour))); // prettier-ignore
  if (sees) flies('light', streamers.filter((f) => !DARK.has(f.colour))); // prettier-ignore
  if (sees) flies('wet', allowed.filter(isWetFly));
  if (asked.has('clear') && (a.waterC?.[1] ?? COME_UP_C) >= COME_UP_C) flies('wake', allowed.filter(skates));
  const rigged = new Set(rods.flatMap((r) => (r.rig.tip ? [r.rig.tip.id] : [])));
  names('tips', itemsOf(a.kit, 'tip').filter((t) => !rigged.has(t.id))); // prettier-ignore
  names('spools', itemsOf(a.kit, 'spool'));
  if ((a.rules?.maxFlies ?? 3) > 1) names('rings', itemsOf(a.kit, 'ring'));
  names('shot', itemsOf(a.kit, 'shot').filter((s) => notAllowed(a.rules, s) === null)); // prettier-ignore
  if (itemsOf(a.kit, 'float').length > 0 && a.means.lines.includes('float')) out.push(item({ code: 'floats' }));
  out.push(item({ code: 'forceps' }), item({ code: 'net' }));
  out.push(item({ code: 'thermometer', warm: a.waterC !== null && a.waterC[1] > WARM_C }));
  return out;
}

function worn(a: PackAsk): PackItem[] {
  return [
    item({ code: 'hat', sun: a.sun }),
    item({ code: 'vest', children: a.means.children }),
    item({ code: 'staff', dam: a.dam }),
    ...(a.airC !== null && a.airC < GLOVES_C ? [item({ code: 'gloves', airC: a.airC })] : []),
    ...(a.rainMm !== null && a.rainMm >= 1 ? [item({ code: 'rain jacket', mm: a.rainMm })] : []),
  ];
}

function carried(a: PackAsk): PackItem[] {
  const coldest = a.waterC?.[0] ?? null;
  const cold = coldest !== null && coldest < COLD_SHOCK_C;
  const layer = coldest === null || cold || (a.airC ?? 0) < LAYER_C;
  return [
    ...(layer ? [item({ code: 'dry layer', coldC: cold ? coldest : null })] : []),
    ...(a.dark ? [item({ code: 'lamp' })] : []),
    item({ code: 'food' }),
    item({ code: 'phone' }),
    item({ code: 'permit', source: a.rules?.source ?? '' }),
  ];
}

function missingOf(a: PackAsk, wanted: Wanted, rods: readonly RodAhead[]): Missing[] {
  const out: Missing[] = [];
  const chances = a.colour && chancesOf(a.colour);
  const sinks = rods.some((r) => sinkOf(r.rig.head, r.rig.tip) >= SINKS_MPS);
  const owns = [...itemsOf(a.kit, 'tip'), ...itemsOf(a.kit, 'head')].some((x) =>
    x.type === 'tip' ? x.sinkRateMps >= SINKS_MPS : x.sinkRatesMps.at(-1)! >= SINKS_MPS,
  );
  const flies = itemsOf(a.kit, 'fly');
  if (rods.length === 0)
    out.push({ code: flies.every((f) => notAllowed(a.rules, f) !== null) ? 'no legal fly' : 'no whole rig' });
  else if (!sinks && chances && chances.dirty >= WORTH_SAYING)
    out.push({ code: 'only floating', owns, chance: chances.dirty });
  const without = wanted.filter((w) => (w.chance ?? 0) >= WORTH_SAYING && !rods.some((r) => r.purpose === w.purpose));
  for (const { purpose, chance } of rods.length > 0 && rods.length < MOST_RODS ? without : [])
    out.push({ code: 'no rod for', purpose, chance: chance! });
  if (a.rules?.barbless && flies.some((f) => !f.barbless)) out.push({ code: 'barbed flies' });
  const low = a.kit.filter((k) => !k.aside && (k.low || (k.type === 'leader' && k.nicked)));
  if (low.length > 0) out.push({ code: 'running low', names: low.map((k) => k.name) });
  if (itemsOf(a.kit, 'spool').length === 0) out.push({ code: 'no tippet' });
  return out;
}
