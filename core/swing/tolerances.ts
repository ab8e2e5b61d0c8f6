/** How the chain is solved: what is let go by, where a kink is rounded, when a step is shorter or longer. What is physics stands with
 * what it acts on; how fine the line is cut in cut.ts. docs/swing.md tells what each is worth. */

// Stiffness of line and bed, and where they are rounded.
/** Stiff enough for strains of a few per mille in ordinary swings, N; more where the pull is more than ordinary: aimed at this strain. */
export const EA_N = 500;
export const MOST_STRAIN = 0.002;
/** Pull over which a link goes from slack to pulling, N. */
export const SMOOTH_N = 0.05;
/** Stiffness of the bed a node, N/m, for each newton of EA; it takes hold over so much, m. */
export const BED_SHARE = 0.1;
export const BED_SKIN = 0.002;
/** Line that may not leave the surface, N/m a metre. */
export const HELD_STIFFNESS = 60;
/** Over so much height above the surface line changes from weight to buoyancy, so deep it hangs where surface tension is fully used,
 * and deeper than that the surface has closed over it, m; rounded further to so much of what places are found to. */
export const SKIN = 0.006;
export const MENISCUS = 0.004;
export const CLOSES = 0.015;
export const BLUR = 0.7;

// Newton.
/** Share of a stretched spring's tension below which a link's own is not let; share of it that a link keeps in one Newton step. */
export const LEAST_OF_LAW = 0.1;
export const LEAST_PULL = 0.1;
/** Keeps roots and quotients finite. */
export const TINY = 1e-20;
/** Of what is accepted: estimate of the moves still to come that may be left out. */
export const LEFT = 0.3;
/** Largest move of one node in one Newton step, m. */
export const MOVE_CAP = 0.3;
export const MAX_NEWTON = 12;

// Steps.
export const FIRST_STEP_S = 0.005;
export const MIN_STEP_S = 1e-4;
/** A line that hangs changes little: steps may be longer. */
export const HANGING_STEP_S = 4;
/** They grow by this after three iterations or fewer, and stay below what failed for so many. */
export const GROW = 1.5;
export const CAREFUL_STEPS = 10;
/** Steps that end with more strain or further under the bed than this are taken again in smaller ones, unless they are as short. */
export const ROUGH_STRAIN = 0.003;
export const ROUGH_BED_M = 0.005;
export const ROUGH_STEP_S = 0.004;
/** A coarse chain may be so many times rougher. */
export const MOST_TOLERANT = 5;
