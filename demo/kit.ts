import {
  type FlyColour,
  type FlyFamily,
  type FlyItem,
  type FlyWeight,
  type HeadItem,
  type KitItem,
  type LeaderItem,
  level,
  type RodItem,
  type RunningItem,
  tippetDiameterM,
  type TipItem,
} from '@/core/tackle';
import { FOOT_M, GRAIN_KG, INCH_M } from '@/core/units';

const rods: RodItem[] = [
  { type: 'rod', id: 'rod-4', name: 'Nine-foot four', lengthM: 9 * FOOT_M, hands: 1, lineNumber: 4 },
  { type: 'rod', id: 'rod-6', name: 'Nine-six six', lengthM: 9.5 * FOOT_M, hands: 1, lineNumber: 6 },
  { type: 'rod', id: 'rod-7', name: 'Twelve-foot two-hander', lengthM: 12 * FOOT_M, hands: 2, lineNumber: 7 },
  {
    type: 'rod',
    id: 'rod-switch',
    name: 'Eleven-foot switch',
    lengthM: 11 * FOOT_M,
    hands: 2,
    switch: true,
    lineNumber: 5,
    windowKg: [300 * GRAIN_KG, 400 * GRAIN_KG],
  },
];

const head = (
  id: string,
  name: string,
  shape: HeadItem['shape'],
  lengthM: number,
  massKg: number,
  sinkRatesMps: readonly number[] = [0],
  rest: Partial<HeadItem> = {},
): HeadItem => ({ type: 'head', id, name, shape, lengthM, massKg, sinkRatesMps, ...rest });
const heads: HeadItem[] = [
  head('head-taper-4', 'Floating taper, 4', 'taper', 12, 0.0102),
  head('head-taper-6', 'Floating taper, 6', 'taper', 12.5, 0.0125, [0], { cutBackM: 0.3 }),
  head('head-short', 'Skagit-style, 23 ft 500 gr', 'short', 7, 500 * GRAIN_KG),
  head('head-long', 'Scandi-style, 36 ft 400 gr', 'long', 11, 400 * GRAIN_KG),
  head('head-inter', 'Intermediate, 30 ft', 'long', 9, 0.014, [1.5 * INCH_M]),
  head('head-two', 'Two-density, 30 ft 350 gr', 'long', 9, 350 * GRAIN_KG, [1.5 * INCH_M, 5 * INCH_M]),
];

const running: RunningItem[] = [
  { type: 'running', id: 'running-float', name: 'Floating running line', kind: 'floating', diameterM: 0.9e-3 },
  { type: 'running', id: 'running-mono', name: 'Mono running line', kind: 'mono', diameterM: 0.5e-3 },
];

const tip = (id: string, name: string, feet: number, ips: number, rest: Partial<TipItem> = {}): TipItem => ({
  type: 'tip',
  id,
  name,
  lengthM: feet * FOOT_M,
  sinkRateMps: ips * INCH_M,
  ...rest,
});
const tips: TipItem[] = [
  tip('tip-inter', '10 ft intermediate', 10, 1.5),
  tip('tip-slow', '10 ft slow', 10, 3),
  tip('tip-5ft', '5 ft fast', 5, 5),
  tip('tip-fast', '10 ft fast', 10, 5),
  tip('tip-heavy', '10 ft heavy', 10, 7),
  tip('tip-leader', '8 ft sinking leader', 8, 2.5, { tapered: true }),
];

const leader = (
  id: string,
  name: string,
  pieces: LeaderItem['pieces'],
  rest: Partial<LeaderItem> = {},
): LeaderItem => ({
  type: 'leader',
  id,
  name,
  pieces,
  ...rest,
});
const leaders: LeaderItem[] = [
  leader('leader-short', '4 ft of 12 lb', level(1.2, 0.3e-3, 'nylon')),
  leader('leader-fine', '6 ft to 4X', level(1.9, 0.18e-3, 'nylon')),
  leader('leader-long', '9 ft to 3X', [
    { part: 'butt', lengthM: 0.85, diameterM: 0.48e-3, material: 'nylon' },
    { part: 'taper', lengthM: 1.3, diameterM: 0.48e-3, toDiameterM: 0.23e-3, material: 'nylon' },
    { part: 'tippet', lengthM: 0.6, diameterM: tippetDiameterM(3), material: 'nylon' },
  ]),
  leader('leader-fluoro', '5 ft of fluorocarbon', level(1.5, 0.25e-3, 'fluorocarbon'), { nicked: true }),
  leader('leader-pair', 'Two soft hackles, 4X to 5X', [
    { part: 'taper', lengthM: 0.95, diameterM: tippetDiameterM(4), material: 'nylon' },
    { part: 'tippet', lengthM: 1.1, diameterM: tippetDiameterM(5), material: 'nylon' },
  ]),
  leader('leader-mono', 'Mono rig, 15 ft to 12 lb', [
    { part: 'butt', lengthM: 2.6, diameterM: 0.41e-3, material: 'nylon' },
    { part: 'taper', lengthM: 0.8, diameterM: 0.36e-3, toDiameterM: 0.3e-3, material: 'nylon' },
    { part: 'sighter', lengthM: 0.36, diameterM: 0.28e-3, material: 'nylon' },
    { part: 'tippet', lengthM: 0.8, diameterM: tippetDiameterM(2), material: 'fluorocarbon' },
  ]),
];

const small: KitItem[] = [
  { type: 'spool', id: 'spool-2x', name: '2X nylon', diameterM: tippetDiameterM(2), material: 'nylon' },
  { type: 'spool', id: 'spool-4x', name: '4X nylon', diameterM: tippetDiameterM(4), material: 'nylon', low: true },
  { type: 'spool', id: 'spool-5x', name: '5X nylon', diameterM: tippetDiameterM(5), material: 'nylon', low: true },
  { type: 'ring', id: 'ring-2', name: 'Rings for trout, 2 mm', diameterM: 2e-3 },
  { type: 'ring', id: 'ring-3', name: 'Rings for steelhead, 3 mm', diameterM: 3e-3 },
  { type: 'shot', id: 'shot-02', name: 'Shot no. 4, 0.2 g', massKg: 2e-4 },
  { type: 'shot', id: 'shot-04', name: 'Shot BB, 0.4 g', massKg: 4e-4 },
  { type: 'float', id: 'float-16', name: 'Float, 16 mm', diameterM: 0.016, massKg: 0.6e-3 },
  { type: 'float', id: 'float-22', name: 'Large float, 22 mm', diameterM: 0.022, massKg: 1.4e-3 },
];

function fly(
  n: number,
  colour: FlyColour,
  family: FlyFamily,
  cm: number,
  hook: string,
  weight: FlyWeight = 'none',
  barbless = true,
  rest: Partial<FlyItem> = {},
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
    ...rest,
  };
}
const flies: FlyItem[] = [
  fly(1, 'black', 'woolly bugger', 5, '8'),
  fly(2, 'olive', 'woolly bugger', 5, '8', 'bead'),
  fly(3, 'brown', 'woolly bugger', 4, '10', 'none', false),
  fly(4, 'black', 'rabbit strip', 6, '6', 'none', true, { count: 3 }),
  fly(5, 'olive', 'rabbit strip', 6, '6'),
  fly(6, 'white', 'rabbit strip', 6, '6', 'bead'),
  fly(7, 'black and blue', 'rabbit strip', 7, '4'),
  fly(8, 'olive', 'sculpin', 6, '4', 'cone', true, { also: [{ colour: 'orange', share: 0.15 }], hookUp: true }),
  fly(9, 'tan', 'sculpin', 5.5, '4', 'cone'),
  fly(10, 'white', 'slim baitfish', 6, '6', 'none', true, {
    also: [
      { colour: 'olive', share: 0.3 },
      { colour: 'pink', share: 0.1 },
    ],
    flash: true,
  }),
  fly(11, 'yellow', 'slim baitfish', 7, '6'),
  fly(12, 'white', 'lead-eye baitfish', 6, '6', 'lead eyes'),
  fly(13, 'yellow', 'articulated streamer', 10, '4', 'none', true, {
    also: [{ colour: 'brown', share: 0.4 }],
    flash: true,
  }),
  fly(14, 'tan', 'muddler', 5, '8', 'buoyant'),
  fly(15, 'brown', 'crayfish', 5, '6', 'lead eyes'),
  fly(16, 'purple', 'egg-sucking leech', 6, '6'),
  fly(17, 'olive', 'micro streamer', 3, '12', 'bead', true, { beadM: 0.0035, hookUp: true, low: true }),
  fly(18, 'black and blue', 'shank fly', 6, '4'),
  fly(19, 'pink', 'shank fly', 7, '4', 'none', true, { also: [{ colour: 'purple', share: 0.3 }], flash: true }),
  fly(20, 'orange', 'shank fly', 8, '4'),
  fly(21, 'black', 'tube fly', 5, '6', 'cone'),
  fly(22, 'red', 'winged wet', 2.5, '8', 'none', true, { aside: true }),
  fly(23, 'brown', 'soft-hackle spider', 1.4, '14'),
  fly(24, 'orange', 'large soft hackle', 2.5, '8'),
  fly(25, 'black', 'hair-wing wet', 3.5, '6'),
];

export const KIT: readonly KitItem[] = [...rods, ...heads, ...running, ...tips, ...leaders, ...small, ...flies];

const find = <T extends KitItem['type']>(type: T, id: string) => {
  const item = KIT.find((k) => k.type === type && k.id === id);
  if (!item) throw new RangeError(`kit: there is no ${type} ${id}`);
  return item as Extract<KitItem, { type: T }>;
};
export const kitItem = find;
