import { QueryClient } from '@tanstack/vue-query';
import { Unreachable } from './client';

const RETRIES = 4;

/** Only a server that could not be reached is asked again; a refusal is an answer. */
const retry = (failures: number, error: Error) => error instanceof Unreachable && failures < RETRIES;

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { retry, staleTime: 2_000, networkMode: 'always' },
    mutations: { retry, networkMode: 'always' },
  },
});
