import { describe, expect, it } from 'vitest';
import { withUnit } from './withUnit';

describe('a bare number, when the units change', () => {
  it.each([
    ['8', '8 mm'],
    ['8.5', '8.5 mm'],
    ['8,5', '8,5 mm'],
    [' 12 ', ' 12 mm'],
    ['.5', '.5 mm'],
    ['-3', '-3 mm'],
    ['10 H7', '10 mm H7'],
  ])('%j keeps the unit it was typed in', (typed, kept) => {
    expect(withUnit(typed, 'mm')).toBe(kept);
  });

  it.each(['', '3/8', '#7', 'F', '6.8 mm', '0.25 in', '15 thou', '1-1/4', 'M8', 'about so', '#8-32'])(
    '%j says what it is, and stays',
    (typed) => {
      expect(withUnit(typed, 'in')).toBe(typed);
    },
  );

  it('goes through a list of points', () => {
    expect(withUnit('10; 20\n30 mm; 4', 'in')).toBe('10 in; 20 in\n30 mm; 4 in');
  });
});
