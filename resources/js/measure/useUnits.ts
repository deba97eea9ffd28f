import { useMe } from '@/people/useMe';
import { computed } from 'vue';
import { MM_PER_INCH } from './asTyped';

/** Shows lengths in the reader's units. Shows only: nothing is computed or kept in them. */
export function useUnits() {
  const { me } = useMe();
  const units = computed(() => me.value?.person?.units ?? 'mm');

  function length(mm: number, digits = 2, unit: 'mm' | 'in' = units.value): string {
    return unit === 'mm' ? `${trim(mm, digits)} mm` : `${rounded(mm / MM_PER_INCH, Math.max(3, digits + 1))} in`;
  }

  return { units, length };
}

function trim(value: number, digits: number): string {
  const text = rounded(value, digits);
  // Only what stands after a point may go: 30 is not 3.
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

/** A half goes away from zero, also where the machine's own fraction lies a hair below it: 1.5875 is 1.588. */
function rounded(value: number, digits: number): string {
  const text = (value + Math.sign(value) * 1e-9).toFixed(digits);
  return Number(text) === 0 ? text.replace('-', '') : text;
}
