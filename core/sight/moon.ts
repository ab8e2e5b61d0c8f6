import { getMoonIllumination } from 'suncalc';

/** Quarters of the moon’s month, each about its middle. */
export const MOONS = ['new', 'waxing', 'full', 'waning'] as const;
export type Moon = (typeof MOONS)[number];

/** In which quarter of its month the moon is. @param at ms UTC @example moonOf(Date.UTC(2026, 0, 3, 10)) // 'full' */
export const moonOf = (at: number): Moon =>
  MOONS[Math.floor(4 * getMoonIllumination(new Date(at)).phase + 0.5) % MOONS.length]!;
