<script setup lang="ts">
import { api, must } from '@/api/client';
import PageState from '@/ui/PageState.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import AtTheMachine from '@/assessment/machine/AtTheMachine.vue';
import LearnerMeasures from '@/assessment/measuring/LearnerMeasures.vue';
import PaperSheet from '@/assessment/machine/PaperSheet.vue';
import SheetOutcome from '@/assessment/outcome/SheetOutcome.vue';
import { useHeldSheet } from '@/assessment/machine/useHeldSheet';

/** A practical sheet: at the machine while it is open, measured by its learner, and read when it has ended. On paper, a form. */
const props = defineProps<{ id: string }>();
const key = computed(() => ['sheet', props.id]);
const attempt = useQuery({
  queryKey: key,
  queryFn: () => must(api.GET('/api/assessment/attempts/{attempt}', { params: { path: { attempt: props.id } } })),
});
useHeldSheet(() => attempt.data.value);
</script>

<template>
  <PageState v-slot="{ data }" :data="attempt.data.value" :error="attempt.error.value" @retry="attempt.refetch()">
    <div :key="data.id" class="print:hidden">
      <SheetOutcome
        v-if="data.cancelled_at || (data.concluded_at && data.viewer !== 'second') || data.viewer === 'reader'"
        :attempt="data"
        :query-key="key"
      />
      <LearnerMeasures v-else-if="data.viewer === 'learner'" :attempt="data" :query-key="key" />
      <AtTheMachine v-else :attempt="data" :query-key="key" />
    </div>
    <PaperSheet :sheet="data.sheet" :criteria="data.criteria" :attempt="data" />
    <PrecedenceNote class="mt-6" />
  </PageState>
</template>
