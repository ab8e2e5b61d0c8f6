/** A value held between two others. @example clamp(5, 0, 3) // 3 */
export const clamp = (v: number, least: number, most: number): number => Math.min(most, Math.max(least, v));

/** A value in so many parts of one. @example roundTo(2, 1.3) // 1.5 */
export const roundTo = (parts: number, v: number): number => Math.round(parts * v) / parts;
