import { mountIn, signedIn } from '@/test/mountIn';
import { called, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h } from 'vue';
import SizeField from './SizeField.vue';

async function settled(field: ReturnType<typeof mountIn>) {
  await vi.advanceTimersByTimeAsync(300);
  await flushPromises();
  await vi.advanceTimersByTimeAsync(50);
  return field.text();
}

describe('a size as it is typed', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    signedIn('learner', 'mm');
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('is said back in both units, once the typing rests', async () => {
    serve('POST /api/measure/sizes', [{ diameter_mm: 9.525, system: 'fraction', designation: '3/8' }]);
    const field = mountIn(SizeField, { modelValue: '3/8', label: 'Diameter' });
    expect(called('POST /api/measure/sizes')).toHaveLength(0);
    expect(await settled(field)).toContain('Understood: 3/8 = 9.525 mm = 0.3750 in');
    expect(called('POST /api/measure/sizes')[0]?.body).toEqual({
      default_unit: 'mm',
      sizes: [{ text: '3/8', as: 'length' }],
    });
  });

  it('is not said again in the unit in which it was typed', async () => {
    serve('POST /api/measure/sizes', [{ diameter_mm: 6.8, system: 'metric', designation: '6.8' }]);
    const words = await settled(mountIn(SizeField, { modelValue: '6.8', label: 'Diameter' }));
    expect(words).toContain('Understood: 6.8 mm = 0.2677 in');
    expect(words).not.toContain('6.8 = 6.8');
  });

  it('is refused beside the field, in the words of the core', async () => {
    serve('POST /api/measure/sizes', [{ fault: '"about so" is no size that is known here.' }]);
    const field = mountIn(SizeField, { modelValue: 'about so', label: 'Diameter' });
    expect(await settled(field)).toContain('is no size that is known here');
    expect(field.find('[role=alert]').exists()).toBe(true);
    expect(field.find('input').attributes('aria-invalid')).toBe('true');
    expect((field.find('input').element as HTMLInputElement).value).toBe('about so');
  });

  it('asks nothing where nothing is typed, nor for nought', async () => {
    for (const text of ['', '  ', '0', '0,0']) {
      const field = mountIn(SizeField, { modelValue: text, label: 'Offset' });
      expect(await settled(field)).toBe('Offset');
    }
    expect(called('POST /api/measure/sizes')).toHaveLength(0);
  });

  it('takes a sign where a coordinate may lie on either side, and nowhere else', async () => {
    serve('POST /api/measure/sizes', [{ diameter_mm: 12, system: 'metric', designation: '12' }]);
    await settled(mountIn(SizeField, { modelValue: '-12', label: 'Across', signed: true }));
    await settled(mountIn(SizeField, { modelValue: '-12', label: 'Diameter' }));
    expect(
      called('POST /api/measure/sizes').map((call) => (call.body as { sizes: { text: string }[] }).sizes[0]?.text),
    ).toEqual(['12', '-12']);
  });

  it('is asked for in one call with the others of its page, each once, and each gets its own answer', async () => {
    serve('POST /api/measure/sizes', [
      { diameter_mm: 8, system: 'metric', designation: '8', fit: 'H7', lower_mm: 8, upper_mm: 8.015 },
      { diameter_mm: 8, system: 'thread', designation: 'M8x1.25', pitch_mm: 1.25 },
      { fault: 'Write which.' },
    ]);
    const page = mountIn(
      defineComponent(() => () => [
        h(SizeField, { modelValue: '8 H7', label: 'Hole', as: 'hole' }),
        h(SizeField, { modelValue: 'M8', label: 'Thread', as: 'thread' }),
        h(SizeField, { modelValue: '8', label: 'Fastener', as: 'thread' }),
        h(SizeField, { modelValue: '8 H7', label: 'Again', as: 'hole' }),
      ]),
      {},
    );
    const words = await settled(page);
    expect(called('POST /api/measure/sizes').map((call) => call.body)).toEqual([
      {
        default_unit: 'mm',
        sizes: [
          { text: '8 H7', as: 'hole' },
          { text: 'M8', as: 'thread' },
          { text: '8', as: 'thread' },
        ],
      },
    ]);
    expect(words.match(/Understood: 8 H7, from 8 mm to 8.015 mm/g)).toHaveLength(2);
    expect(words).toContain('Understood: M8x1.25, 8 mm across, pitch 1.25 mm');
    expect(words).toContain('✕ Write which.');
  });

  it('gives the fault of the form before its own', async () => {
    serve('POST /api/measure/sizes', [{ diameter_mm: 60, system: 'metric', designation: '60' }]);
    const field = mountIn(SizeField, { modelValue: '60', label: 'Diameter', error: 'Too wide for this plate.' });
    expect(await settled(field)).toContain('✕ Too wide for this plate.');
  });
});
