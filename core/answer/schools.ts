import { likestOf, type Quarry } from '../lies';
import { MIGRANTS } from '../lies/suitability'; // not the barrel: this weighs on the first look

/** The questions on which good anglers disagree, each with its schools (handbook of the trade; common practice, no source). */
export const SCHOOLS = {
  depth: ['near the bed', 'upper to middle'],
  hours: ['ends of the day', 'warmest hours', 'all day under cloud'],
  mends: ['mend for depth', 'one and a step', 'keep it straight', 'set once'],
  bow: ['mend it out', 'use it'],
  motion: ['let it swing', 'small regular pulses', 'keep it animated'],
  hang: ['give it time', 'keep it moving'],
  colour: ['contrast', 'light match', 'naturals'],
  murkSize: ['bigger', 'size hardly matters'],
  murkPlace: ['to the margins', 'out and feeding'],
  tip: ['lighten for the soft edge', 'one dense line kept moving'],
  tippet: ['strong', 'finer'],
  shot: ['at the fly', 'above the fly'],
  twoFlies: ['heavier on the point', 'larger on the dropper', 'weighted above'],
  search: ['search', 'stay and vary'],
  distance: ['short and sure', 'far'],
  lineHand: ['a loop to give', 'straight to the reel'],
} as const;

export type SchoolName = keyof typeof SCHOOLS;
export const SCHOOL_NAMES = Object.keys(SCHOOLS) as SchoolName[];
export type Schools = { readonly [K in SchoolName]: (typeof SCHOOLS)[K][number] };

/** Of what was chosen what is known here: an answer of another version of the program is left out. */
export const known = (chosen: Readonly<Record<string, string>>): Partial<Schools> =>
  Object.fromEntries(
    Object.entries(chosen).filter(
      ([n, v]) => Object.hasOwn(SCHOOLS, n) && (SCHOOLS[n as SchoolName] as readonly string[]).includes(v),
    ),
  );

/** What the settings say: two of the questions have a setting of their own. */
export const chosenSchools = (settings: {
  readonly schools?: Readonly<Record<string, string>>;
  readonly school: Schools['depth'];
  readonly flood?: Schools['murkPlace'];
}): Partial<Schools> => ({
  ...known(settings.schools ?? {}),
  depth: settings.school,
  ...(settings.flood ? { murkPlace: settings.flood } : null),
});

/** What of the day and water a default hangs on. */
export interface SchoolDay {
  readonly quarry: Quarry;
  readonly cold: boolean;
  readonly dirty: boolean;
  readonly bright: boolean;
  readonly wood: boolean;
}

/** What each question is answered with where the angler has not chosen (choices; common practice, no source). */
export function usualSchools({ quarry, cold, dirty, bright, wood }: SchoolDay): Schools {
  const migrant = MIGRANTS.has(quarry);
  return {
    depth: 'near the bed',
    hours: cold ? 'warmest hours' : bright ? 'ends of the day' : 'all day under cloud',
    mends: 'mend for depth',
    bow: 'mend it out',
    motion: migrant
      ? 'let it swing'
      : likestOf(quarry) === 'rainbow trout'
        ? 'small regular pulses'
        : 'keep it animated',
    hang: migrant || cold ? 'give it time' : 'keep it moving',
    colour: 'contrast',
    murkSize: 'bigger',
    murkPlace: 'to the margins',
    tip: 'lighten for the soft edge',
    tippet: migrant || wood || dirty ? 'strong' : 'finer',
    shot: 'above the fly',
    twoFlies: 'heavier on the point',
    search: 'search',
    distance: 'short and sure',
    lineHand: migrant ? 'a loop to give' : 'straight to the reel',
  };
}
