/** A count with its noun. @example several(3, 'cast') // '3 casts' */
export const several = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

/** How many of ten, of a chance: never as certain, what it was worked out from is not. */
function tenths(chance: number): string {
  const n = Math.round(10 * chance);
  return n >= 10 ? 'more than 9' : n <= 0 ? 'less than 1' : `${n}`;
}
/** In how many of ten swings. @example ofTen(0.68) // '7 of 10' */
export const ofTen = (chance: number): string => `${tenths(chance)} of 10`;
/** @example inTen(0.68) // '7 in 10' */
export const inTen = (chance: number): string => `${tenths(chance)} in 10`;
/** From the least of some chances to the greatest. @example ofTens([0.7, 0.5]) // '5 to 7 of 10' */
export function ofTens(chances: readonly number[]): string {
  const [least, most] = [Math.min(...chances), Math.max(...chances)].map(tenths);
  return least === most ? `${most} of 10` : `${least} to ${most} of 10`;
}

/** How often in a hundred, of a chance: 1 to 99, never as certain. @example inHundred(0.997) // 99 */
export const inHundred = (chance: number): number => Math.max(1, Math.min(99, Math.round(100 * chance)));

/** A share in hundredths, never none and never all of what is only nearly so. @example percent(0.463) // '46 %' */
export const percent = (share: number): string => {
  const n = Math.round(100 * share);
  return `${share > 0 && n === 0 ? 1 : share < 1 && n === 100 ? 99 : n} %`;
};
