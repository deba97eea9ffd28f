import { api, must } from './client';
import { queryClient } from './queries';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';

export type Role = 'learner' | 'instructor' | 'lead' | 'auditor';

export const meQuery = {
  queryKey: ['me'],
  queryFn: () => must(api.GET('/api/people/me')),
  staleTime: 10_000,
};

/** Who is signed in on this device. */
export function useMe() {
  const { data: me } = useQuery(meQuery, queryClient);
  const person = computed(() => me.value?.person ?? null);
  const teaches = computed(() => person.value?.role === 'lead' || person.value?.role === 'instructor');
  const audits = computed(() => person.value?.role === 'lead' || person.value?.role === 'auditor');
  const leads = computed(() => person.value?.role === 'lead');
  return { me, person, teaches, leads, audits };
}
