import { useState } from 'react';
import {
  type Channel,
  type DepthAt,
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

/** What has been entered so far; everything has a start value, nothing must be filled in. */
export interface ReadingDraft {
  readonly toes: LegMark | typeof DEEPER | null;
  readonly seenM: number | null;
  readonly atLeast: boolean;
  readonly levelM: number | null;
  readonly colour: WaterColour;
  readonly sky: Sky;
  readonly tempC: number | null;
  /** A stick's way and time. */
  readonly wayM: number | null;
  readonly seconds: number | null;
  readonly pace: Pace | null;
  readonly wind: Wind['from'] | 'none';
  readonly depths: readonly DepthAt[];
  readonly seen: readonly Sighting[];
}

export interface DraftProps {
  draft: ReadingDraft;
  set: (part: Partial<ReadingDraft>) => void;
}

export const speedOf = ({ wayM, seconds }: ReadingDraft): number | null =>
  wayM !== null && seconds !== null && seconds > 0 ? wayM / seconds : null;

/** A reading being entered: starts from what was in force. */
export function useReadingDraft(today: Reading) {
  const [{ heightM }] = useSettings();
  const [draft, setDraft] = useState<ReadingDraft>({
    toes: null,
    seenM: today.visibilityM,
    atLeast: today.atLeast,
    levelM: today.levelM,
    colour: today.colour,
    sky: today.sky,
    tempC: today.waterTempC,
    wayM: null,
    seconds: null,
    pace: today.pace ?? null,
    wind: today.wind?.from ?? 'none',
    depths: [],
    seen: today.seen ?? [],
  });
  const set = (part: Partial<ReadingDraft>) => setDraft((d) => ({ ...d, ...part }));
  const setToes = (toes: LegMark | typeof DEEPER) =>
    set({ toes, atLeast: toes === DEEPER, seenM: legDepthM(toes === DEEPER ? 'hip' : toes, heightM) });
  return { draft, set, setToes };
}

/** The reading that a draft stands for, taken on this run now. */
export function readingOf(d: ReadingDraft, today: Reading, run: Run, channel: Channel): Reading {
  const speedMps = speedOf(d);
  const levelM = d.levelM ?? today.levelM;
  return {
    id: newId(),
    runId: run.id,
    at: Date.now(),
    levelM,
    visibilityM: d.seenM ?? today.visibilityM,
    atLeast: d.atLeast,
    colour: d.colour,
    speed: speedMps === null ? null : { surfaceMps: speedMps, ...mainCurrent(channel) },
    waterTempC: d.tempC,
    sky: d.sky,
    ...(d.pace && speedMps === null ? { pace: d.pace } : null),
    // What came from the gauge stays the gauge’s as long as it was not changed by hand.
    ...(today.levelFrom === 'gauge' && levelM === today.levelM ? { levelFrom: 'gauge' as const } : null),
    ...(today.flowM3s ? { flowM3s: today.flowM3s } : null),
    ...(d.depths.length > 0 ? { depths: d.depths } : null),
    ...(d.seen.length > 0 ? { seen: d.seen } : null),
    ...(d.wind === 'none' ? null : { wind: { from: d.wind, force: 'fresh' as const } }),
  };
}
