import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
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
    serve('POST /api/measure/size', { diameter_mm: 9.525, system: 'fraction', designation: '3/8' });
    const field = mountIn(SizeField, { modelValue: '3/8', label: 'Diameter' });
    expect(called('POST /api/measure/size')).toHaveLength(0);
    expect(await settled(field)).toContain('Understood: 3/8 = 9.525 mm = 0.3750 in');
    expect(called('POST /api/measure/size')[0]?.body).toEqual({ text: '3/8', default_unit: 'mm', stock: false });
  });

  it('is not said again in the unit in which it was typed', async () => {
    serve('POST /api/measure/size', { diameter_mm: 6.8, system: 'metric', designation: '6.8' });
    const words = await settled(mountIn(SizeField, { modelValue: '6.8', label: 'Diameter' }));
    expect(words).toContain('Understood: 6.8 mm = 0.2677 in');
    expect(words).not.toContain('6.8 = 6.8');
  });

  it('is refused beside the field, in the words of the core', async () => {
    serve('POST /api/measure/size', new Refusal(422, '"about so" is no size that is known here.'));
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
    expect(called('POST /api/measure/size')).toHaveLength(0);
  });

  it('takes a sign where a coordinate may lie on either side, and nowhere else', async () => {
    serve('POST /api/measure/size', { diameter_mm: 12, system: 'metric', designation: '12' });
    await settled(mountIn(SizeField, { modelValue: '-12', label: 'Across', signed: true }));
    await settled(mountIn(SizeField, { modelValue: '-12', label: 'Diameter' }));
    expect(called('POST /api/measure/size').map((call) => (call.body as { text: string }).text)).toEqual(['12', '-12']);
  });

  it('gives the fault of the form before its own', async () => {
    serve('POST /api/measure/size', { diameter_mm: 60, system: 'metric', designation: '60' });
    const field = mountIn(SizeField, { modelValue: '60', label: 'Diameter', error: 'Too wide for this plate.' });
    expect(await settled(field)).toContain('✕ Too wide for this plate.');
  });
});
