import { api, must } from '@/api/client';
import { useMe } from '@/api/useMe';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';

const REFRESH_MS = 30_000;

/** How many learners stand at a machine and wait for whoever teaches; read again as soon as the shop changes, and now and then. */
export function useWaiting() {
  const { teaches } = useMe();
  const { data } = useQuery({
    queryKey: ['waiting'],
    queryFn: () => must(api.GET('/api/records/waiting')),
    enabled: teaches,
    refetchInterval: REFRESH_MS,
  });
  const look = computed(() => (teaches.value ? (data.value?.look ?? 0) : 0));
  return { look };
}
