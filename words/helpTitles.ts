/** Titles of the help pages; what they say comes once one is opened (help.ts). */
export const HELP_TITLES = {
  lies: 'Where fish hold',
  water: 'The water today',
  answer: 'How the rig is chosen',
  swing: 'The simulated swing',
  fishing: 'The cast plan',
  colour: 'The colour forecast',
  sight: 'What a fish sees',
  bag: 'Words for tackle',
  rates: 'How rates are compared',
} as const;
export type HelpPage = keyof typeof HELP_TITLES;
