/** Exact by international definition. */
export const FOOT_M = 0.3048;
export const INCH_M = 0.0254;
export const GRAIN_KG = 64.79891e-6;
export const POUND_KG = 0.45359237;
/** Cubic foot in m³, derived from the foot. */
export const CUBIC_FOOT_M3 = FOOT_M ** 3;
