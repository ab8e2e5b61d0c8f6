import { FOOT_M, GRAIN_KG, INCH_M } from '../units';
import { FLY_FAMILY_NAMES, type FlyColour, type FlyFamily } from './families';
import { usualFly } from './flies';
import { SHOT_KG, shotName } from './shot';
import type { HeadItem, KitItem, KitOf, KitType, LeaderItem, LeaderPiece, RodItem, TipItem } from './kit';
import { consequencesOf } from './consequences';
import { level } from './leader';
import { NO_RIG, type RigChoice, rigOf } from './rig';
import { lineMassKg, tippetDiameterM } from './standards';

/** An ordinary piece of tackle to start from; its owner changes what differs. */
type Start<T extends KitItem = KitItem> = T extends KitItem ? Omit<T, 'id'> : never;

/** Where the figures come from, said beside them. */
export const STARTS_SOURCE =
  'Figures of ordinary tackle, from memory and common practice: yours may differ, change what does.';

const rod = (
  name: string,
  feet: number,
  hands: 1 | 2,
  lineNumber: number,
  rest: Partial<RodItem> = {},
): Start<RodItem> => ({ type: 'rod', name, lengthM: feet * FOOT_M, hands, lineNumber, ...rest });
const head = (
  name: string,
  shape: HeadItem['shape'],
  feet: number,
  grains: number,
  ...ips: number[]
): Start<HeadItem> => ({
  type: 'head',
  name,
  shape,
  lengthM: feet * FOOT_M,
  massKg: grains * GRAIN_KG,
  sinkRatesMps: ips.map((r) => r * INCH_M),
});
const taper = (n: number): Start<HeadItem> => ({
  type: 'head',
  name: `Floating line, ${n}`,
  shape: 'taper',
  lengthM: 12,
  massKg: lineMassKg(n) * 1.25,
  sinkRatesMps: [0],
});
const tip = (name: string, feet: number, ips: number, tapered = false): Start<TipItem> => ({
  type: 'tip',
  name,
  lengthM: feet * FOOT_M,
  sinkRateMps: ips * INCH_M,
  ...(tapered ? { tapered } : null),
});
const leader = (name: string, ...pieces: LeaderPiece[]): Start<LeaderItem> => ({ type: 'leader', name, pieces });
const x = (size: number) => tippetDiameterM(size);
const piece = (
  part: LeaderPiece['part'],
  feet: number,
  diameterM: number,
  toDiameterM?: number,
  material: LeaderPiece['material'] = 'nylon',
): LeaderPiece => ({
  part,
  lengthM: feet * FOOT_M,
  diameterM,
  ...(toDiameterM === undefined ? null : { toDiameterM }),
  material,
});
const tapered = (name: string, feet: number, size: number, tippetFeet: number) =>
  leader(
    name,
    piece('butt', 0.4 * (feet - tippetFeet), 0.48e-3),
    piece('taper', 0.6 * (feet - tippetFeet), 0.48e-3, x(size - 1)),
    piece('tippet', tippetFeet, x(size)),
  );

/** Of each type what one mostly owns, from the commonest on (handbook of the trade: rods of 4 to 8, heads of 250 to 350 gr for
 * light two-handers, tips of 5 to 15 ft at 1.5 to 7 in/s, leaders of 3 to 5 ft behind a tip, 9 ft on a floating line, a mono rig of
 * 15 ft of 20 lb tapered to 12; common practice, no source). */
export const STARTS: { readonly [T in KitType]: readonly Start<KitOf<T>>[] } = {
  fly: FLY_FAMILY_NAMES.map((family) => usualFly(family)),
  rod: [
    rod('Single-hand, 9 ft, line 6', 9, 1, 6),
    rod('Single-hand, 9 ft, line 4', 9, 1, 4),
    rod('Single-hand, 9 ft, line 7', 9, 1, 7),
    rod('Light two-hander, 11 ft, line 4', 11, 2, 4, { windowKg: [250 * GRAIN_KG, 350 * GRAIN_KG] }),
    rod('Switch, 11 ft, line 6', 11, 2, 6, { switch: true }),
    rod('Two-hander, 12 ft 6 in, line 7', 12.5, 2, 7),
    rod('Two-hander, 13 ft, line 8', 13, 2, 8),
  ],
  head: [
    taper(6),
    taper(4),
    taper(7),
    head('Short Skagit-style head, 500 gr', 'short', 23, 500, 0),
    head('Short Skagit-style head, 300 gr', 'short', 18, 300, 0),
    head('Long Scandi-style head, 400 gr', 'long', 36, 400, 0),
    head('Intermediate head, 350 gr', 'long', 30, 350, 1.5),
    {
      type: 'head',
      name: 'Full sinking line, 6',
      shape: 'taper',
      lengthM: 12,
      massKg: lineMassKg(6) * 1.25,
      sinkRatesMps: [5 * INCH_M],
    },
    head('Full sinking head, 350 gr', 'long', 30, 350, 5),
    head('Two-density head, 400 gr', 'long', 30, 400, 1.5, 5),
    head('Three-density head, 450 gr', 'long', 33, 450, 0, 1.5, 4),
  ],
  running: [
    { type: 'running', name: 'Floating running line', kind: 'floating', diameterM: 0.9e-3 },
    { type: 'running', name: 'Intermediate running line', kind: 'intermediate', diameterM: 0.8e-3 },
    { type: 'running', name: 'Mono running line', kind: 'mono', diameterM: 0.5e-3 },
  ],
  tip: [
    tip('10 ft intermediate', 10, 1.5),
    tip('10 ft slow', 10, 3),
    tip('10 ft fast', 10, 5),
    tip('10 ft heavy', 10, 7),
    tip('5 ft fast', 5, 5),
    tip('15 ft fast', 15, 5),
    tip('10 ft sinking leader, slow', 10, 2.5, true),
    tip('10 ft sinking leader, fast', 10, 5, true),
  ],
  leader: [
    leader('4 ft of 12 lb', ...level(4 * FOOT_M, 0.3e-3, 'nylon')),
    leader('5 ft of fluorocarbon', ...level(5 * FOOT_M, 0.25e-3, 'fluorocarbon')),
    tapered('9 ft to 3X', 9, 3, 2),
    tapered('9 ft to 5X', 9, 5, 2.5),
    tapered('12 ft to 5X', 12, 5, 3),
    leader('Two soft hackles behind a tip, 4X to 5X', piece('taper', 3, x(4)), piece('tippet', 3.5, x(5))),
    leader(
      'Mono rig, 15 ft of 20 lb to 12 lb',
      piece('butt', 10, 0.41e-3),
      piece('taper', 3, 0.36e-3, 0.3e-3),
      piece('sighter', 14 / 12, 0.28e-3),
      piece('tippet', 3, x(2)),
    ),
  ],
  spool: [0, 2, 3, 4, 5, 6].map((size) => ({
    type: 'spool' as const,
    name: `${size}X nylon`,
    diameterM: x(size),
    material: 'nylon' as const,
  })),
  ring: [
    { type: 'ring', name: 'Rings for trout, 2 mm', diameterM: 2e-3 },
    { type: 'ring', name: 'Rings for steelhead, 3 mm', diameterM: 3e-3 },
  ],
  shot: SHOT_KG.map((massKg) => ({ type: 'shot' as const, name: `Shot ${shotName(massKg)}`, massKg })),
  float: [
    { type: 'float', name: 'Small float, 12 mm', diameterM: 0.012, massKg: 0.3e-3 },
    { type: 'float', name: 'Float, 16 mm', diameterM: 0.016, massKg: 0.6e-3 },
    { type: 'float', name: 'Large float, 22 mm', diameterM: 0.022, massKg: 1.4e-3 },
  ],
  'other fly': [
    { type: 'other fly', name: 'Dry, hook 14', kind: 'dry', hook: '14' },
    { type: 'other fly', name: 'Nymph, hook 14', kind: 'nymph', hook: '14' },
    { type: 'other fly', name: 'Egg, hook 12', kind: 'egg', hook: '12' },
  ],
};

const named = <T extends KitType>(type: T, ...names: string[]): Start[] =>
  names.map((name) => {
    const found = (STARTS[type] as readonly Start[]).find((s) => s.name === name);
    if (!found) throw new RangeError(`starts: there is no ${type} "${name}"`);
    return found;
  });
const flies = (...list: readonly (readonly [FlyColour, FlyFamily])[]): Start[] =>
  list.map(([colour, family]) => usualFly(family, colour));

const STREAMERS = flies(
  ['black', 'woolly bugger'],
  ['olive', 'woolly bugger'],
  ['black', 'rabbit strip'],
  ['olive', 'sculpin'],
  ['white', 'slim baitfish'],
  ['white', 'lead-eye baitfish'],
  ['tan', 'muddler'],
);
const WETS = flies(
  ['brown', 'soft-hackle spider'],
  ['olive', 'soft-hackle spider'],
  ['orange', 'large soft hackle'],
  ['black', 'winged wet'],
);

/** Whole bags by method, to be thinned out. */
export const STARTER_BAGS = {
  'Streamers, single-hand rod': [
    ...named('rod', 'Single-hand, 9 ft, line 6'),
    ...named('head', 'Floating line, 6', 'Full sinking line, 6'),
    ...named('tip', '10 ft sinking leader, slow', '10 ft sinking leader, fast', '5 ft fast'),
    ...named('leader', '4 ft of 12 lb', '9 ft to 3X'),
    ...named('spool', '2X nylon', '3X nylon'),
    ...named('shot', 'Shot BB, 0.4 g'),
    ...STREAMERS,
  ],
  'Soft hackles, light rod': [
    ...named('rod', 'Single-hand, 9 ft, line 4'),
    ...named('head', 'Floating line, 4'),
    ...named('tip', '10 ft sinking leader, slow'),
    ...named('leader', 'Two soft hackles behind a tip, 4X to 5X', '9 ft to 5X'),
    ...named('spool', '4X nylon', '5X nylon'),
    ...named('ring', 'Rings for trout, 2 mm'),
    ...WETS,
  ],
  'Light two-hander for trout': [
    ...named('rod', 'Light two-hander, 11 ft, line 4'),
    ...named('head', 'Short Skagit-style head, 300 gr'),
    ...named('running', 'Floating running line'),
    ...named('tip', '10 ft intermediate', '10 ft slow', '5 ft fast'),
    ...named('leader', '4 ft of 12 lb', 'Two soft hackles behind a tip, 4X to 5X'),
    ...named('spool', '2X nylon', '4X nylon'),
    ...STREAMERS.slice(0, 4),
    ...WETS,
  ],
  'Two-hander for steelhead and sea-run fish': [
    ...named('rod', 'Two-hander, 12 ft 6 in, line 7'),
    ...named('head', 'Short Skagit-style head, 500 gr', 'Long Scandi-style head, 400 gr'),
    ...named('running', 'Mono running line'),
    ...named('tip', '10 ft intermediate', '10 ft slow', '10 ft fast', '10 ft heavy'),
    ...named('leader', '4 ft of 12 lb', '5 ft of fluorocarbon'),
    ...named('spool', '0X nylon'),
    ...named('ring', 'Rings for steelhead, 3 mm'),
    ...flies(
      ['black and blue', 'shank fly'],
      ['purple', 'shank fly'],
      ['pink', 'rabbit strip'],
      ['black', 'tube fly'],
      ['orange', 'hair-wing wet'],
      ['black', 'waking fly'],
    ),
  ],
  'Mono rig and float': [
    ...named('rod', 'Single-hand, 9 ft, line 6'),
    ...named('head', 'Floating line, 6'),
    ...named('leader', 'Mono rig, 15 ft of 20 lb to 12 lb', '9 ft to 3X'),
    ...named('float', 'Float, 16 mm', 'Small float, 12 mm'),
    ...named('ring', 'Rings for trout, 2 mm'),
    ...named('shot', 'Shot no. 4, 0.2 g', 'Shot BB, 0.4 g'),
    ...named('spool', '2X nylon', '4X nylon'),
    ...flies(
      ['olive', 'micro streamer'],
      ['white', 'micro streamer'],
      ['black', 'woolly bugger'],
      ['brown', 'soft-hackle spider'],
    ),
  ],
} as const satisfies Record<string, readonly Start[]>;
export type StarterBag = keyof typeof STARTER_BAGS;

/**
 * What is tied on from a bag while nothing is: its first rod, line and fly, with the first tip and leader that go with them without a
 * warning.
 */
export function starterRig(kit: readonly KitItem[]): RigChoice {
  const all = (type: KitItem['type']) => kit.filter((item) => item.type === type).map((item) => item.id);
  const first = (type: KitItem['type']) => all(type)[0] ?? '';
  const base: RigChoice = {
    ...NO_RIG,
    ...{ rodId: first('rod'), headId: first('head'), runningId: first('running'), flyId: first('fly') },
  };
  const choices = [...all('tip'), ''].flatMap((tipId) =>
    all('leader').map((leaderId): RigChoice => ({ ...base, tipId, leaderId })),
  );
  const isGood = (choice: RigChoice) => {
    const rig = rigOf(kit, choice);
    return rig !== null && consequencesOf(rig).every((c) => c.level === 'good');
  };
  return choices.find(isGood) ?? choices[0] ?? base;
}
