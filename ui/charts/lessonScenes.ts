import type { LessonName } from '@/core/practice/lessons';

/** A point of a scene, 0 to 160 across and 0 to 90 down. */
export type At = readonly [number, number];

/** What a scene is drawn of. What moves has its frames; they follow each other evenly. */
export type Shape =
  | { readonly is: Area | Line; readonly frames: readonly (readonly At[])[] }
  | { readonly is: Body; readonly frames: readonly At[] }
  | { readonly is: 'words'; readonly at: At; readonly text: string }
  | { readonly is: 'flow'; readonly at: At; readonly across?: true };
export type Area = 'water' | 'ground' | 'tongue';
export type Line = 'line' | 'rod' | 'bed' | 'sight';
export type Body = 'fly' | 'fish' | 'you' | 'stick';

/** Points as they are written: "24,38 50,48". */
const pts = (text: string): At[] => text.split(' ').map((p) => p.split(',').map(Number) as [number, number]);
const area = (is: Area, ...frames: string[]): Shape => ({ is, frames: frames.map(pts) });
const line = (is: Line, ...frames: string[]): Shape => ({ is, frames: frames.map(pts) });
const body = (is: Body, frames: string): Shape => ({ is, frames: pts(frames) });
const words = (at: string, text: string): Shape => ({ is: 'words', at: pts(at)[0]!, text });

/** Seen from above: flow down the picture between two banks. */
const RIVER: readonly Shape[] = [area('water', '18,0 142,0 142,90 18,90'), { is: 'flow', at: [150, 20] }];
const TONGUE = area('tongue', '62,0 92,0 92,90 62,90');
const MARKS = [line('rod', '4,16 18,16'), line('rod', '4,76 18,76')];
const LOG = line('bed', '110,40 142,30');
const [YOU_X, YOU_Y] = [22, 18] as const;
const YOU = body('you', `${YOU_X},${YOU_Y}`);

/** Seen from the side: flow to the right. */
const side = (bed: string, surfaceY = 30): readonly Shape[] => [
  area('water', `0,${surfaceY} 160,${surfaceY} ${bed.split(' ').reverse().join(' ')}`),
  area('ground', `${bed} 160,90 0,90`),
  { is: 'flow', at: [140, surfaceY - 10], across: true },
];
const EVEN = side('0,74 160,74');
const SLOPE = '0,30 60,52 110,66 160,70';
const STEP = '0,30 60,46 84,48 92,78 160,78';

/** One who stands with the boots at each of some places, seen from the side; with a staff upstream where one is wanted. */
const figure = (feet: string): Shape[] => [
  {
    is: 'bed',
    frames: pts(feet).map(
      ([x, y]) =>
        [
          [x, y],
          [x, y - 40],
        ] as const,
    ),
  },
  { is: 'you', frames: pts(feet).map(([x, y]) => [x, y - 44] as const) },
];
const wading = (feet: string): Shape[] => [
  ...figure(feet),
  {
    is: 'rod',
    frames: pts(feet).map(
      ([x, y]) =>
        [
          [x - 14, y - 4],
          [x - 2, y - 30],
        ] as const,
    ),
  },
];

/** A line to the fly, bellied by so much down the current (up it: negative). */
const bellied = ([x, y]: At, by: number): At[] =>
  [0, 0.25, 0.5, 0.75, 1].map((t) => [YOU_X + (x - YOU_X) * t, YOU_Y + (y - YOU_Y) * t + by * 4 * t * (1 - t)]);
const swing = (flies: string, bellies: readonly number[]): Shape[] => [
  { is: 'line', frames: pts(flies).map((f, i) => bellied(f, bellies[i] ?? 0)) },
  body('fly', flies),
  YOU,
];
/** A rod that points to where it goes. */
const rod = (tips: string): Shape => line('rod', ...tips.split(' ').map((tip) => `${YOU_X},${YOU_Y} ${tip}`));
const ROUND = '112,22 104,44 84,62 56,74 30,78';
const BANK_ROD = line('rod', '10,18 60,8');

/** The scenes of the lessons, drawn by ourselves. */
export const SCENES = {
  look: [...RIVER, YOU, line('sight', '22,18 60,80', '22,18 130,84')],
  wade: [...side(SLOPE), ...wading('24,38 50,48 74,56')],
  drop: [...side(STEP), ...wading('40,40 78,47 80,47')],
  back: [...side(SLOPE), ...wading('74,56 50,48 24,38')],
  swept: [
    ...EVEN,
    line('bed', '10,32 30,30', '60,32 80,30', '112,32 132,30'),
    body('you', '8,31 58,31 110,31'),
    words('80,16', 'feet first'),
  ],
  boots: [...side(SLOPE), ...figure('30,40 56,51 74,56'), line('sight', '30,-4 34,40', '56,7 60,51', '74,12 78,56')],
  leg: [
    ...side(SLOPE),
    ...figure('74,56'),
    words('112,58', 'ankle'),
    words('112,44', 'knee'),
    words('112,30', 'thigh'),
  ],
  paces: [...RIVER, body('you', '8,16 8,76'), ...MARKS],
  stick: [...RIVER, TONGUE, ...MARKS, body('stick', '78,2 78,88')],
  bow: [...RIVER, TONGUE, ...swing('116,26 110,44 80,66 40,78', [0, 26, 22, 6])],
  mend: [...RIVER, TONGUE, ...swing('116,26 116,34 112,48 96,62', [14, -20, -8, 4])],
  once: [...RIVER, TONGUE, ...swing('116,24 108,44 84,64 50,76', [-10, 4, 6, 2])],
  slack: [...RIVER, ...swing('112,30 110,34 98,50 70,68', [-6, 22, 12, 4])],
  lead: [...RIVER, ...swing(ROUND, [0, 2, 2]), rod('44,30 40,38 34,42 28,44 22,44')],
  follow: [...RIVER, ...swing(ROUND, [0, 4, 4, 2]), rod('48,19 46,26 41,32 33,40 24,44')],
  hinge: [...RIVER, ...swing(ROUND, [0, 8, 8, 4]), rod('48,18')],
  loop: [
    ...[...EVEN, BANK_ROD],
    line('line', '60,8 130,48', '60,8 138,50', '60,8 146,52'),
    line('line', '18,17 26,30 34,13', '18,17 26,22 34,13', '18,17 26,15 34,13'),
    body('fish', '134,50 142,52 150,54'),
  ],
  reel: [...EVEN, BANK_ROD, line('line', '14,17 60,8 130,48', '14,17 60,8 150,54'), body('fish', '134,50 154,56')],
  turns: [...RIVER, ...swing('70,60 66,64 84,76 96,84', [2, 4, 2]), body('fish', '72,76 67,66 85,77 97,85')],
  stripping: [
    ...EVEN,
    line('line', '0,12 110,50', '0,12 86,48', '0,12 92,50', '0,12 60,46'),
    body('fly', '110,50 86,48 92,50 60,46'),
    body('fish', '140,62 112,56 100,53 66,47'),
  ],
  drift: [
    ...EVEN,
    line('line', '40,4 30,30 34,62', '70,4 74,30 78,62', '100,4 118,30 122,62'),
    body('fly', '34,62 78,62 122,62'),
  ],
  net: [...RIVER, ...swing('90,70 64,50 34,40', []), body('fish', '91,71 65,51 35,41')],
  letGo: [...EVEN, body('fish', '60,50 60,50 40,54 4,60'), words('96,52', 'head into the current')],
  rise: [...EVEN, body('fly', '10,30 40,56 70,66 96,60 124,38'), body('fish', '100,68 100,68 100,68 101,63 124,40')],
  spent: [...EVEN, body('fly', '6,30 30,60 56,40 84,52 120,66'), body('fish', '104,68')],
  pulses: [...EVEN, body('fly', '130,46 118,44 114,47 102,45 98,48 86,46 82,49'), words('80,14', 'even')],
  varied: [
    ...EVEN,
    body('fly', '130,46 100,42 94,44 88,43 84,52 80,56 50,46'),
    words('80,14', 'long, two short, a pause'),
  ],
  dropper: [
    ...[...EVEN, line('line', '0,34 60,44 130,58'), line('line', '60,44 66,58'), body('fly', '66,60')],
    ...[body('fly', '131,59'), words('66,84', 'dropper'), words('131,84', 'point')],
  ],
  log: [...RIVER, LOG, ...swing('100,14 104,30 92,48 66,66', [0, 4, 6, 2])],
  away: [
    ...[...RIVER, LOG, YOU, rod('48,16 42,36 34,42 26,44')],
    line('line', '22,18 100,34', '22,18 104,38', '22,18 84,54', '22,18 60,62'),
    body('fish', '101,35 105,39 85,55 61,63'),
  ],
  storm: [...side(SLOPE, 52), line('rod', '100,0 92,16 102,18 94,34'), ...figure('60,52 20,36 4,32')],
  rising: [
    area('water', '0,60 160,60 160,90 0,90', '0,40 160,40 160,90 0,90'),
    area('ground', '60,90 70,44 100,38 112,90'),
    body('stick', '10,58 150,39'),
    { is: 'flow', at: [140, 24], across: true },
  ],
} satisfies Record<string, readonly Shape[]>;
export type SceneName = keyof typeof SCENES;

/** The scene of each step of a lesson. */
export const SCENES_OF: Readonly<Record<LessonName, readonly SceneName[]>> = {
  wading: ['look', 'wade', 'drop', 'back', 'swept'],
  boots: ['wade', 'boots', 'leg', 'boots'],
  stick: ['paces', 'stick', 'stick', 'stick'],
  mends: ['bow', 'mend', 'once', 'slack'],
  leading: ['lead', 'follow', 'hinge'],
  'line hand': ['loop', 'reel', 'loop'],
  strike: ['turns', 'stripping', 'drift', 'stripping'],
  release: ['net', 'net', 'letGo', 'letGo'],
  rise: ['rise', 'rise', 'rise', 'spent'],
  strips: ['varied', 'pulses', 'varied', 'stripping'],
  'two flies': ['dropper', 'dropper', 'dropper', 'dropper'],
  wood: ['log', 'log', 'away', 'log'],
  storms: ['storm', 'storm', 'rising', 'rising'],
};
