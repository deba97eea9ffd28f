import { api, must } from '@/api/client';
import { useQuery } from '@tanstack/vue-query';
import { useLocalStorage } from '@vueuse/core';
import { computed, toValue, type MaybeRefOrGetter } from 'vue';

const KINDS: Record<string, string[]> = {
  length: ['caliper', 'depth', 'micrometer', 'rule', 'square'],
  place: ['caliper', 'rule', 'pins'],
  plug: ['plug', 'pins'],
  thread: ['thread'],
};

/** The gauges that fit what is measured, and the one that lies beside this tablet: chosen once, kept for each way of measuring. */
export function useGauges(asks: MaybeRefOrGetter<string>) {
  const gauges = useQuery({
    queryKey: ['gauges'],
    queryFn: () => must(api.GET('/api/workshop/gauges')),
    staleTime: 60_000,
  });
  const kept = useLocalStorage<Record<string, string>>('millstep.gauges', {});
  const fitting = computed(() =>
    (gauges.data.value ?? []).filter((gauge) => !gauge.retired && KINDS[toValue(asks)]?.includes(gauge.kind)),
  );
  const slug = computed({
    get: () => kept.value[toValue(asks)] ?? '',
    set: (to: string) => (kept.value = { ...kept.value, [toValue(asks)]: to }),
  });
  const chosen = computed(() => fitting.value.find((gauge) => gauge.slug === slug.value) ?? null);
  return { fitting, slug, chosen };
}
