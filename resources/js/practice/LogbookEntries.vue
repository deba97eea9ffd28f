<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useOutbox } from '@/api/outbox';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useAction } from '@/ui/useAction';
import { useCommand } from '@/ui/useCommand';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import ChangePractice from './ChangePractice.vue';

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
/** One tap: what an instructor was there for counts. What was wrong is corrected in the record. */
const confirm = useCommand((entry: Schemas['PracticeEntry']) => ({
  about: `decision:${entry.id}`,
  method: 'POST',
  path: `/api/practice/entries/${entry.id}/decision`,
  body: { confirm: true },
  label: { key: 'outbox.decision', words: { what: entry.exercise } },
}));
/** Written here and not with the server yet. */
const outbox = useOutbox();
const unsent = computed(() =>
  person.value?.id === props.learnerId
    ? outbox.about('practice:').flatMap((command) => {
        const body = command.body as { exercise?: string; minutes?: number } | null;
        return body?.exercise ? [{ id: command.id, exercise: body.exercise, minutes: body.minutes ?? 0 }] : [];
      })
    : [],
);
const declining = ref<string | null>(null);
const back = ref(false);
const reason = ref('');
const editing = ref<Schemas['PracticeEntry'] | null>(null);
const decline = useCommand(
  (entry: string) => ({
    about: `decision:${entry}`,
    method: 'POST',
    path: `/api/practice/entries/${entry}/decision`,
    body: { confirm: false, back: back.value, reason: reason.value },
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
    <ErrorNote
      :error="decline.error.value ?? confirm.error.value ?? take.error.value"
      @retry="(decline.reset(), confirm.reset(), take.reset())"
    />
    <ChangePractice v-if="editing" :entry="editing" @close="editing = null" />
    <ul v-if="unsent.length > 0" class="sheet mb-3 self-start border-2 border-supervised">
      <li v-for="entry in unsent" :key="entry.id" class="flex flex-wrap gap-x-3 p-4">
        <strong class="flex-1">{{ entry.exercise }}</strong>
        <span class="reading">{{ entry.minutes }} min</span>
        <span class="w-full text-sm font-semibold text-supervised">○ {{ t('practice.unsent') }}</span>
      </li>
    </ul>
    <p v-if="data.length === 0 && unsent.length === 0" class="text-quiet">{{ t('practice.empty') }}</p>
    <ul v-else-if="data.length > 0" class="sheet self-start">
      <li v-for="entry in data" :key="entry.id" class="border-t border-hairline p-4 first:border-t-0">
        <p class="flex flex-wrap gap-x-3">
          <strong class="flex-1">{{ entry.exercise }}</strong>
          <span class="reading">{{ entry.minutes }} min</span>
        </p>
        <p class="text-sm text-quiet">{{ entry.machine }}, {{ d(entry.done_on, { dateStyle: 'medium' }) }}</p>
        <p v-if="entry.plan">
          <RouterLink :to="{ name: 'plan', params: { id: entry.plan.id } }" class="inline-flex min-h-12 items-center">{{
            entry.plan.name
          }}</RouterLink>
        </p>
        <p v-if="entry.chip || entry.readings" class="text-sm">
          <template v-if="entry.chip">{{
            t('practice.chipWas', { chip: t(`practice.chips.${entry.chip}`) })
          }}</template>
          <span v-if="entry.readings" class="reading">{{ entry.chip ? ' · ' : '' }}{{ entry.readings }}</span>
        </p>
        <p v-if="entry.mishap" class="font-semibold text-supervised">▲ {{ entry.mishap }}</p>
        <p v-if="entry.note" class="mt-1">{{ entry.note }}</p>
        <p v-for="(edit, index) in entry.edits" :key="index" class="text-sm text-quiet">
          {{ t('practice.edited', { by: edit.by, why: edit.why, exercise: edit.exercise, minutes: edit.minutes }) }}
        </p>
        <p
          class="mt-1 text-sm font-semibold"
          :class="{
            'text-alone': entry.state === 'confirmed',
            'text-no': entry.state === 'declined',
            'text-supervised': entry.state === 'waiting' || entry.state === 'returned',
          }"
        >
          {{ { confirmed: '✓', declined: '✕', waiting: '‖', returned: '↶' }[entry.state] }}
          {{ t(`practice.state.${entry.state}`, { by: entry.decided_by })
          }}<template v-if="entry.reason">: {{ entry.reason }}</template>
        </p>
        <BigButton
          v-if="!teaches && person?.id === learnerId && entry.state === 'returned'"
          class="mt-2 mr-3"
          tone="main"
          @click="emit('taken', entry)"
          >{{ t('practice.putRight') }}</BigButton
        >
        <BigButton
          v-if="!teaches && person?.id === learnerId && (entry.state === 'waiting' || entry.state === 'returned')"
          class="mt-2"
          :busy="take.busy.value"
          :aria-label="t('practice.takeBackNamed', { what: entry.exercise })"
          @click="take.run(entry)"
          >{{ t('practice.takeBack') }}</BigButton
        >
        <div v-if="teaches && entry.state === 'waiting'" class="mt-2 flex flex-wrap gap-3">
          <template v-if="declining !== entry.id">
            <BigButton tone="main" :busy="confirm.busy.value" @click="confirm.run(entry)">{{
              t('practice.confirm')
            }}</BigButton>
            <BigButton @click="editing = entry">{{ t('practice.change') }}</BigButton>
            <BigButton @click="((declining = entry.id), (back = true))">{{ t('practice.return') }}</BigButton>
            <BigButton @click="((declining = entry.id), (back = false))">{{ t('practice.decline') }}</BigButton>
          </template>
          <form v-else class="flex flex-1 gap-2" @submit.prevent="decline.run(entry.id)">
            <input
              v-model="reason"
              class="field"
              required
              :aria-label="t('practice.reason')"
              :placeholder="t('practice.reason')"
            />
            <BigButton type="submit" :tone="back ? 'main' : 'no'">{{
              t(back ? 'practice.return' : 'practice.decline')
            }}</BigButton>
            <BigButton @click="declining = null">{{ t('ui.cancel') }}</BigButton>
          </form>
        </div>
      </li>
    </ul>
  </PageState>
</template>
