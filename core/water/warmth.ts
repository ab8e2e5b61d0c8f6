/** Below it fish move little and slowly, °C (common practice, no source). */
export const COLD_C = 7;
