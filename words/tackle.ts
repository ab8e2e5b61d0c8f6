import {
  describeFly,
  FLY_WEIGHTS,
  type HeadItem,
  type KitItem,
  leaderLengthM,
  type LeaderPiece,
  type RodItem,
  shotName,
  strengthN,
  tippetOf,
  xSizeOf,
} from '@/core/tackle';
import { G, GRAIN_KG, POUND_KG } from '@/core/units';
import { capital } from './capital';
import { format, formatNumber, type UnitSystem } from './units';

/** What a line or knot holds, as tippet is sold everywhere. @example pounds(44.5) // '10 lb' */
export const pounds = (n: number): string => `${(n / (POUND_KG * G)).toFixed(0)} lb`;
/** Heads and tips are sold by grains everywhere. */
export const grains = (kg: number): string => `${Math.round(kg / GRAIN_KG)} gr`;
const mm = (m: number): string => `${(1000 * m).toFixed(2)} mm`;

/** Tippet as one speaks of it: by its X size where it has a whole one, else by what it holds. */
export function tippetWords(p: Pick<LeaderPiece, 'diameterM' | 'toDiameterM' | 'material' | 'strengthN'>): string {
  const x = xSizeOf(p.toDiameterM ?? p.diameterM);
  const whole = Math.round(x);
  return whole >= 0 && whole <= 8 && Math.abs(x - whole) < 0.2 ? `${whole}X` : pounds(strengthN(p));
}

const rodKind = (r: RodItem): string => (r.switch ? 'one or two hands' : r.hands === 2 ? 'two hands' : 'one hand');

function headKind({ shape, sinkRatesMps }: HeadItem): string {
  if (sinkRatesMps.length > 1) return `${sinkRatesMps.length}-density head`;
  if (sinkRatesMps[0]! > 0) return 'Sinking head';
  return shape === 'taper' ? 'Floating line' : `${capital(shape)} head`;
}

const sinks = (rates: readonly number[], units: UnitSystem): string =>
  rates.every((r) => r <= 0)
    ? 'floats'
    : rates.length === 1
      ? `sinks ${format('sinkRate', rates[0]!, units)}`
      : `${rates.map((r) => (r <= 0 ? 'floats' : formatNumber('sinkRate', r, units))).join(' · ')} ${format('sinkRate', 0, units).split(' ')[1]}`;

/** A size as one says it. @example whole('6.0 cm') // '6 cm' */
const whole = (size: string): string => size.replace(/\.0(?= )/, '');

/** A name made of what a thing is, where its owner gave none. */
export function itemName(item: KitItem, units: UnitSystem): string {
  switch (item.type) {
    case 'rod':
      return `${format('line', item.lengthM, units)} rod, line ${item.lineNumber}`;
    case 'head':
      return `${headKind(item)}, ${grains(item.massKg)}`;
    case 'running':
      return `${item.kind === 'mono' ? 'Mono' : item.kind === 'floating' ? 'Floating' : 'Intermediate'} running line`;
    case 'tip':
      return `${format('line', item.lengthM, units)} ${item.tapered ? 'sinking leader' : 'tip'}, ${format('sinkRate', item.sinkRateMps, units)}`;
    case 'leader':
      return `${format('line', leaderLengthM(item), units)} to ${tippetWords(tippetOf(item))}`;
    case 'spool':
      return `${tippetWords(item)} ${item.material}`;
    case 'ring':
      return `Rings, ${(1000 * item.diameterM).toFixed(1)} mm`;
    case 'shot':
      return `Shot ${shotName(item.massKg)}`;
    case 'other fly':
      return `${item.kind === 'other' ? 'Other fly' : capital(item.kind)}, hook ${item.hook}`;
    case 'float':
      return `Float, ${Math.round(1000 * item.diameterM)} mm`;
    case 'fly':
      return `${describeFly(item)}, ${whole(format('small', item.lengthM, units))}${item.weight === 'none' ? '' : `, ${item.weight}`}`;
  }
}

const SYSTEMS = ['metric', 'imperial'] as const;

/** A thing with its name in the units that are read now, where it is a fly whose name was made of what it is; leaders, tips and
 * rods are called by the foot everywhere. */
export function nameIn<I extends KitItem>(item: I, units: UnitSystem): I {
  const name = item.type === 'fly' ? itemName(item, units) : item.name;
  return item.name !== name && SYSTEMS.some((s) => whole(itemName(item, s)) === whole(item.name))
    ? { ...item, name }
    : item;
}

/** A fly's name as a log has kept it, its size in the units that are read now.
 * @example loggedName('black leech, 6 cm', 'imperial') // 'black leech, 2.4 in' */
export const loggedName = (name: string, units: UnitSystem): string =>
  name.replace(
    /, (\d+(?:\.\d+)?) (cm|in)(?=$|,)/,
    (_, size: string, unit: string) =>
      `, ${whole(format('small', Number(size) * (unit === 'cm' ? 0.01 : 0.0254), units))}`,
  );

/** What a thing is, beside its name. */
export function itemDetail(item: KitItem, units: UnitSystem): string {
  const parts = (...list: (string | false | undefined)[]) => list.filter(Boolean).join(', ');
  switch (item.type) {
    case 'rod':
      return parts(
        format('depth', item.lengthM, units),
        rodKind(item),
        item.windowKg ? `${grains(item.windowKg[0])} to ${grains(item.windowKg[1])}` : `line ${item.lineNumber}`,
      );
    case 'head':
      return parts(
        format('length', item.lengthM, units),
        grains(item.massKg),
        sinks(item.sinkRatesMps, units),
        !!item.cutBackM && `cut back ${format('depth', item.cutBackM, units)}`,
      );
    case 'running':
      return parts(item.kind, mm(item.diameterM));
    case 'tip':
      return parts(
        format('length', item.lengthM, units),
        item.sinkRateMps > 0 ? `sinks ${format('sinkRate', item.sinkRateMps, units)}` : 'floats',
        item.tapered && 'tapered',
        item.massKg !== undefined && grains(item.massKg),
      );
    case 'leader':
      return parts(
        format('depth', leaderLengthM(item), units),
        item.pieces.length > 1
          ? `${item.pieces.length} pieces to ${tippetWords(tippetOf(item))}`
          : `${mm(tippetOf(item).diameterM)} ${tippetOf(item).material}`,
        item.nicked && 'nicked',
      );
    case 'spool':
      return parts(mm(item.diameterM), item.material, pounds(strengthN(item)));
    case 'ring':
      return parts(`${(1000 * item.diameterM).toFixed(1)} mm across`);
    case 'shot':
      return `${Number((1000 * item.massKg).toFixed(2))} g each`;
    case 'other fly':
      return `hook ${item.hook}, for the log only`;
    case 'float':
      return parts(`${Math.round(1000 * item.diameterM)} mm`, `${(1000 * item.massKg).toFixed(1)} g`);
    case 'fly':
      return parts(
        format('small', item.lengthM, units),
        `hook ${item.hook}`,
        FLY_WEIGHTS[item.weight].addedKg === 0
          ? 'no weight'
          : item.beadM !== undefined && item.weight === 'bead'
            ? `${(1000 * item.beadM).toFixed(1)} mm bead`
            : item.weight,
        item.barbless && 'barbless',
        item.hookUp && 'point up',
        item.count !== undefined && `${item.count} in stock`,
      );
  }
}
