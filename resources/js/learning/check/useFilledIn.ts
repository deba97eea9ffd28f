import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';

/** Puts drawn values into a question's texts, lengths in the reader's units, numbers in their language. */
export function useFilledIn() {
  const { t } = useI18n();
  const { length, number } = useUnits();

  /** A figure with its unit. */
  const figure = (value: number, unit: string | null) =>
    unit === 'mm'
      ? length(value)
      : t(`check.unit.${unit ?? 'count'}`, { value: number(value, unit === 'rpm' ? 0 : 2) });

  /** `{diameter_mm}` and `{diameter_mm} mm` are the same length, `{travel_mm!}` stays in mm; `{answer}` is what was wanted. */
  function filledIn(
    text: string,
    values: Record<string, number>,
    answer?: number | null,
    unit?: string | null,
  ): string {
    return text.replace(/\{(\w+)(!?)\}(?: mm| rpm)?/g, (whole, name: string, asIs: string) => {
      if (name === 'answer') return answer == null ? whole : figure(answer, unit ?? null);
      const value = values[name];
      if (value === undefined) return whole;
      if (name.endsWith('_mm')) return asIs ? `${number(value)}${whole.endsWith(' mm') ? ' mm' : ''}` : length(value);
      return whole.endsWith(' rpm') ? `${number(value)} rpm` : number(value);
    });
  }

  return { filledIn, figure };
}
