/** Standard gravity, m/s² (3rd General Conference on Weights and Measures, 1901). */
export const G = 9.80665;
/** Density of fresh water that is reckoned with, kg/m³: within 0.2 % between 0 and 20 °C (Tanaka and others 2001). */
export const WATER_DENSITY = 1000;
