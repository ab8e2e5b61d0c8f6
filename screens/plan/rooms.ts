/** How high the cards of a day are on a phone, about, px: what comes later pushes nothing away. */
export const [RIVER_PX, LIGHT_PX, TO_DO_PX] = [640, 470, 210];
