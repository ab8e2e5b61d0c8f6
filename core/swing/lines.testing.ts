import { buoyantWeight, sinkingWeight } from '../tackle';
import { INCH_M } from '../units';
import type { Body, LineSection } from './types';

/** Lines and flies of the study that the swing is held against. */
export const TIP_M = 3.048; // 10 ft
export const sink = (ips: number, lengthM = TIP_M, diameterM = 1e-3): LineSection => ({
  ...{ kind: 'sink', lengthM, diameterM, weightNpm: sinkingWeight(ips * INCH_M, diameterM) },
});
export const float = (lengthM: number): LineSection => ({
  ...{ kind: 'float', lengthM, diameterM: 1.28e-3, weightNpm: buoyantWeight(0.88, 1.28e-3) },
});
export const leader = (lengthM = 1.2, diameterM = 0.25e-3): LineSection => ({
  ...{ kind: 'leader', lengthM, diameterM, weightNpm: buoyantWeight(1.14, diameterM) },
});
/** A bulky streamer without weight. */
export const bulky: Body = { fromEndM: 0, massInWaterKg: 0.2e-3, massKg: 0.4e-3, dragAreaM2: 2e-4 };
