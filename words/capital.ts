/** Words as they begin a sentence. @example capital('no tip') // 'No tip' */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
