import { formatLocale } from '@/i18n';
import { useMe } from '@/api/useMe';
import { computed } from 'vue';
import { MM_PER_INCH } from './asTyped';

/** Shows lengths in the reader's units and numbers in the reader's language. Shows only: nothing is computed or kept. */
export function useUnits() {
  const { me } = useMe();
  const units = computed(() => me.value?.person?.units ?? 'mm');

  function length(mm: number, digits = 2, unit: 'mm' | 'in' = units.value): string {
    return unit === 'mm'
      ? `${number(mm, digits)} mm`
      : `${rounded(mm / MM_PER_INCH, Math.max(3, digits + 1), true)} in`;
  }

  /** As many decimals as it has, at most `digits`. */
  function number(value: number, digits = 3): string {
    return rounded(value, digits, false);
  }

  /** Cutting speed: metres or feet a minute. */
  function surfaceSpeed(metresAMinute: number, unit: 'mm' | 'in' = units.value): string {
    return unit === 'mm'
      ? `${number(metresAMinute, 1)} m/min`
      : `${number((metresAMinute * 1000) / MM_PER_INCH / 12, 0)} ft/min`;
  }

  return { units, length, number, surfaceSpeed };
}

/** A half goes away from zero, also where the machine's own fraction lies a hair below it: 1.5875 is 1.588. */
function rounded(value: number, digits: number, padded: boolean): string {
  const nudged = value + Math.sign(value) * 1e-9;
  const text = new Intl.NumberFormat(formatLocale(), {
    maximumFractionDigits: digits,
    minimumFractionDigits: padded ? digits : 0,
    useGrouping: false,
    signDisplay: 'negative',
  }).format(nudged);
  return text;
}
