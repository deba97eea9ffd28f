import { idleSeconds, touch } from '@/api/client';
import { mountIn } from '@/test/mountIn';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import LeftAlone from './LeftAlone.vue';

beforeEach(() => {
  vi.useFakeTimers();
  touch();
});
afterEach(() => vi.useRealTimers());

describe('a shared tablet', () => {
  it('warns half a minute before, stays when touched, and leaves once when not', async () => {
    const page = mountIn(LeftAlone, { minutes: 1 });
    vi.advanceTimersByTime(29_000);
    await nextTick();
    expect(page.find('[role=alert]').exists()).toBe(false);
    vi.advanceTimersByTime(6_000);
    await nextTick();
    expect(page.text()).toContain('25 seconds');
    await page.find('button').trigger('click');
    expect(page.find('[role=alert]').exists()).toBe(false);
    expect(idleSeconds()).toBe(0);
    vi.advanceTimersByTime(59_000);
    window.dispatchEvent(new Event('pointerdown'));
    vi.advanceTimersByTime(59_000);
    expect(page.emitted('leave')).toBeUndefined();
    vi.advanceTimersByTime(10_000);
    expect(page.emitted('leave')).toHaveLength(1);
  });
});
