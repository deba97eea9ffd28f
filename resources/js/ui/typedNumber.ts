/**
 * A number as it was typed, with a comma where others put a point. What is no number stays as it is: it is sent, and comes
 * back with what is wrong. Undefined for nothing.
 */
export function typedNumber(text: string): number | string | undefined {
  const plain = text.trim().replace(',', '.');
  if (plain === '') return undefined;
  return Number.isNaN(Number(plain)) ? plain : Number(plain);
}
