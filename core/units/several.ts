/** A count with its noun. @example several(3, 'cast') // '3 casts' */
export const several = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

/** In how many of ten, of a share. @example ofTen(0.68) // '7 of 10' */
export const ofTen = (share: number): string => `${Math.round(10 * share)} of 10`;
