import type {
  FlyColour,
  FlyFamily,
  FlyItem,
  FlyWeight,
  HeadItem,
  KitItem,
  LeaderItem,
  RodItem,
  TipItem,
} from '@/core/tackle';
import { FOOT_M, GRAIN_KG, INCH_M } from '@/core/units';

const rods: RodItem[] = [
  { type: 'rod', id: 'rod-4', name: 'Nine-foot four', lengthM: 9 * FOOT_M, hands: 1, lineNumber: 4 },
  { type: 'rod', id: 'rod-6', name: 'Nine-six six', lengthM: 9.5 * FOOT_M, hands: 1, lineNumber: 6 },
  { type: 'rod', id: 'rod-7', name: 'Twelve-foot two-hander', lengthM: 12 * FOOT_M, hands: 2, lineNumber: 7 },
];

const heads: HeadItem[] = [
  {
    type: 'head',
    id: 'head-taper-4',
    name: 'Floating taper, 4',
    shape: 'taper',
    lengthM: 12,
    massKg: 0.0085,
    sinkRateMps: 0,
  },
  {
    type: 'head',
    id: 'head-taper-6',
    name: 'Floating taper, 6',
    shape: 'taper',
    lengthM: 12.5,
    massKg: 0.0125,
    sinkRateMps: 0,
  },
  {
    type: 'head',
    id: 'head-short',
    name: 'Skagit-style, 23 ft 500 gr',
    shape: 'short',
    lengthM: 7,
    massKg: 500 * GRAIN_KG,
    sinkRateMps: 0,
  },
  {
    type: 'head',
    id: 'head-long',
    name: 'Scandi-style, 36 ft 400 gr',
    shape: 'short',
    lengthM: 11,
    massKg: 400 * GRAIN_KG,
    sinkRateMps: 0,
  },
  {
    type: 'head',
    id: 'head-inter',
    name: 'Intermediate, 30 ft',
    shape: 'sinking',
    lengthM: 9,
    massKg: 0.014,
    sinkRateMps: 1.5 * INCH_M,
  },
];

const tip = (id: string, name: string, feet: number, ips: number): TipItem => ({
  type: 'tip',
  id,
  name,
  lengthM: feet * FOOT_M,
  sinkRateMps: ips * INCH_M,
});
const tips: TipItem[] = [
  tip('tip-inter', '10 ft intermediate', 10, 1.5),
  tip('tip-slow', '10 ft slow', 10, 3),
  tip('tip-5ft', '5 ft fast', 5, 5),
  tip('tip-fast', '10 ft fast', 10, 5),
  tip('tip-heavy', '10 ft heavy', 10, 7),
];

const leader = (
  id: string,
  name: string,
  lengthM: number,
  mm: number,
  material: LeaderItem['material'],
): LeaderItem => ({
  type: 'leader',
  id,
  name,
  lengthM,
  diameterM: mm / 1000,
  material,
});
const leaders: LeaderItem[] = [
  leader('leader-short', '4 ft of 12 lb', 1.2, 0.3, 'nylon'),
  leader('leader-fine', '6 ft to 4X', 1.9, 0.18, 'nylon'),
  leader('leader-long', '9 ft to 3X', 2.75, 0.2, 'nylon'),
  leader('leader-fluoro', '5 ft of fluorocarbon', 1.5, 0.25, 'fluorocarbon'),
];

function fly(
  n: number,
  colour: FlyColour,
  family: FlyFamily,
  cm: number,
  hook: string,
  weight: FlyWeight = 'none',
  barbless = true,
): FlyItem {
  return {
    type: 'fly',
    id: `fly-${String(n).padStart(2, '0')}`,
    name: `${colour} ${family}, ${cm} cm${weight === 'none' ? '' : `, ${weight}`}`,
    family,
    colour,
    lengthM: cm / 100,
    hook,
    weight,
    barbless,
  };
}
const flies: FlyItem[] = [
  fly(1, 'black', 'woolly bugger', 5, '8'),
  fly(2, 'olive', 'woolly bugger', 5, '8', 'bead'),
  fly(3, 'brown', 'woolly bugger', 4, '10', 'none', false),
  fly(4, 'black', 'rabbit strip', 6, '6'),
  fly(5, 'olive', 'rabbit strip', 6, '6'),
  fly(6, 'white', 'rabbit strip', 6, '6', 'bead'),
  fly(7, 'black and blue', 'rabbit strip', 7, '4'),
  fly(8, 'olive', 'sculpin', 6, '4', 'cone'),
  fly(9, 'tan', 'sculpin', 5.5, '4', 'cone'),
  fly(10, 'white', 'slim baitfish', 6, '6'),
  fly(11, 'yellow', 'slim baitfish', 7, '6'),
  fly(12, 'white', 'lead-eye baitfish', 6, '6', 'lead eyes'),
  fly(13, 'yellow', 'articulated streamer', 10, '4'),
  fly(14, 'tan', 'muddler', 5, '8', 'buoyant'),
  fly(15, 'brown', 'crayfish', 5, '6', 'lead eyes'),
  fly(16, 'purple', 'egg-sucking leech', 6, '6'),
  fly(17, 'olive', 'micro streamer', 3, '12', 'bead'),
  fly(18, 'black and blue', 'shank fly', 6, '4'),
  fly(19, 'pink', 'shank fly', 7, '4'),
  fly(20, 'orange', 'shank fly', 8, '4'),
  fly(21, 'black', 'tube fly', 5, '6', 'cone'),
  fly(22, 'red', 'winged wet', 2.5, '8'),
  fly(23, 'brown', 'soft-hackle spider', 1.4, '14', 'none', false),
  fly(24, 'orange', 'large soft hackle', 2.5, '8'),
  fly(25, 'black', 'hair-wing wet', 3.5, '6'),
];

export const KIT: readonly KitItem[] = [...rods, ...heads, ...tips, ...leaders, ...flies];

const find = <T extends KitItem['type']>(type: T, id: string) => {
  const item = KIT.find((k) => k.type === type && k.id === id);
  if (!item) throw new RangeError(`kit: there is no ${type} ${id}`);
  return item as Extract<KitItem, { type: T }>;
};
export const kitItem = find;
