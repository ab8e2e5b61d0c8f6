/** Four in five of what is normally distributed lie within so many standard deviations: Φ⁻¹(0.9). */
export const FOUR_IN_FIVE = 1.2816;
