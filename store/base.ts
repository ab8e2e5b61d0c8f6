/** The path below which the program is served, "" at the root of a host; set as it is built (scripts/build.mjs). */
export const BASE = process.env.EXPO_BASE_URL ?? '';
