<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import AskDialog from '@/ui/AskDialog.vue';
import BigButton from '@/ui/BigButton.vue';
import { useAction } from '@/ui/useAction';
import { useQueryClient } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import PaperBackDialog from '@/assessment/conduct/PaperBackDialog.vue';
import PutAwayDialog from './PutAwayDialog.vue';

/** How a sheet ends: concluded into the record, or put away before it comes to anything. Each asks once. */
const props = defineProps<{
  attempt: Schemas['AssessmentAttempt'];
  score: Schemas['SheetScore'];
  queryKey: string[];
  unsent: number;
}>();
const { t } = useI18n();
const client = useQueryClient();
const asking = ref<'conclude' | 'putAway' | 'paper' | null>(null);
const path = { attempt: props.attempt.id };

function ended(attempt: Schemas['AssessmentAttempt']) {
  client.setQueryData(props.queryKey, attempt);
  asking.value = null;
  window.scrollTo({ top: 0 });
}
function read(attempt: Schemas['AssessmentAttempt']) {
  client.setQueryData(props.queryKey, attempt);
  asking.value = null;
}
/** Reasons that were asked for, and of whose answer not a word is written down. */
const unsaid = computed(() =>
  props.score.outcome === 'stopped'
    ? 0
    : props.attempt.criteria.filter(({ follow_ups, notes }) => follow_ups?.length && notes.length === 0).length,
);
/** It is asked for wherever something was measured; whether it must be there is the policy's. */
const noPhotograph = computed(
  () =>
    props.score.outcome === 'passed' &&
    props.attempt.photos.length === 0 &&
    props.attempt.criteria.some(({ kind }) => kind === 'measured'),
);
const conclude = useAction(
  () => must(api.POST('/api/assessment/attempts/{attempt}/conclusion', { params: { path } })),
  ended,
);
</script>

<template>
  <div class="mt-6 flex flex-wrap items-center justify-end gap-4 print:hidden">
    <BigButton v-if="score.outcome !== 'stopped'" :disabled="unsent > 0" @click="asking = 'putAway'">{{
      t('sheet.putAway')
    }}</BigButton>
    <BigButton v-if="score.outcome !== 'stopped'" class="mr-auto" :disabled="unsent > 0" @click="asking = 'paper'">{{
      t('sheet.paper.back')
    }}</BigButton>
    <p v-if="score.outcome === 'incomplete'" class="text-quiet">
      {{ t('sheet.open', score.open.length) }}
    </p>
    <p v-else-if="unsaid > 0" class="text-quiet">{{ t('sheet.unsaid', unsaid) }}</p>
    <p v-else-if="noPhotograph" class="text-quiet">{{ t('sheet.noPhotograph', { code: attempt.part_code ?? '' }) }}</p>
    <BigButton
      tone="main"
      :disabled="score.outcome === 'incomplete' || unsaid > 0 || unsent > 0"
      @click="asking = 'conclude'"
    >
      {{ t('sheet.conclude', { outcome: t(`outcome.${score.outcome}`) }) }}
    </BigButton>
  </div>
  <AskDialog
    v-if="asking === 'conclude'"
    :title="t('sheet.concludeTitle', { name: attempt.learner.name })"
    :label="t('sheet.conclude', { outcome: t(`outcome.${score.outcome}`) })"
    :busy="conclude.busy.value"
    :error="conclude.error.value"
    @yes="conclude.run(undefined)"
    @close="asking = null"
  >
    <p class="text-2xl font-bold">
      {{ t(`outcome.${score.outcome}`) }},
      <span class="reading">{{ score.score_percent.toFixed(1) }} %</span>
    </p>
    <p>{{ t('sheet.concludeWords') }}</p>
  </AskDialog>
  <PaperBackDialog v-if="asking === 'paper'" :attempt="attempt" @done="read" @close="asking = null" />
  <PutAwayDialog v-if="asking === 'putAway'" :attempt="attempt" @done="ended" @close="asking = null" />
</template>
