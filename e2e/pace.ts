/** How much slower this machine is than the one for which limits were set: measured once, as the journeys begin (playwright.config.ts). */
const PACE = Number(process.env.E2E_PACE ?? 1);

/** A limit that the application itself promises, ms, as long as it is on this machine. */
export const within = (ms: number): { readonly timeout: number } => ({ timeout: ms * PACE });
