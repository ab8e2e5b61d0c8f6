/** A count with its noun. @example several(3, 'cast') // '3 casts' */
export const several = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;
