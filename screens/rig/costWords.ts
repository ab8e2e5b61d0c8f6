/** What a change costs at the river, in words. */
export function costWords(s: number): string {
  if (s < 10) return 'with the next cast';
  if (s < 60) return 'a few steps';
  const minutes = Math.round(s / 60);
  return minutes <= 1 ? 'about a minute' : `about ${minutes} minutes`;
}
