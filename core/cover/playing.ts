import { headSinks, type Rig } from '../tackle';
import { type Feature, FEATURES } from '../water';

/** A fish on runs this far without trouble, m (assumed). */
const RUNS_M = 15;

/** What to mind with a fish on. */
export interface Playing {
  /** Wood near by, and how far off, m; null: none that it could run to. */
  readonly wood: { readonly kind: Feature['kind']; readonly awayM: number } | null;
  readonly sinkingLine: boolean;
  /** A second hook hangs free. */
  readonly freeHook: boolean;
}

/** What of the run and the rig is in the way with a fish on: wood near by, a line that sinks, a free hook. */
export function playingAt(
  rig: Pick<Rig, 'droppers' | 'head' | 'tip'>,
  at: { readonly xM: number; readonly yM: number },
  features: readonly Feature[],
): Playing {
  const [wood] = features
    .filter((f) => FEATURES[f.kind].hinders)
    .map((f) => ({ kind: f.kind, awayM: Math.hypot(f.xM - at.xM, f.yM - at.yM) - f.lengthM / 2 }))
    .filter((w) => w.awayM < RUNS_M)
    .sort((a, b) => a.awayM - b.awayM);
  return {
    wood: wood ?? null,
    sinkingLine: rig.tip !== null || headSinks(rig.head),
    freeHook: rig.droppers.length > 0,
  };
}
