import type { FlumeCast } from '@/core/practice';
import { flumeCase } from '@/core/practice/curve';
import type { SwingCase } from '@/core/swing';
import { FOOT_M, INCH_M } from '@/core/units';

const SETTINGS: readonly FlumeCast[] = [
  {},
  { u: 0.5 },
  { u: 1.3, angleDeg: 60 },
  { rateMps: 3 * INCH_M },
  { rateMps: 5 * INCH_M, tipM: 15 * FOOT_M, outM: 22 },
  { angleDeg: 45 },
  { slackM: 2, angleDeg: 90 },
  { fly: 'leadEye', depthM: 1 },
  { rod: 'follow', u: 0.7 },
];

/** A spread of eighteen swings: nine settings, clean line and dirty. */
export const SPREAD: readonly SwingCase[] = (['clean', 'free'] as const).flatMap((floatRule) =>
  SETTINGS.map((o) => flumeCase({ ...o, floatRule })),
);
