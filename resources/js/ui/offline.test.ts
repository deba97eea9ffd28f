import { api, must } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { useQuery } from '@tanstack/vue-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h } from 'vue';
import ErrorNote from './ErrorNote.vue';
import PageState from './PageState.vue';
import { useAction } from './useAction';

const AWAY = () => {
  throw new TypeError('Failed to fetch');
};

describe('a server that is away', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    signedIn('instructor');
  });
  afterEach(() => vi.useRealTimers());

  it('is asked again as long as the page is open, and shows what it says once it is back', async () => {
    serve('GET /api/workshop/policy', AWAY);
    const page = mountIn(
      defineComponent(() => {
        const policy = useQuery({ queryKey: ['policy'], queryFn: () => must(api.GET('/api/workshop/policy')) });
        return () =>
          h(PageState, { data: policy.data.value, error: policy.error.value } as never, { default: () => 'there' });
      }),
      {},
    );
    for (let seconds = 20; seconds <= 60; seconds += 4) {
      await vi.advanceTimersByTimeAsync(seconds === 20 ? 20_000 : 4_000);
      expect(page.text()).toContain('tried again');
    }
    const before = called('GET /api/workshop/policy').length;
    await vi.advanceTimersByTimeAsync(60_000);
    expect(called('GET /api/workshop/policy').length).toBeGreaterThan(before);
    serve('GET /api/workshop/policy', { settings: {} });
    await vi.advanceTimersByTimeAsync(40_000);
    expect(page.text()).toBe('there');
    page.unmount();
  });

  it('is not said to be tried again where a person has to send anew', async () => {
    serve('PUT /api/workshop/policy', AWAY);
    let save: () => void = () => undefined;
    const page = mountIn(
      defineComponent(() => {
        const action = useAction(() => must(api.PUT('/api/workshop/policy', { body: { settings: {}, note: '' } })));
        save = () => {
          action.run(undefined);
        };
        return () => h(ErrorNote, { error: action.error.value });
      }),
      {},
    );
    save();
    await vi.advanceTimersByTimeAsync(30_000);
    await flushPromises();
    expect(page.text()).toContain('send it again');
    expect(page.text()).not.toContain('tried again');
    page.unmount();
  });
});
