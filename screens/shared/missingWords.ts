/** What is said of a part of the program that is missing. A leaf: it is told where almost nothing has come. */
export const MISSING_WORDS = {
  newer: {
    title: 'New version ready',
    text: 'This part of the program was replaced by a newer one. Reloading the page brings you back to this place.',
  },
  away: {
    title: 'This part isn’t loaded yet',
    text: 'No signal, and this part was never loaded before. With a signal, wait for “Ready to use offline”; then everything works anywhere.',
  },
} as const;
