import { useState } from 'react';
import {
  type Channel,
  type DepthAt,
  type Guessable,
  isRead,
  legDepthM,
  type LegMark,
  mainCurrent,
  type Pace,
  type Reading,
  type Run,
  type Sighting,
  type Sky,
  type WaterColour,
  type Wind,
} from '@/core/water';
import { newId, useSettings } from '@/store/hooks';

export const DEEPER = 'still seen';

/** What has been entered so far. Nothing is preselected: what stays empty is not read, and goes on as it was. */
interface ReadingDraft {
  readonly toes: LegMark | typeof DEEPER | null;
  readonly seenM: number | null;
  readonly atLeast: boolean;
  readonly levelM: number | null;
  readonly flowM3s: number | null;
  readonly colour: WaterColour | null;
  readonly sky: Sky | null;
  readonly tempC: number | null;
  /** A stick's way and time. */
  readonly wayM: number | null;
  readonly seconds: number | null;
  readonly pace: Pace | null;
  /** By how many times too fast it is taken; null: as it was judged. */
  readonly paceTimes: number | null;
  readonly wind: Wind['from'] | 'none' | null;
  readonly force: Wind['force'] | null;
  readonly depths: readonly DepthAt[];
  readonly seen: readonly Sighting[];
}

export interface DraftProps {
  draft: ReadingDraft;
  set: (part: Partial<ReadingDraft>) => void;
}

const EMPTY: ReadingDraft = {
  ...{ toes: null, seenM: null, atLeast: false, levelM: null, flowM3s: null, colour: null, sky: null, tempC: null },
  ...{ wayM: null, seconds: null, pace: null, paceTimes: null, wind: null, force: null, depths: [], seen: [] },
};

/** Nothing was entered. */
export const isEmpty = (d: ReadingDraft): boolean => JSON.stringify(d) === JSON.stringify(EMPTY);

export const speedOf = ({ wayM, seconds }: ReadingDraft): number | null =>
  wayM !== null && seconds !== null && seconds > 0 ? wayM / seconds : null;

/** A reading being entered, empty at first. */
export function useReadingDraft() {
  const [{ heightM }] = useSettings();
  const [draft, setDraft] = useState<ReadingDraft>(EMPTY);
  const set = (part: Partial<ReadingDraft>) => setDraft((d) => ({ ...d, ...part }));
  const setToes = (toes: LegMark | typeof DEEPER) =>
    set({ toes, atLeast: toes === DEEPER, seenM: legDepthM(toes === DEEPER ? 'hip' : toes, heightM) });
  return { draft, set, setToes };
}

/** The wind that a draft says; of one that is felt and no more it is taken as fresh. */
function windOf({ wind, force }: ReadingDraft, before: Wind | undefined): Wind | undefined {
  if (wind === null) return before;
  return wind === 'none' ? undefined : { from: wind, force: force ?? 'fresh' };
}

/** The flow that was told, while it goes with the level: of a level of one's own a gauge says no flow. */
export const flowNow = ({ levelM }: ReadingDraft, today: Reading): number | undefined =>
  levelM === null || levelM === today.levelM ? today.flowM3s : undefined;

/** The reading that a draft stands for, taken on this run now; what was not entered is as it was in force, a guess where it was one. */
export function readingOf(d: ReadingDraft, today: Reading, run: Run, channel: Channel): Reading {
  const speedMps = speedOf(d);
  const entered: Readonly<Record<Guessable, unknown>> = { visibility: d.seenM, colour: d.colour, sky: d.sky };
  const guessed = (Object.keys(entered) as Guessable[]).filter((p) => entered[p] === null && !isRead(today, p));
  const levelFrom = d.levelM === null ? today.levelFrom : undefined;
  const wind = windOf(d, today.wind);
  const flowM3s = d.flowM3s ?? flowNow(d, today);
  return {
    id: newId(),
    runId: run.id,
    at: Date.now(),
    levelM: d.levelM ?? today.levelM,
    visibilityM: d.seenM ?? today.visibilityM,
    atLeast: d.seenM === null ? today.atLeast : d.atLeast,
    colour: d.colour ?? today.colour,
    speed: speedMps === null ? null : { surfaceMps: speedMps, ...mainCurrent(channel) },
    waterTempC: d.tempC ?? today.waterTempC,
    sky: d.sky ?? today.sky,
    ...(d.pace && speedMps === null ? { pace: d.pace, ...(d.paceTimes && { paceTimes: d.paceTimes }) } : null),
    ...(levelFrom ? { levelFrom } : null),
    ...(guessed.length > 0 ? { guessed } : null),
    ...(flowM3s ? { flowM3s } : null),
    ...(d.depths.length > 0 ? { depths: d.depths } : null),
    ...(d.seen.length > 0 ? { seen: d.seen } : null),
    ...(wind ? { wind } : null),
  };
}
