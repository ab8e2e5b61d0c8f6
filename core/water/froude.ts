import { G } from '../units';

/** Froude number, U/√(g·h). @example froude(1, 1) // 0.319 */
export const froude = (speedMps: number, depthM: number): number => (depthM > 0 ? speedMps / Math.sqrt(G * depthM) : 0);

/** Pool below 0.18, run to 0.41, riffle above (Jowett 1993, from memory). */
export function froudeClass(f: number): 'pool' | 'run' | 'riffle' {
  return f < 0.18 ? 'pool' : f < 0.41 ? 'run' : 'riffle';
}
