import type { SpeedAt } from './run';

/** Surface speed of the main current by eye, m/s (common practice, no source). */
export const PACES = { slack: 0.15, stroll: 0.45, walk: 0.8, brisk: 1.2, racing: 1.8 } as const;

export type Pace = keyof typeof PACES;

export const COLOURS = ['clear', 'blue-green', 'green', 'tea', 'grey-brown', 'brown soup'] as const;

export type WaterColour = (typeof COLOURS)[number];

export const SKIES = ['bright', 'broken', 'overcast', 'yellow', 'dusk'] as const;

export type Sky = (typeof SKIES)[number];

/** What one may notice in a minute by the water that bears on how to fish it. */
export const SIGHTINGS = [
  'rises',
  'hatch',
  'fry',
  'crayfish',
  'refusals',
  'juveniles',
  'spawning fish',
  'footprints',
  'party ahead',
] as const;
export type Sighting = (typeof SIGHTINGS)[number];

/** What of a reading may be a guess: taken from the forecast, or as on a typical day. */
export const GUESSABLE = ['visibility', 'colour', 'sky'] as const;
export type Guessable = (typeof GUESSABLE)[number];

/** What was seen and measured at the bank. */
export interface Reading {
  readonly id: string;
  readonly runId: string;
  /** Milliseconds since 1970 UTC. */
  readonly at: number;
  readonly levelM: number;
  /** How far down one can see, m; `atLeast` when the toes were still seen. */
  readonly visibilityM: number;
  readonly atLeast: boolean;
  readonly colour: WaterColour;
  readonly speed: SpeedAt | null;
  /** The main current's pace by eye, where no float was timed. */
  readonly pace?: Pace;
  /** How many times the true current one’s eye reads, as practised; the pace is taken as so many times too fast. Not said: once. */
  readonly paceTimes?: number;
  /** The gauge's flow, m³/s. */
  readonly flowM3s?: number;
  /** Where the level comes from; not said: by eye. */
  readonly levelFrom?: 'gauge' | 'eye' | 'guess';
  /** What of it nobody read; not said: all was. */
  readonly guessed?: readonly Guessable[];
  readonly depths?: readonly DepthAt[];
  readonly waterTempC: number | null;
  readonly sky: Sky;
  readonly wind?: Wind;
  /** Not said: nothing was noticed. */
  readonly seen?: readonly Sighting[];
}

/** Whether a part of a reading was read, and not guessed. */
export const isRead = ({ guessed }: Pick<Reading, 'guessed'>, part: Guessable): boolean =>
  !(guessed ?? []).includes(part);

/** A depth measured at a place. */
export interface DepthAt {
  readonly xM: number;
  readonly yM: number;
  readonly depthM: number;
  readonly how: 'leg' | 'staff' | 'sink count';
}

export const WIND_FORCES = ['light', 'fresh', 'strong'] as const;

export interface Wind {
  /** Where it blows from, seen from the described bank looking across. */
  readonly from: (typeof WIND_FROM)[number];
  readonly force: (typeof WIND_FORCES)[number];
}

export const WIND_FROM = ['upstream', 'downstream', 'behind', 'across'] as const;

/** What is taken where nothing was read, and said to be so: fair green water under a broken sky. */
export const TYPICAL_DAY = {
  visibilityM: 1.2,
  atLeast: false,
  colour: 'green',
  sky: 'broken',
  waterTempC: 10,
} as const satisfies Partial<Reading>;
