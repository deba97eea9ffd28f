<script setup lang="ts">
import PageState from '@/ui/PageState.vue';
import { useI18n } from 'vue-i18n';
import PlanBench from '@/planning/PlanBench.vue';
import PlannerTabs from '@/planning/PlannerTabs.vue';
import { usePlan } from './usePlans';

/** A saved plan, planned anew for the shop as it is today. */
const props = defineProps<{ id: string }>();
const { t, d } = useI18n();
const plan = usePlan(props.id);
</script>

<template>
  <PlannerTabs current="plans" />
  <PageState v-slot="{ data }" :data="plan.data.value" :error="plan.error.value" @retry="plan.refetch()">
    <div class="mt-4 flex flex-wrap items-end gap-x-5 print:hidden">
      <h1>{{ data.name }}</h1>
      <p class="text-quiet">
        {{ data.part ? `${data.part}. ` : ''
        }}{{ t('planning.savedBy', { who: data.owner, when: d(data.saved_at, { dateStyle: 'medium' }) }) }}
      </p>
    </div>
    <p v-if="data.fault" role="alert" class="mt-3 border-2 border-no p-3 print:hidden">
      <strong class="text-no">✕</strong> {{ t('planning.noMore') }} {{ data.fault }}
    </p>
    <PlanBench :key="`${data.id} ${data.saved_at}`" :kind="data.kind" :plan="data" />
  </PageState>
</template>
