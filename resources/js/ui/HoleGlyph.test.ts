import { mountIn } from '@/test/mountIn';
import { describe, expect, it } from 'vitest';
import HoleGlyph from './HoleGlyph.vue';

const names = ['blank', 'scribed', 'punched', 'piloted', 'drilled', 'tapped'];
const shape = (props: object) =>
  mountIn(HoleGlyph, props)
    .html()
    .replace(/id="[^"]*"|url\([^)]*\)|<title>.*?<\/title>|aria-label="[^"]*"/g, '');

describe('the hole pictogram', () => {
  it.each(names.map((name, stage) => ({ name, stage })))('says $name to a screen reader', ({ name, stage }) => {
    expect(mountIn(HoleGlyph, { stage }).attributes('aria-label')).toBe(`${name}, ${stage} of 5`);
  });

  it('tells all six stages apart by shape, without colour', () => {
    const shapes = names.map((_, stage) => shape({ stage }));
    expect(new Set(shapes).size).toBe(6);
    for (const html of shapes) expect(html).not.toMatch(/var\(--(alone|no|supervised)/);
  });

  it('plugs the hole with a pin when held, and breaks the outline when lapsed', () => {
    expect(shape({ stage: 5, held: true })).not.toBe(shape({ stage: 5 }));
    expect(mountIn(HoleGlyph, { stage: 4, lapsed: 'recency' }).find('g').attributes('stroke-dasharray')).toBeTruthy();
    expect(mountIn(HoleGlyph, { stage: 4 }).find('g').attributes('stroke-dasharray')).toBeUndefined();
    expect(mountIn(HoleGlyph, { stage: 5, held: true }).attributes('aria-label')).toBe('tapped, 5 of 5, held');
    expect(mountIn(HoleGlyph, { stage: 4, lapsed: 'expired' }).attributes('aria-label')).toBe(
      'drilled, 4 of 5, lapsed',
    );
  });

  it('has a hatch of its own, so that many stand on one page', () => {
    const ids = [1, 2, 3].map(() => mountIn(HoleGlyph, { stage: 3 }).find('pattern').attributes('id'));
    expect(ids.every(Boolean)).toBe(true);
  });

  it('is as large as asked', () => {
    expect(mountIn(HoleGlyph, { stage: 2, size: 20 }).attributes('width')).toBe('20');
  });
});
