<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useAction } from '@/ui/useAction';
import { useCommand } from '@/ui/useCommand';
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import ConfirmPractice, { type WaitingPractice } from './ConfirmPractice.vue';

/** A logbook; whoever teaches confirms or declines what waits in it. */
const props = defineProps<{ learnerId: number; learnerName?: string }>();
const { t, d } = useI18n();
const { teaches, person } = useMe();
const entries = useQuery({
  queryKey: ['logbook', props.learnerId],
  queryFn: () =>
    must(
      api.GET('/api/practice/learners/{learner}/entries', { params: { path: { learner: String(props.learnerId) } } }),
    ),
});
const emit = defineEmits<{ taken: [entry: Schemas['PracticeEntry']] }>();
/** What is taken back stands in the form again, to be put right or left. */
const take = useAction(
  (entry: Schemas['PracticeEntry']) =>
    must(api.DELETE('/api/practice/entries/{entry}', { params: { path: { entry: entry.id } } })),
  (_answer, entry) => emit('taken', entry),
);
/** What is about to be confirmed. */
const confirming = ref<WaitingPractice[]>([]);
const asWaiting = (entry: Schemas['PracticeEntry']): WaitingPractice => ({
  id: entry.id,
  learner: props.learnerName ?? '',
  what: entry.exercise,
  facts: `${entry.minutes} min, ${entry.machine}, ${d(entry.done_on, { dateStyle: 'medium' })}`,
});
const declining = ref<string | null>(null);
const reason = ref('');
const decline = useCommand(
  (entry: string) => ({
    about: `decision:${entry}`,
    method: 'POST',
    path: `/api/practice/entries/${entry}/decision`,
    body: { confirm: false, reason: reason.value },
    label: {
      key: 'outbox.decision',
      words: { what: entries.data.value?.find((each) => each.id === entry)?.exercise ?? '' },
    },
  }),
  () => {
    declining.value = null;
    reason.value = '';
  },
);
</script>

<template>
  <PageState v-slot="{ data }" :data="entries.data.value" :error="entries.error.value" @retry="entries.refetch()">
    <ErrorNote :error="decline.error.value ?? take.error.value" @retry="(decline.reset(), take.reset())" />
    <ConfirmPractice v-if="confirming.length > 0" :entries="confirming" @close="confirming = []" />
    <p v-if="data.length === 0" class="text-quiet">{{ t('practice.empty') }}</p>
    <ul v-else class="sheet self-start">
      <li v-for="entry in data" :key="entry.id" class="border-t border-hairline p-4 first:border-t-0">
        <p class="flex flex-wrap gap-x-3">
          <strong class="flex-1">{{ entry.exercise }}</strong>
          <span class="reading">{{ entry.minutes }} min</span>
        </p>
        <p class="text-sm text-quiet">{{ entry.machine }}, {{ d(entry.done_on, { dateStyle: 'medium' }) }}</p>
        <p v-if="entry.note" class="mt-1">{{ entry.note }}</p>
        <p
          class="mt-1 text-sm font-semibold"
          :class="{
            'text-alone': entry.state === 'confirmed',
            'text-no': entry.state === 'declined',
            'text-supervised': entry.state === 'waiting',
          }"
        >
          {{ { confirmed: '✓', declined: '✕', waiting: '‖' }[entry.state] }}
          {{ t(`practice.state.${entry.state}`, { by: entry.decided_by })
          }}<template v-if="entry.reason">: {{ entry.reason }}</template>
        </p>
        <BigButton
          v-if="!teaches && person?.id === learnerId && entry.state === 'waiting'"
          class="mt-2"
          :busy="take.busy.value"
          :aria-label="t('practice.takeBackNamed', { what: entry.exercise })"
          @click="take.run(entry)"
          >{{ t('practice.takeBack') }}</BigButton
        >
        <div v-if="teaches && entry.state === 'waiting'" class="mt-2 flex flex-wrap gap-3">
          <BigButton tone="main" @click="confirming = [asWaiting(entry)]">{{ t('practice.confirm') }}</BigButton>
          <BigButton v-if="declining !== entry.id" @click="declining = entry.id">{{ t('practice.decline') }}</BigButton>
          <form v-else class="flex flex-1 gap-2" @submit.prevent="decline.run(entry.id)">
            <input
              v-model="reason"
              class="field"
              required
              :aria-label="t('practice.reason')"
              :placeholder="t('practice.reason')"
            />
            <BigButton type="submit" tone="no">{{ t('practice.decline') }}</BigButton>
          </form>
        </div>
      </li>
    </ul>
  </PageState>
</template>
