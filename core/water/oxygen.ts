/** Water vapour over water, atm (Benson & Krause 1984). */
const vapourAtm = (kelvin: number): number => Math.exp(11.8571 - 3840.7 / kelvin - 216_961 / kelvin ** 2);
/** How oxygen departs from an ideal gas (same). */
const theta = (c: number): number => 0.000975 - 1.426e-5 * c + 6.436e-8 * c * c;

/**
 * Oxygen that fresh water holds in air, mg/l (Benson & Krause 1984).
 *
 * @param tempC 0 to 40; @param pressureAtm of the air, 1 at sea level
 * @example oxygenMgL(10) // 11.288
 */
export function oxygenMgL(tempC: number, pressureAtm = 1): number {
  if (!(tempC >= 0 && tempC <= 40)) throw new RangeError('tempC: must be between 0 and 40');
  const k = tempC + 273.15;
  const sea = Math.exp(-139.34411 + 1.575701e5 / k - 6.642308e7 / k ** 2 + 1.2438e10 / k ** 3 - 8.621949e11 / k ** 4);
  const [p, pw, t] = [pressureAtm, vapourAtm(k), theta(tempC)];
  return (sea * p * (1 - pw / p) * (1 - t * p)) / ((1 - pw) * (1 - t));
}
