import { api, must, type Schemas } from './client';
import { queryClient } from './queries';
import { CancelledError, useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';

export type Role = 'learner' | 'instructor' | 'lead' | 'auditor';

export const meQuery = {
  queryKey: ['me'],
  queryFn: () => must(api.GET('/api/people/me')),
  staleTime: 10_000,
};

/**
 * Who is signed in, asked anew where what is known may be old or `fresh` wants it so. A question that joined one under way
 * is cut off when everything is read again meanwhile; that says nothing about who it is, so it is put once more.
 * @throws Refused|Unreachable
 */
export async function askMe(fresh = false): Promise<Schemas['Me']> {
  for (;;) {
    try {
      return await queryClient.fetchQuery(fresh ? { ...meQuery, staleTime: 0 } : meQuery);
    } catch (error) {
      if (!(error instanceof CancelledError)) throw error;
    }
  }
}

/** Who is signed in on this device. */
export function useMe() {
  const { data: me } = useQuery(meQuery, queryClient);
  const person = computed(() => me.value?.person ?? null);
  const teaches = computed(() => person.value?.role === 'lead' || person.value?.role === 'instructor');
  const audits = computed(() => person.value?.role === 'lead' || person.value?.role === 'auditor');
  const leads = computed(() => person.value?.role === 'lead');
  return { me, person, teaches, leads, audits };
}
