<script setup lang="ts">
import { api, must } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';

/** How closely a gauge repeats itself, from readings that were taken with it more than once in this shop. */
const props = defineProps<{ slug: string }>();
const { t } = useI18n();
const { length } = useUnits();
const repeats = useQuery({
  queryKey: ['repeats', props.slug],
  queryFn: () =>
    must(api.GET('/api/assessment/gauges/{gauge}/repeatability', { params: { path: { gauge: props.slug } } })),
});
</script>

<template>
  <p v-if="repeats.data.value?.repeatability" class="text-sm">
    {{
      t('gauges.repeats', {
        within: length(repeats.data.value.repeatability.within_mm, 3),
        sets: repeats.data.value.repeatability.sets,
        readings: repeats.data.value.repeatability.readings,
      })
    }}
  </p>
  <p v-else-if="repeats.data.value" class="text-sm text-quiet">{{ t('gauges.notTwice') }}</p>
</template>
