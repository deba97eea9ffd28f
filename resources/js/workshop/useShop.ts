import { api, must } from '@/api/client';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';

/** What the shop has: machines, cribs and materials, read once and shared by all that ask. */
export function useShop() {
  const machines = useQuery({ queryKey: ['machines'], queryFn: () => must(api.GET('/api/workshop/machines')) });
  const cribs = useQuery({ queryKey: ['cribs'], queryFn: () => must(api.GET('/api/workshop/cribs')) });
  const materials = useQuery({ queryKey: ['materials'], queryFn: () => must(api.GET('/api/workshop/materials')) });

  /** Machines that turn something, and so can be planned for. */
  const turning = computed(
    () => machines.data.value?.filter((machine) => machine.speeds_rpm !== null || machine.min_rpm !== null) ?? [],
  );
  return { machines, cribs, materials, turning };
}
