import { QueryClient } from '@tanstack/vue-query';
import { Unreachable } from './client';

const RETRIES = 4;

/** What could not be read is asked for again as long as its page is open. */
const AGAIN_MS = 5_000;

/** Only a server that could not be reached is asked again; a refusal is an answer. */
const retry = (failures: number, error: Error) => error instanceof Unreachable && failures < RETRIES;

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      retry,
      staleTime: 2_000,
      networkMode: 'always',
      refetchInterval: (query) => (query.state.error instanceof Unreachable ? AGAIN_MS : false),
    },
    mutations: { retry, networkMode: 'always' },
  },
});
