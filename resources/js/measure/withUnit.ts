/** `8` that was typed in millimetres becomes `8 mm`; what names its unit, or needs none, stays as it is. */
export function withUnit(text: string, unit: 'mm' | 'in'): string {
  return text
    .split(/(\s*[;\n]\s*)/)
    .map((part) =>
      part.replace(
        /^(\s*[-+]?(?:\d+(?:[.,]\d*)?|[.,]\d+))(\s*|\s+[A-Za-z]\d{1,2}\s*)$/,
        (_all, number: string, rest: string) => `${number} ${unit}${rest.trim() === '' ? '' : ` ${rest.trim()}`}`,
      ),
    )
    .join('');
}
