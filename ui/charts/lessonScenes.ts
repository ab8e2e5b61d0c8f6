import type { LessonName } from '@/core/practice/lessons';

/** A point of a scene, 0 to 160 across and 0 to 90 down. */
export type At = readonly [number, number];

/** What a scene is drawn of. What moves has its frames; they follow each other evenly. */
export type Shape =
  | { readonly is: 'water' | 'ground' | 'tongue'; readonly frames: readonly (readonly At[])[] }
  | { readonly is: 'line' | 'rod' | 'bed' | 'sight'; readonly frames: readonly (readonly At[])[] }
  | { readonly is: 'fly' | 'fish' | 'you' | 'stick'; readonly frames: readonly At[] }
  | { readonly is: 'words'; readonly at: At; readonly text: string }
  | { readonly is: 'flow'; readonly at: At; readonly across?: true };

const still = <T>(one: T): readonly T[] => [one];

/** Seen from above: flow down the picture between two banks. */
const RIVER: readonly Shape[] = [
  {
    is: 'water',
    frames: still([
      [18, 0],
      [142, 0],
      [142, 90],
      [18, 90],
    ]),
  },
  { is: 'flow', at: [150, 20] },
];
const TONGUE: Shape = {
  is: 'tongue',
  frames: still([
    [62, 0],
    [92, 0],
    [92, 90],
    [62, 90],
  ]),
};
const YOU: At = [22, 18];
/** Seen from the side: flow to the right. */
const side = (bed: readonly At[], surfaceY = 30): readonly Shape[] => [
  { is: 'water', frames: still([[0, surfaceY], [160, surfaceY], ...[...bed].reverse()]) },
  { is: 'ground', frames: still([...bed, [160, 90], [0, 90]]) },
  { is: 'flow', at: [140, surfaceY - 10], across: true },
];
const EVEN: readonly At[] = [
  [0, 74],
  [160, 74],
];
const SLOPE: readonly At[] = [
  [0, 30],
  [60, 52],
  [110, 66],
  [160, 70],
];
const STEP: readonly At[] = [
  [0, 30],
  [60, 46],
  [84, 48],
  [92, 78],
  [160, 78],
];
/** One who stands with the boots at a place, seen from the side. */
const figure = (...feet: readonly At[]): Shape[] => [
  {
    is: 'bed',
    frames: feet.map(
      ([x, y]) =>
        [
          [x, y],
          [x, y - 40],
        ] as const,
    ),
  },
  { is: 'you', frames: feet.map(([x, y]) => [x, y - 44] as const) },
];
const staff = (...feet: readonly At[]): Shape => ({
  is: 'rod',
  frames: feet.map(
    ([x, y]) =>
      [
        [x - 14, y - 4],
        [x - 2, y - 30],
      ] as const,
  ),
});
/** A line from the rod to a fly, bellied by so much down the current (up it: negative). */
const bellied = ([x, y]: At, by: number): readonly At[] => {
  const [fx, fy] = YOU;
  return [0, 0.25, 0.5, 0.75, 1].map((t) => [fx + (x - fx) * t, fy + (y - fy) * t + by * 4 * t * (1 - t)] as const);
};
const swing = (flies: readonly At[], belly: readonly number[]): Shape[] => [
  { is: 'line', frames: flies.map((f, i) => bellied(f, belly[i] ?? 0)) },
  { is: 'fly', frames: flies },
  { is: 'you', frames: still(YOU) },
];
/** A rod beside one who stands there, pointing to where it goes. */
const rod = (...tips: readonly At[]): Shape => ({ is: 'rod', frames: tips.map((t) => [YOU, t] as const) });
const AROUND: readonly At[] = [
  [112, 22],
  [104, 44],
  [84, 62],
  [56, 74],
  [30, 78],
];

/** The scenes of the lessons, drawn by ourselves. */
export const SCENES = {
  look: [
    ...RIVER,
    { is: 'you', frames: still(YOU) },
    {
      is: 'sight',
      frames: [
        [YOU, [60, 80]],
        [YOU, [130, 84]],
      ],
    },
  ],
  wade: [...side(SLOPE), ...figure([24, 38], [50, 48], [74, 56]), staff([24, 38], [50, 48], [74, 56])],
  drop: [...side(STEP), ...figure([40, 40], [78, 47], [78, 47]), staff([40, 40], [78, 47], [86, 60])],
  back: [...side(SLOPE), ...figure([74, 56], [50, 48], [24, 38]), staff([74, 56], [50, 48], [24, 38])],
  swept: [
    ...side(EVEN),
    {
      is: 'bed',
      frames: [
        [
          [10, 32],
          [30, 30],
        ],
        [
          [60, 32],
          [80, 30],
        ],
        [
          [112, 32],
          [132, 30],
        ],
      ],
    },
    {
      is: 'you',
      frames: [
        [8, 31],
        [58, 31],
        [110, 31],
      ],
    },
    { is: 'words', at: [80, 16], text: 'feet first' },
  ],
  boots: [
    ...side(SLOPE),
    ...figure([30, 40], [56, 51], [74, 56]),
    {
      is: 'sight',
      frames: [
        [
          [30, -4],
          [34, 40],
        ],
        [
          [56, 7],
          [60, 51],
        ],
        [
          [74, 12],
          [78, 56],
        ],
      ],
    },
  ],
  leg: [
    ...side(SLOPE),
    ...figure([74, 56]),
    { is: 'words', at: [112, 58], text: 'ankle' },
    { is: 'words', at: [112, 44], text: 'knee' },
    { is: 'words', at: [112, 30], text: 'thigh' },
  ],
  paces: [
    ...RIVER,
    {
      is: 'you',
      frames: [
        [8, 16],
        [8, 76],
      ],
    },
    {
      is: 'rod',
      frames: still([
        [4, 16],
        [18, 16],
      ]),
    },
    {
      is: 'rod',
      frames: still([
        [4, 76],
        [18, 76],
      ]),
    },
  ],
  stick: [
    ...RIVER,
    TONGUE,
    {
      is: 'rod',
      frames: still([
        [4, 16],
        [18, 16],
      ]),
    },
    {
      is: 'rod',
      frames: still([
        [4, 76],
        [18, 76],
      ]),
    },
    {
      is: 'stick',
      frames: [
        [78, 2],
        [78, 88],
      ],
    },
  ],
  bow: [
    ...RIVER,
    TONGUE,
    ...swing(
      [
        [116, 26],
        [110, 44],
        [80, 66],
        [40, 78],
      ],
      [0, 26, 22, 6],
    ),
  ],
  mend: [
    ...RIVER,
    TONGUE,
    ...swing(
      [
        [116, 26],
        [116, 34],
        [112, 48],
        [96, 62],
      ],
      [14, -20, -8, 4],
    ),
  ],
  once: [
    ...RIVER,
    TONGUE,
    ...swing(
      [
        [116, 24],
        [108, 44],
        [84, 64],
        [50, 76],
      ],
      [-10, 4, 6, 2],
    ),
  ],
  slack: [
    ...RIVER,
    ...swing(
      [
        [112, 30],
        [110, 34],
        [98, 50],
        [70, 68],
      ],
      [-6, 22, 12, 4],
    ),
  ],
  lead: [...RIVER, ...swing(AROUND, [0, 2, 2, 0, 0]), rod([44, 30], [40, 38], [34, 42], [28, 44], [22, 44])],
  follow: [...RIVER, ...swing(AROUND, [0, 4, 4, 2, 0]), rod([48, 19], [46, 26], [41, 32], [33, 40], [24, 44])],
  hinge: [...RIVER, ...swing(AROUND, [0, 8, 8, 4, 0]), rod([48, 18], [48, 18], [48, 18], [48, 18], [48, 18])],
  loop: [
    ...side(EVEN),
    {
      is: 'rod',
      frames: still([
        [10, 18],
        [60, 8],
      ]),
    },
    {
      is: 'line',
      frames: [
        [
          [60, 8],
          [130, 48],
        ],
        [
          [60, 8],
          [138, 50],
        ],
        [
          [60, 8],
          [146, 52],
        ],
      ],
    },
    {
      is: 'line',
      frames: [
        [
          [18, 17],
          [26, 30],
          [34, 13],
        ],
        [
          [18, 17],
          [26, 22],
          [34, 13],
        ],
        [
          [18, 17],
          [26, 15],
          [34, 13],
        ],
      ],
    },
    {
      is: 'fish',
      frames: [
        [134, 50],
        [142, 52],
        [150, 54],
      ],
    },
  ],
  reel: [
    ...side(EVEN),
    {
      is: 'rod',
      frames: still([
        [10, 18],
        [60, 8],
      ]),
    },
    {
      is: 'line',
      frames: [
        [
          [14, 17],
          [60, 8],
          [130, 48],
        ],
        [
          [14, 17],
          [60, 8],
          [150, 54],
        ],
      ],
    },
    {
      is: 'fish',
      frames: [
        [134, 50],
        [154, 56],
      ],
    },
  ],
  turns: [
    ...RIVER,
    ...swing(
      [
        [70, 60],
        [66, 64],
        [84, 76],
        [96, 84],
      ],
      [2, 4, 2, 0],
    ),
    {
      is: 'fish',
      frames: [
        [72, 76],
        [67, 66],
        [85, 77],
        [97, 85],
      ],
    },
  ],
  stripping: [
    ...side(EVEN),
    {
      is: 'line',
      frames: [
        [
          [0, 12],
          [110, 50],
        ],
        [
          [0, 12],
          [86, 48],
        ],
        [
          [0, 12],
          [92, 50],
        ],
        [
          [0, 12],
          [60, 46],
        ],
      ],
    },
    {
      is: 'fly',
      frames: [
        [110, 50],
        [86, 48],
        [92, 50],
        [60, 46],
      ],
    },
    {
      is: 'fish',
      frames: [
        [140, 62],
        [112, 56],
        [100, 53],
        [66, 47],
      ],
    },
  ],
  drift: [
    ...side(EVEN),
    {
      is: 'line',
      frames: [
        [
          [40, 4],
          [30, 30],
          [34, 62],
        ],
        [
          [70, 4],
          [74, 30],
          [78, 62],
        ],
        [
          [100, 4],
          [118, 30],
          [122, 62],
        ],
      ],
    },
    {
      is: 'fly',
      frames: [
        [34, 62],
        [78, 62],
        [122, 62],
      ],
    },
  ],
  net: [
    ...RIVER,
    ...swing(
      [
        [90, 70],
        [64, 50],
        [34, 40],
      ],
      [0, 0, 0],
    ),
    {
      is: 'fish',
      frames: [
        [91, 71],
        [65, 51],
        [35, 41],
      ],
    },
  ],
  letGo: [
    ...side(EVEN),
    {
      is: 'fish',
      frames: [
        [60, 50],
        [60, 50],
        [40, 54],
        [4, 60],
      ],
    },
    { is: 'words', at: [96, 52], text: 'head into the current' },
  ],
  rise: [
    ...side(EVEN),
    {
      is: 'sight',
      frames: still([
        [10, 30],
        [40, 56],
        [70, 66],
        [96, 60],
        [124, 38],
      ]),
    },
    {
      is: 'fly',
      frames: [
        [10, 30],
        [40, 56],
        [70, 66],
        [96, 60],
        [124, 38],
      ],
    },
    {
      is: 'fish',
      frames: [
        [100, 68],
        [100, 68],
        [100, 68],
        [101, 63],
        [124, 40],
      ],
    },
  ],
  spent: [
    ...side(EVEN),
    {
      is: 'sight',
      frames: still([
        [6, 30],
        [30, 60],
        [56, 40],
        [84, 52],
        [120, 66],
      ]),
    },
    {
      is: 'fly',
      frames: [
        [6, 30],
        [30, 60],
        [56, 40],
        [84, 52],
        [120, 66],
      ],
    },
    { is: 'fish', frames: still([104, 68]) },
  ],
  pulses: [
    ...side(EVEN),
    {
      is: 'fly',
      frames: [
        [130, 46],
        [118, 44],
        [114, 47],
        [102, 45],
        [98, 48],
        [86, 46],
        [82, 49],
      ],
    },
    { is: 'words', at: [80, 14], text: 'even' },
  ],
  varied: [
    ...side(EVEN),
    {
      is: 'fly',
      frames: [
        [130, 46],
        [100, 42],
        [94, 44],
        [88, 43],
        [84, 52],
        [80, 56],
        [50, 46],
      ],
    },
    { is: 'words', at: [80, 14], text: 'long, two short, a pause' },
  ],
  dropper: [
    ...side(EVEN),
    {
      is: 'line',
      frames: still([
        [0, 34],
        [60, 44],
        [130, 58],
      ]),
    },
    {
      is: 'line',
      frames: still([
        [60, 44],
        [66, 58],
      ]),
    },
    { is: 'fly', frames: still([66, 60]) },
    { is: 'fly', frames: still([131, 59]) },
    { is: 'words', at: [66, 84], text: 'dropper' },
    { is: 'words', at: [131, 84], text: 'point' },
  ],
  log: [
    ...RIVER,
    {
      is: 'bed',
      frames: still([
        [110, 40],
        [142, 30],
      ]),
    },
    ...swing(
      [
        [100, 14],
        [104, 30],
        [92, 48],
        [66, 66],
      ],
      [0, 4, 6, 2],
    ),
  ],
  away: [
    ...RIVER,
    {
      is: 'bed',
      frames: still([
        [110, 40],
        [142, 30],
      ]),
    },
    {
      is: 'line',
      frames: [
        [YOU, [100, 34]],
        [YOU, [104, 38]],
        [YOU, [84, 54]],
        [YOU, [60, 62]],
      ],
    },
    {
      is: 'fish',
      frames: [
        [101, 35],
        [105, 39],
        [85, 55],
        [61, 63],
      ],
    },
    {
      is: 'rod',
      frames: [
        [YOU, [48, 16]],
        [YOU, [42, 36]],
        [YOU, [34, 42]],
        [YOU, [26, 44]],
      ],
    },
    { is: 'you', frames: still(YOU) },
  ],
  storm: [
    ...side(SLOPE, 52),
    {
      is: 'rod',
      frames: still([
        [100, 0],
        [92, 16],
        [102, 18],
        [94, 34],
      ]),
    },
    ...figure([60, 52], [20, 36], [4, 32]),
  ],
  rising: [
    {
      is: 'water',
      frames: [
        [
          [0, 60],
          [160, 60],
          [160, 90],
          [0, 90],
        ],
        [
          [0, 40],
          [160, 40],
          [160, 90],
          [0, 90],
        ],
      ],
    },
    {
      is: 'ground',
      frames: still([
        [60, 90],
        [70, 44],
        [100, 38],
        [112, 90],
      ]),
    },
    {
      is: 'stick',
      frames: [
        [10, 58],
        [150, 39],
      ],
    },
    { is: 'flow', at: [140, 24], across: true },
  ],
} as const satisfies Record<string, readonly Shape[]>;
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
