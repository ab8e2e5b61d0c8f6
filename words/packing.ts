import type { Missing, PackItem, Purpose, RodAhead } from '@/core/plan';
import type { packFor } from '@/core/plan/packing';
import { fliesOf, type FlyItem, hookNumber } from '@/core/tackle';
import { DIRTY_M } from '@/core/water';
import { format, type UnitSystem } from './units';
import { inTen, several } from './counting';

/** What belongs together on the list. */
export const GROUP_NAMES: Record<ReturnType<typeof packFor>['groups'][number]['name'], string> = {
  rods: 'Rigged ahead',
  bag: 'In the bag',
  'on you': 'On you',
  'with you': 'With you',
};

const WATER: Readonly<Record<Purpose, string>> = { dirty: 'dirty water', fair: 'green water', clear: 'clear water' };

/** What is laid out at home for a rod, by its owner's names. */
export const rodParts = ({ rig }: RodAhead): string =>
  [rig.rod, rig.head, ...(rig.tip ? [rig.tip] : []), rig.leader, ...fliesOf(rig)].map((item) => item.name).join(' · ');

/** Sizes of hooks of flies, from the largest on: "4 to 12". */
export function hookSpan(flies: readonly FlyItem[]): string {
  const sizes = flies.flatMap((f) => hookNumber(f.hook) ?? []).sort((a, b) => a - b);
  return sizes.length === 0
    ? ''
    : sizes[0] === sizes.at(-1)
      ? `size ${sizes[0]}`
      : `sizes ${sizes[0]} to ${sizes.at(-1)}`;
}

const FLIES = {
  dark: ['Dark streamers', 'dark and deep in dirty water'],
  light: ['Streamers in natural and pale colours', 'for water where fish see'],
  wet: ['Soft hackles and wets', 'for thin, rippled water, and insects about'],
  wake: ['Waking flies', 'for warm, clear water in soft light'],
} as const;

/** Things that need no figure: what, and why. */
const PLAIN = {
  floats: ['Floats', 'for fish that look and refuse: drift the fly'],
  forceps: ['Forceps and nippers', 'hooks out fast, fish in the water'],
  net: ['Net of soft mesh', 'fish stay in the water and keep their slime'],
  lamp: ['Head lamp', 'you walk in the dark'],
  food: ['Water and something to eat', 'for the break'],
  phone: ['Charged phone in a dry bag', 'expect no signal: leave the note before you go'],
} as const;

const isPlain = (code: PackItem['code']): code is keyof typeof PLAIN => code in PLAIN;

/** What to pack. */
export function packWhat(p: PackItem): string {
  switch (p.code) {
    case 'rod':
      return rodParts(p.rod);
    case 'flies':
      return [`${FLIES[p.of][0]}: ${several(p.flies.length, 'pattern')}`, hookSpan(p.flies)].filter(Boolean).join(', ');
    case 'tips':
      return `Tips and sinking leaders: ${p.names.join(', ')}`;
    case 'spools':
      return `Tippet: ${p.names.join(', ')}`;
    case 'rings':
      return p.names.join(', ');
    case 'shot':
      return `Shot: ${p.names.map((name) => name.replace(/^Shot /, '')).join('; ')}`;
    case 'thermometer':
      return 'Thermometer';
    case 'hat':
      return 'Brimmed hat and polarised glasses';
    case 'vest':
      return 'Life vest';
    case 'staff':
      return 'Wading staff';
    case 'gloves':
      return 'Gloves without fingertips';
    case 'rain jacket':
      return 'Rain jacket';
    case 'dry layer':
      return 'A second dry layer, in a dry bag';
    case 'permit':
      return 'Permit and the rules of the water';
    default:
      return isPlain(p.code) ? PLAIN[p.code][0] : p.code;
  }
}

/** Why it is packed. */
export function packWhy(p: PackItem, units: UnitSystem): string {
  const temp = (c: number) => format('temperature', c, units);
  switch (p.code) {
    case 'rod': {
      const { purpose, chance } = p.rod;
      return chance === null
        ? `for ${WATER[purpose]}; the colour is not known`
        : `${p.inHand ? 'in hand' : 'ready'} for ${WATER[purpose]}, ${inTen(chance)}`;
    }
    case 'flies':
      return FLIES[p.of][1];
    case 'tips':
      return 'change the tip, not the line; the lightest that reaches';
    case 'spools':
      return 'for new knots and shortened leaders';
    case 'rings':
      return 'a second fly in seconds';
    case 'shot':
      return 'one more is a fine adjustment';
    case 'thermometer':
      return p.warm ? 'the water may get too warm to fish: measure at noon' : 'measure early and at noon';
    case 'hat':
      return p.sun ? 'glare hides fish and holes; hooks fly' : 'hooks fly, in soft light too';
    case 'vest':
      return p.children ? 'on each of you, on the bank too' : 'on, on the bank and in a boat too';
    case 'staff':
      return p.dam
        ? 'and be out of the water before the dam release'
        : 'the bed can drop from knee to waist in one step';
    case 'gloves':
      return `air down to ${temp(p.airC)}: cold hands tie no knots`;
    case 'rain jacket':
      return `${Math.round(p.mm)} mm of rain in the forecast`;
    case 'dry layer':
      return p.coldC === null
        ? 'if you fall in, you must get dry'
        : `water of ${temp(p.coldC)} takes breath and strength in minutes: if you fall in, you must get dry`;
    case 'permit':
      return p.source
        ? `the authority’s current text decides; yours is from ${p.source}`
        : 'the authority’s current text decides';
    default:
      return isPlain(p.code) ? PLAIN[p.code][1] : '';
  }
}

/** So many names are told of a longer list. */
const TOLD = 4;

/** What the day may ask for and the bag does not hold. */
export function missingWords(m: Missing, units: UnitSystem): string {
  switch (m.code) {
    case 'no legal fly':
      return 'No fly in your bag is allowed on this water.';
    case 'no whole rig':
      return 'No rod, line, leader and fly in your bag go together for this water. Check your bag.';
    case 'only floating':
      return `${m.owns ? 'No sinking line or tip in your bag fits your rods and your casting' : 'Your bag holds only floating lines'}, and dirty water (${format('depth', DIRTY_M, units)} visibility or less) is ${inTen(m.chance)}. Bring a sinking leader or a fast tip.`;
    case 'no rod for':
      return `No second rod for ${WATER[m.purpose]} (${inTen(m.chance)}): you would change tip and leader, some minutes.`;
    case 'barbed flies':
      return 'Barbless hooks only: leave the barbed flies at home, or pinch the barbs flat if that is allowed.';
    case 'running low': {
      const more = m.names.length - TOLD;
      return `Running low or nicked: ${m.names.slice(0, TOLD).join(', ')}${more > 0 ? ` and ${more} more` : ''}.`;
    }
    case 'no tippet':
      return 'No tippet spool in your bag.';
  }
}

/** What spoils the day if it is not mended before the drive. */
export const isGrave = ({ code }: Missing): boolean =>
  code === 'no legal fly' || code === 'no whole rig' || code === 'only floating';
