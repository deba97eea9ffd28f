import { describe, expect, it } from 'vitest';
import { asTyped } from './asTyped';

describe('a kept length as it would be typed', () => {
  it.each([
    [13, 'mm', '13 mm'],
    [0.5, 'mm', '0.5 mm'],
    [100, 'mm', '100 mm'],
    [0.79375, 'in', '1/32 in'],
    [76.2, 'in', '3 in'],
    [34.925, 'in', '1-3/8 in'],
    [0.0254, 'in', '0.001 in'],
    [254, 'in', '10 in'],
    [null, 'mm', ''],
  ] as const)('says %s in %s as %s', (mm, unit, words) => expect(asTyped(mm, unit)).toBe(words));
});
