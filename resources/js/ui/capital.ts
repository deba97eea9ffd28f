/** The same words beginning with a capital, as a heading or a row has them. */
export const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
