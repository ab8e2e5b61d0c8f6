/** What is said of a part of the program that is missing. A leaf: it is told where almost nothing has come. */
export const MISSING_WORDS = {
  newer: {
    title: 'A new version is here',
    text: 'This part of the program was replaced by a newer one. Opening the page anew brings you back to this place.',
  },
  away: {
    title: 'This part is not here yet',
    text: 'There is no signal, and it had not been loaded before. Where there is a signal, wait for “Ready for no signal.”; from then on all of it works anywhere.',
  },
} as const;
