/** Letters as they are typed in a hurry: without accents and in lower case. */
const plain = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase();

/** Whether every word that was typed stands somewhere in what is known of a thing. */
export function finds(typed: string, ...texts: (string | null | undefined)[]): boolean {
  const known = plain(texts.filter(Boolean).join(' '));
  return plain(typed)
    .split(/\s+/)
    .every((word) => known.includes(word));
}
