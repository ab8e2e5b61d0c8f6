import type { DepthSchool, Quarry } from '../lies';
import { roundTo, seeded } from '../maths';
import { type Feature, type FeatureKind, PACES, type Reading, type Run, type Sky, type WaterColour } from '../water';
import type { Grade } from './played';
import { KINDS_OF_WATER, type KindOfWater, runAtAGlance, usualDeepest, usualPace } from '../water/glance';

/** Water to practise on, on a day: invented, or a run of one's own. */
export interface PracticeWater {
  /** null: a run of one's own. */
  readonly kind: KindOfWater | null;
  readonly run: Run;
  readonly reading: Reading;
  readonly quarry: Quarry;
  readonly school: DepthSchool;
}

/** A river as wide and deep as its fish like it, m (common practice, no source). */
const RIVERS: readonly {
  readonly quarry: Quarry;
  readonly widthM: readonly [number, number];
  readonly deepestM: readonly [number, number];
}[] = [
  { quarry: 'brown trout', widthM: [9, 18], deepestM: [0.7, 1.4] },
  { quarry: 'sea trout', widthM: [14, 26], deepestM: [0.9, 1.9] },
  { quarry: 'steelhead', widthM: [20, 34], deepestM: [1.2, 2.2] },
];

/** How far a day strays from an ordinary one, and how much stands in the water. */
const DAYS: Readonly<
  Record<
    Grade,
    {
      readonly levelM: readonly [number, number];
      readonly tempC: readonly [number, number];
      readonly visibilityM: readonly [number, number];
      readonly skies: readonly Sky[];
      readonly stands: number;
    }
  >
> = {
  plain: { levelM: [0, 0], tempC: [10, 14], visibilityM: [1.2, 2.4], skies: ['broken', 'overcast'], stands: 0 },
  middling: {
    ...{ levelM: [-0.08, 0.15], tempC: [7, 16], visibilityM: [0.7, 2.4], stands: 1 },
    skies: ['bright', 'broken', 'overcast'],
  },
  hard: {
    ...{ levelM: [-0.12, 0.35], tempC: [3, 18], visibilityM: [0.3, 2.6], stands: 2 },
    skies: ['bright', 'broken', 'overcast', 'dusk'],
  },
};
const STANDING: readonly FeatureKind[] = ['boulder', 'boulder', 'log', 'weed'];

const colourOf = (visibilityM: number): WaterColour =>
  visibilityM > 1.8 ? 'clear' : visibilityM > 1 ? 'green' : visibilityM > 0.6 ? 'blue-green' : 'grey-brown';

/** What a seed draws, one after the other. */
function drawing(seed: number) {
  const rand = seeded(seed);
  return {
    rand,
    between: ([from, to]: readonly [number, number]) => from + (to - from) * rand(),
    one: <T>(of: readonly T[]): T => of[Math.floor(of.length * rand())]!,
  };
}
type Drawing = ReturnType<typeof drawing>;

/** A day of a grade on a run: its level is `offM` off the one that the run was drawn at. */
function dayOn(run: Pick<Run, 'id' | 'levelM'>, grade: Grade, offM: number, { between, one }: Drawing): Reading {
  const day = DAYS[grade];
  const visibilityM = roundTo(20, between(day.visibilityM));
  return {
    ...{ id: `${run.id}-practice`, runId: run.id, at: 0, speed: null, atLeast: false, visibilityM },
    levelM: roundTo(100, run.levelM + offM),
    colour: colourOf(visibilityM),
    waterTempC: roundTo(2, between(day.tempC)),
    sky: one(day.skies),
  };
}

/** By how much a run of one's own is higher or lower than it was drawn, m: there that is the question. */
const OWN_LEVELS_M: Readonly<Record<Grade, readonly [number, number]>> = {
  plain: [-0.05, 0.15],
  middling: [-0.1, 0.3],
  hard: [-0.15, 0.45],
};

/** A run of one's own and what is fished for there. */
export interface OwnRun {
  readonly run: Run;
  readonly quarry: Quarry;
}

/** A run of one's own on one of a seed's days. Its shape is what one drew. */
export function ownWater(seed: number, grade: Grade, { run, quarry }: OwnRun): PracticeWater {
  const draw = drawing(seed);
  const reading = dayOn(run, grade, draw.between(OWN_LEVELS_M[grade]), draw);
  return { kind: null, quarry, school: schoolBy(draw), run, reading };
}
const schoolBy = ({ rand }: Drawing): DepthSchool => (rand() < 0.5 ? 'near the bed' : 'upper to middle');

/** One of a seed’s runs on one of its days, the same each time. Told as measured: for the game its shape is the truth. */
export function inventedWater(seed: number, grade: Grade): PracticeWater {
  const draw = drawing(seed);
  const { rand, between, one } = draw;
  const kind = one(KINDS_OF_WATER);
  const { quarry, ...river } = one(RIVERS);
  const day = DAYS[grade];
  const widthM = Math.round(between(river.widthM));
  const deepestM = roundTo(20, between(river.deepestM));
  const deepestAt = Math.min(0.9, Math.max(0.15, usualDeepest(kind) + 0.2 * (rand() - 0.5)));
  let n = 0;
  const shape = runAtAGlance(
    { kind, widthM, deepestM, deepestAt, flows: rand() < 0.5 ? 'to the left' : 'to the right' },
    () => `stands-${++n}`,
  );
  const stands = Array.from({ length: day.stands }, (): Feature => {
    const size = roundTo(10, between([0.8, 1.6]));
    return {
      ...{ id: `stands-${++n}`, kind: one(STANDING), lengthM: size, widthM: size },
      xM: roundTo(10, shape.lengthM * between([0.15, 0.85])),
      yM: roundTo(10, widthM * between([0.25, 0.75])),
    };
  });
  const id = `practice-${seed}`;
  return {
    ...{ kind, quarry, school: schoolBy(draw) },
    run: {
      ...{ id, waterId: id, name: `Invented ${kind}`, ...shape, features: [...shape.features, ...stands] },
      bearingDeg: Math.round(360 * rand()),
      levelM: 0,
      speed: {
        surfaceMps: roundTo(20, PACES[usualPace(kind)] * between([0.8, 1.2])),
        ...{ xM: roundTo(10, shape.lengthM / 2), yM: roundTo(10, deepestAt * widthM) },
      },
      notes: '',
    },
    reading: dayOn({ id, levelM: 0 }, grade, between(day.levelM), draw),
  };
}
