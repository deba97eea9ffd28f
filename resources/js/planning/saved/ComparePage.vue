<script setup lang="ts">
import { api, must } from '@/api/client';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import PlanChangesList from './PlanChangesList.vue';
import PlannerTabs from '@/planning/PlannerTabs.vue';
import { useDuration } from '@/planning/figures/useDuration';

/** Two saved plans side by side, with what differs. */
const props = defineProps<{ first: string; second: string }>();
const { t } = useI18n();
const all = ref(false);
const compared = useQuery({
  queryKey: ['compare', props.first, props.second],
  queryFn: () =>
    must(
      api.GET('/api/planning/plans/{first}/compared-with/{second}', {
        params: { path: { first: props.first, second: props.second } },
      }),
    ),
});
const duration = useDuration();
</script>

<template>
  <PlannerTabs current="plans" />
  <PageState v-slot="{ data }" :data="compared.data.value" :error="compared.error.value" @retry="compared.refetch()">
    <h1 class="mt-4">{{ t('planning.sideBySide') }}</h1>
    <div class="mt-3 grid gap-4 sm:grid-cols-2">
      <section v-for="(plan, index) in data.plans" :key="plan.id" class="sheet p-4">
        <p class="label">{{ t(index === 0 ? 'planning.before' : 'planning.after') }}</p>
        <h2>
          <RouterLink :to="{ name: 'plan', params: { id: plan.id } }">{{ plan.name }}</RouterLink>
        </h2>
        <p>{{ data.headings[index]?.what }}</p>
        <p class="text-quiet">{{ data.headings[index]?.material }}, {{ data.headings[index]?.machine }}</p>
        <p class="text-quiet">
          {{
            t('planning.time.cut', {
              time: duration(index === 0 ? data.changes.time_before_s : data.changes.time_after_s),
            })
          }}
        </p>
      </section>
    </div>
    <label class="mt-4 flex min-h-12 items-center gap-2">
      <input v-model="all" type="checkbox" class="size-5" /> {{ t('planning.showSame') }}
    </label>
    <p v-if="data.changes.count === 0" class="font-semibold text-alone">● {{ t('planning.noDifference') }}</p>
    <PlanChangesList :changes="data.changes" :all="all" />
  </PageState>
</template>
