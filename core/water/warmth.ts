/**
 * Water temperatures from which on something is otherwise, °C, the coldest first. Common practice, no source, where none is named.
 */

/** Below it fish move little and slowly. */
export const COLD_C = 7;
/** From here on fish move freely; from cold water on they begin to. */
export const FREE_C = 9;
/** Below it one who wades is told that the water is cold. */
export const COLD_WADING_C = 10;
/** From so warm a water on fish come up to what wakes (handbook of the trade: the warmer the higher; the number assumed). */
export const COME_UP_C = 12;
/** Below it cold shock is a danger. */
export const COLD_SHOCK_C = 15;
/** From here on a low sun all day does not make the warmest hours the best. */
export const MILD_C = 15;
/** From here on fish lie where there is air in the water. */
export const WARM_C = 16;
/** From here on the cool hours only, and fish that swim off well may die (handbook of the trade; from memory). */
export const WARM_WATER_C = 18;
/** From here on nobody fishes: 68 °F; many agencies close near 22.8 °C (73 °F) (from memory). */
export const STOP_FISHING_C = 20;
