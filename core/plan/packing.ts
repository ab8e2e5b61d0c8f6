import type { Means } from '../cast/means';
import type { ColourAt } from '../colour/verdict';
import { STEPS_M } from '../colour/verdict';
import type { Quarry } from '../lies/suitability';
import { notAllowed, type WaterRules } from '../rules';
import { fliesLeft, type FlyItem, isWetFly, itemsOf, type KitItem, skates } from '../tackle';
import { format, INCH_M, inTen, several, type UnitSystem } from '../units';
import { DIRTY_M } from '../water/clarity';
import { COLD_SHOCK_C, COME_UP_C, WARM_C } from '../water/warmth';
import { DARK, hookSpan, type Purpose, type RodAhead, rodParts, rodsAhead, sinkOf } from './rodsAhead';

/** One thing to pack. */
export interface PackItem {
  /** By which it is ticked off. */
  readonly id: string;
  readonly what: string;
  readonly why: string;
}
interface PackGroup {
  readonly name: string;
  readonly items: readonly PackItem[];
}

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
  readonly units: UnitSystem;
}

interface Packing {
  readonly rods: readonly RodAhead[];
  readonly groups: readonly PackGroup[];
  /** What the day may ask for and the bag does not hold, the gravest first. */
  readonly missing: readonly string[];
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

const WATER: Readonly<Record<Purpose, string>> = { dirty: 'dirty water', fair: 'fair water', clear: 'clear water' };

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
  const groups = [
    { name: 'Rigged ahead', items: rods.map((r, i) => rodItem(r, i)) },
    { name: 'In the bag', items: bagItems(a, wanted, rods) },
    { name: 'On you', items: worn(a) },
    { name: 'With you', items: carried(a) },
  ];
  return { rods, groups: groups.filter((g) => g.items.length > 0), missing: missingOf(a, wanted, rods) };
}

const rodItem = (r: RodAhead, i: number): PackItem => ({
  id: `rod-${r.rig.rod.id}`,
  what: rodParts(r),
  why:
    r.chance === null
      ? `for ${WATER[r.purpose]}: nothing is known of the colour`
      : `${i === 0 ? 'in hand' : 'ready'} for ${WATER[r.purpose]}, ${inTen(r.chance)}`,
});

type Wanted = ReturnType<typeof wantedOf>;

function bagItems(a: PackAsk, wanted: Wanted, rods: readonly RodAhead[]): PackItem[] {
  const out: PackItem[] = [];
  const allowed = fliesLeft(a.kit).filter((f) => notAllowed(a.rules, f) === null);
  const flies = (id: string, what: string, why: string, list: readonly FlyItem[]) => {
    if (list.length > 0)
      out.push({
        id,
        what: [`${what}: ${several(list.length, 'pattern')}`, hookSpan(list)].filter(Boolean).join(', '),
        why,
      });
  };
  const asked = new Set(wanted.map((w) => w.purpose));
  const streamers = allowed.filter((f) => !isWetFly(f) && !skates(f));
  if (asked.has('dirty'))
    flies(
      'flies-dark',
      'Dark streamers',
      'low and dark shows best in murk',
      streamers.filter((f) => DARK.has(f.colour)),
    );
  if (asked.has('fair') || asked.has('clear'))
    flies(
      'flies-light',
      'Streamers in natural and pale colours',
      'where fish see',
      streamers.filter((f) => !DARK.has(f.colour)),
    );
  if (asked.has('clear') || asked.has('fair'))
    flies('flies-wet', 'Soft hackles and wets', 'thin, rippled water, and insects about', allowed.filter(isWetFly));
  if (asked.has('clear') && (a.waterC?.[1] ?? COME_UP_C) >= COME_UP_C)
    flies('flies-wake', 'Waking flies', 'warm, clear water in soft light: they come up for it', allowed.filter(skates));
  const rigged = new Set(rods.flatMap((r) => (r.rig.tip ? [r.rig.tip.id] : [])));
  const tips = itemsOf(a.kit, 'tip').filter((t) => !rigged.has(t.id));
  if (tips.length > 0)
    out.push({
      id: 'tips',
      what: `Tips and sinking leaders: ${tips.map((t) => t.name).join(', ')}`,
      why: 'change the tip, not the line; the lightest that reaches',
    });
  const spools = itemsOf(a.kit, 'spool');
  if (spools.length > 0)
    out.push({
      id: 'spools',
      what: `Tippet: ${spools.map((s) => s.name).join(', ')}`,
      why: 'knots are renewed, leaders get shorter',
    });
  const rings = itemsOf(a.kit, 'ring');
  if (rings.length > 0 && (a.rules?.maxFlies ?? 3) > 1)
    out.push({ id: 'rings', what: rings.map((r) => r.name).join(', '), why: 'a second fly in seconds' });
  const shot = itemsOf(a.kit, 'shot').filter((s) => notAllowed(a.rules, s) === null);
  if (shot.length > 0)
    out.push({
      id: 'shot',
      what: `Shot: ${shot.map((s) => s.name.replace(/^Shot /, '')).join('; ')}`,
      why: 'one more is a fine adjustment',
    });
  const floats = itemsOf(a.kit, 'float');
  if (floats.length > 0 && a.means.lines.includes('float'))
    out.push({ id: 'floats', what: 'Floats', why: 'fish that look and refuse: drift it' });
  out.push(
    { id: 'forceps', what: 'Forceps and nippers', why: 'hooks out fast, fish in the water' },
    { id: 'net', what: 'Net of soft mesh', why: 'fish stay in the water and keep their slime' },
    {
      id: 'thermometer',
      what: 'Thermometer',
      why: a.waterC && a.waterC[1] > WARM_C ? 'it may get too warm to fish: measure at noon' : 'early and at mid-day',
    },
  );
  return out;
}

function worn(a: PackAsk): PackItem[] {
  const out: PackItem[] = [
    {
      id: 'hat',
      what: 'Brimmed hat and polarised glasses',
      why: a.sun ? 'glare hides fish and holes; hooks fly' : 'hooks fly, in soft light too',
    },
    {
      id: 'vest',
      what: 'Life vest',
      why: a.means.children ? 'on, for each of you, on the bank too' : 'on, on the bank and in a boat too',
    },
    {
      id: 'staff',
      what: 'Wading staff',
      why: a.dam ? 'and out of the water before the dam release' : 'a bed falls from knee to waist in one step',
    },
  ];
  if (a.airC !== null && a.airC < GLOVES_C)
    out.push({
      id: 'gloves',
      what: 'Gloves without fingertips',
      why: `air down to ${format('temperature', a.airC, a.units)}: cold hands tie no knots`,
    });
  if ((a.rainMm ?? 0) >= 1)
    out.push({ id: 'rain', what: 'Rain jacket', why: `${Math.round(a.rainMm!)} mm of rain foretold` });
  return out;
}

function carried(a: PackAsk): PackItem[] {
  const out: PackItem[] = [];
  const coldest = a.waterC?.[0] ?? null;
  if (coldest === null || coldest < COLD_SHOCK_C || (a.airC ?? 0) < LAYER_C)
    out.push({
      id: 'layer',
      what: 'A second dry layer, in a dry bag',
      why:
        coldest !== null && coldest < COLD_SHOCK_C
          ? `water of ${format('temperature', coldest, a.units)}: it takes breath and strength in minutes: who falls in must get dry`
          : 'who falls in must get dry',
    });
  if (a.dark) out.push({ id: 'lamp', what: 'Head lamp', why: 'you walk in the dark' });
  out.push(
    { id: 'water', what: 'Water and something to eat', why: 'the break is part of the day' },
    { id: 'phone', what: 'Charged phone in a dry bag', why: 'no signal is likely: leave the note before you go' },
    {
      id: 'permit',
      what: 'Permit and the rules of the water',
      why: a.rules?.source
        ? `the authority’s current text decides; yours is from ${a.rules.source}`
        : 'the authority’s current text decides',
    },
  );
  return out;
}

function missingOf(a: PackAsk, wanted: Wanted, rods: readonly RodAhead[]): string[] {
  const out: string[] = [];
  const chances = a.colour && chancesOf(a.colour);
  const sinks = rods.some((r) => sinkOf(r.rig.head, r.rig.tip) >= SINKS_MPS);
  const ownsSinking = [...itemsOf(a.kit, 'tip'), ...itemsOf(a.kit, 'head')].some((item) =>
    item.type === 'tip' ? item.sinkRateMps >= SINKS_MPS : item.sinkRatesMps.at(-1)! >= SINKS_MPS,
  );
  if (rods.length === 0)
    out.push(
      itemsOf(a.kit, 'fly').every((f) => notAllowed(a.rules, f) !== null)
        ? 'No fly in the bag is allowed on this water.'
        : 'No rod, line, leader and fly in the bag go together for this water: look into The bag.',
    );
  else if (!sinks && chances && chances.dirty >= WORTH_SAYING)
    out.push(
      `${ownsSinking ? 'What sinks does not fit your rods, or was never handled' : 'Only floating lines'}, and ${inTen(chances.dirty)} that it is seen into ${format('depth', DIRTY_M, a.units)} or less. A sinking leader or a fast tip would make the day; know it before the drive.`,
    );
  const without = wanted.filter((w) => (w.chance ?? 0) >= WORTH_SAYING && !rods.some((r) => r.purpose === w.purpose));
  for (const w of rods.length > 0 && rods.length < MOST_RODS ? without : [])
    out.push(
      `No rod of its own for ${WATER[w.purpose]} (${inTen(w.chance!)}): a change of tip and leader, some minutes.`,
    );
  if (a.rules?.barbless && itemsOf(a.kit, 'fly').some((f) => !f.barbless))
    out.push('Barbless hooks only: leave the barbed flies at home, or pinch them flat first if that is allowed.');
  const low = a.kit.filter((k) => !k.aside && (k.low || (k.type === 'leader' && k.nicked)));
  if (low.length > 0)
    out.push(
      `Running low or nicked: ${low
        .slice(0, 4)
        .map((k) => k.name)
        .join(', ')}${low.length > 4 ? ` and ${low.length - 4} more` : ''}.`,
    );
  if (itemsOf(a.kit, 'spool').length === 0) out.push('No tippet spool in the bag.');
  return out;
}
