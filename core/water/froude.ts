import { G } from '../units';

/** Froude number, U/√(g·h). @example froude(1, 1) // 0.319 */
export const froude = (speedMps: number, depthM: number): number => (depthM > 0 ? speedMps / Math.sqrt(G * depthM) : 0);
