import type { Consequence } from '@/core/tackle';
import { grains, pounds } from './tackle';
import { format, type UnitSystem } from './units';

const BY_WOOD = {
  enough: 'enough to stop a fish by wood',
  'too little': 'too little to stop a fish by the wood in this run, which takes about 10 lb',
  'not asked': 'right for open water; by wood step up to about 10 lb',
} as const;

const LINE = { line: 'line (its first 30 ft)', head: 'head' } as const;

function headWords({ line, headKg, tipKg, windowKg: [least, most], fits }: Extract<Consequence, { code: 'head' }>) {
  const rod = `this rod throws ${grains(least)} to ${grains(most)}`;
  const tip = tipKg > 0 ? `, and a tip of ${grains(tipKg)} hangs before it` : '';
  return `The ${LINE[line]} weighs ${grains(headKg)}, ${fits === 'right' ? 'right for the rod' : fits}: ${rod}${tip}.`;
}

/** What follows from how a rig is put together. */
export function consequenceWords(c: Consequence, units: UnitSystem): string {
  switch (c.code) {
    case 'fine tippet':
      return `The tippet is fine for hook ${c.hook}: the fly turns over badly and spins the tippet up.`;
    case 'stout tippet':
      return `The tippet is stout for hook ${c.hook}: so small a fly moves stiffly on it.`;
    case 'long leader':
      return 'The leader is long for a sinking tip: the fly rides well above the tip.';
    case 'tip on mono':
      return 'A mono rig takes no tip: take one of them off.';
    case 'larger dropper':
      return 'The larger fly hangs on the dropper: the cast turns over better with the larger fly on the point.';
    case 'holds':
      return `Holds ${pounds(c.n)} with its knots: ${BY_WOOD[c.byWood]}. Set the drag to ${pounds(c.dragN)} at most.`;
    case 'nicked':
      return 'The leader is nicked: it parts on the next fish. Cut it back or change it.';
    case 'flies close':
      return `Two flies only ${format('small', c.apartM, units)} apart catch in each other.`;
    case 'long arm':
      return `A dropper arm over ${format('small', LONG_ARM_M, units)} wraps round the leader. Cut it shorter.`;
    case 'many arms':
      return 'So many free arms tangle often in wind: open the loop of your cast and make fewer false casts.';
    case 'barbless bend':
      return 'The next fly hangs from the bend of a barbless hook and slips off. Use a ring or a tag.';
    case 'free hook':
      return 'A second hook hangs free while you unhook a fish: hold it, whichever fly the fish took.';
    case 'float drowns':
      return 'The flies drag this float under: take a bigger one, or lighten.';
    case 'float deep':
      return 'The float sits deep: any pull of the current drags it under.';
    case 'float light':
      return 'Too little weight hangs under the float: the fly stays near the surface. Add a pinch of shot.';
    case 'fly above float':
      return 'A fly hangs above the float and lies on the surface. Bring the fly down or the float up.';
    case 'float above leader':
      return 'The float sits above the leader: bring it down.';
    case 'tip under float':
      return 'A sinking tip drags the float under: take the tip off.';
    case 'fly above leader':
      return 'A second fly hangs above the leader: bring it down or take a longer leader.';
    case 'head':
      return headWords(c);
    case 'tip too heavy':
      return `The tip weighs ${grains(c.tipKg)}, heavy for this ${LINE[c.line]}: it drops before it turns over.`;
    case 'tip too light':
      return 'A short head on two hands needs more tip: without it the cast slips and lands in a heap.';
    case 'flies too heavy':
      return 'The flies are heavy for this line: they drop short, and can hit rod or head. Hat and glasses on.';
  }
}
/** Arms of 6 to 8 in stand off the leader (common practice, no source), m. */
const LONG_ARM_M = 0.2;
