import { type LatLon, toLatLon } from '@/formats/geo';
import { seeded } from '@/core/maths';
import type { Run } from '@/core/water';
import { WATERS } from './waters';
import { MINUTE_MS } from '@/core/units';

/** What a device says of where it is. */
interface Fix extends LatLon {
  readonly accuracyM: number;
}

/** How far a simulated fix is off, m. */
const OFF_M = 2;
/** The walker’s stands are so far off the planned ones, m down the run. */
const STRAYS_M = 3;

export const isDemoWater = (waterId: string): boolean => WATERS.some((w) => w.id === waterId);

/** A stand-in for a phone’s positioning on the demo’s rivers, which are nowhere: a walker who strays a little down from where one
 * meant to stand, and a fix that is a metre or two off. The same place and minute give the same fix. */
export function walkerAt(
  run: Pick<Run, 'bank' | 'bearingDeg'>,
  origin: LatLon,
  meant: { readonly xM: number; readonly yM: number },
  now: number,
): Fix {
  const rand = seeded(Math.floor(now / MINUTE_MS) + Math.round(10 * meant.xM));
  const off = () => OFF_M * (2 * rand() - 1);
  return { ...toLatLon(run, origin, meant.xM + STRAYS_M + off(), meant.yM + off()), accuracyM: 2 * OFF_M };
}
