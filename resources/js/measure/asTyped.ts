export const MM_PER_INCH = 25.4;

/** A kept length as somebody would have typed it: `13 mm`, `1/32 in`, `0.001 in`; nothing for none. */
export function asTyped(mm: number | null | undefined, unit: 'mm' | 'in' = 'mm'): string {
  if (mm == null) return '';
  const plain = (value: number, digits: number) => value.toFixed(digits).replace(/\.?0+$/, '');
  if (unit === 'mm') return `${plain(mm, 4)} mm`;
  const sixtyFourths = (mm / MM_PER_INCH) * 64;
  if (Math.abs(sixtyFourths - Math.round(sixtyFourths)) > 1e-6) return `${plain(mm / MM_PER_INCH, 5)} in`;
  let [top, bottom] = [Math.round(sixtyFourths), 64];
  while (bottom > 1 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  const whole = Math.floor(top / bottom);
  const rest = top % bottom;
  if (rest === 0) return `${whole} in`;
  return `${whole > 0 ? `${whole}-` : ''}${rest}/${bottom} in`;
}
