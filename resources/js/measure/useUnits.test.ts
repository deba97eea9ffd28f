import { mountIn, signedIn } from '@/test/mountIn';
import { describe, expect, it } from 'vitest';
import { defineComponent, h } from 'vue';
import { useUnits } from './useUnits';

function shown(mm: number, units: 'mm' | 'in', digits?: number): string {
  signedIn('learner', units);
  const probe = defineComponent({
    setup: () => {
      const { length } = useUnits();
      return () => h('p', length(mm, digits));
    },
  });
  return mountIn(probe, {}).text();
}

describe("lengths in the reader's units", () => {
  it.each([
    [9, 2, '9 mm'],
    [9.525, 2, '9.53 mm'],
    [2.7, 1, '2.7 mm'],
    [2.04, 1, '2 mm'],
    [0, 2, '0 mm'],
    [-0.08, 2, '-0.08 mm'],
    [100, 1, '100 mm'],
    [30, 0, '30 mm'],
    [1000, 0, '1000 mm'],
    [0.4, 0, '0 mm'],
    [1.5875, 3, '1.588 mm'],
    [-1.5875, 3, '-1.588 mm'],
    [-1e-12, 2, '0 mm'],
  ])('shows %d to %d digits as %s', (mm, digits, words) => expect(shown(mm, 'mm', digits)).toBe(words));

  it.each([
    [9.525, 2, '0.375 in'],
    [25.4, 1, '1.000 in'],
    [0.0254, 3, '0.0010 in'],
  ])('shows %d to %d digits in inches as %s', (mm, digits, words) => expect(shown(mm, 'in', digits)).toBe(words));
});
