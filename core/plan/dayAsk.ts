import type { Breach } from '../rules';
import type { FishingWindow } from './hours';
import type { Span } from './spans';

export type Stop =
  | { readonly kind: 'run'; readonly runId: string; readonly minutes: number }
  | { readonly kind: 'break'; readonly minutes: number };

/** A run that may be fished that day. */
export interface RunToFish {
  readonly runId: string;
  readonly name: string;
  /** What it takes to cover, minutes. */
  readonly minutes: number;
  /** How it suits a moment beside the others, more is better: shade, wind, light (suits.ts). */
  readonly suits: (at: number) => number;
  /** How far down the river it lies, m, from wherever the water’s runs are measured; null: not said. */
  readonly downM: number | null;
  /** Why it may not be fished, or null. */
  readonly barred: Breach | null;
}

export interface DayAsk {
  /** First moment of the local day, ms UTC. */
  readonly dayStart: number;
  /** Nobody can leave before: now, where the day is today. */
  readonly notBefore: number;
  /** Hours to fish, in their order. */
  readonly windows: readonly FishingWindow[];
  readonly driveMin: number;
  /** From the road to the first run and back, and between runs of which it is not said where they lie. */
  readonly walkMin: number;
  readonly runs: readonly RunToFish[];
  /** When the dam above releases water. */
  readonly releases: readonly Span[];
  readonly lastLightAt: number | null;
  /** When one wants to be home again, ms UTC; null: when it is dark. */
  readonly backBy: number | null;
  /** The dusk is what one is out for; else one is back at the road half an hour before dark. */
  readonly dusk: boolean;
  /** Hours that reach beyond it end at their best, with the dusk; null: none do. */
  readonly sunsetAt: number | null;
  /** Rain foretold between two moments, mm; null: not known. */
  readonly rainMm: ((from: number, to: number) => number) | null;
}
