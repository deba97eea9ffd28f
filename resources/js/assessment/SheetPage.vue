<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import PageState from '@/ui/PageState.vue';
import PlanLinks from '@/planning/saved/PlanLinks.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import MeasuredRow from './MeasuredRow.vue';
import ObservedRow from './ObservedRow.vue';
import ScoreBar from './ScoreBar.vue';
import SheetEnd from './SheetEnd.vue';
import { useMarks } from './useMarks';
import { useSheetKeys } from './useSheetKeys';

const props = defineProps<{ id: string }>();
const { t, d } = useI18n();
const { teaches } = useMe();
const key = ['sheet', props.id];
const attempt = useQuery({
  queryKey: key,
  queryFn: () => must(api.GET('/api/assessment/attempts/{attempt}', { params: { path: { attempt: props.id } } })),
});

const words = (id: string) => attempt.data.value?.criteria.find((criterion) => criterion.id === id)?.text ?? id;
const marks = useMarks(props.id, key, words);
const locked = computed(
  () => attempt.data.value?.concluded_at != null || attempt.data.value?.cancelled_at != null || !teaches.value,
);
const groups = computed(() =>
  (['safety', 'work', 'why', 'measured'] as const).map((group) => ({
    group,
    criteria: (attempt.data.value?.criteria ?? []).filter((criterion) => criterion.group === group).map(asMarked),
  })),
);
/** A mark that is on its way, or that the server would not take, is on the sheet all the same. */
function asMarked(criterion: Schemas['Criterion']): Schemas['Criterion'] {
  const made = marks.marked.value[criterion.id];
  if (!made) return criterion;
  if (criterion.kind !== 'measured')
    return { ...criterion, mark: made.result == null ? null : { result: made.result } };
  const typed = { typed: made.value ?? '', typed_dx: made.dx ?? '', typed_dy: made.dy ?? '' };
  return { ...criterion, mark: { ...typed, ...(made.units ? { units: made.units } : {}) }, judged: null };
}
const observed = computed(() =>
  groups.value.flatMap(({ criteria }) => criteria.filter((criterion) => criterion.kind === 'observed')),
);
const keys = useSheetKeys(observed, locked, mark, (criterion) => marks.set(criterion.id, { result: null }));

/** A critical slip ends the assessment, so it asks once. */
function mark(criterion: Schemas['Criterion'], result: Schemas['Mark']['result']) {
  const stops =
    criterion.critical && (result === 'not_met' || (result === 'prompted' && criterion.critical_prompt_stops));
  if (stops && criterion.mark?.result !== result && !window.confirm(t('sheet.stopAsk', { what: criterion.text })))
    return;
  // The same again, a double tap or the key twice, is the same mark: it is taken back only where that is asked for.
  if (criterion.mark?.result !== result || marks.faults.value[criterion.id]) marks.set(criterion.id, { result });
}
</script>

<template>
  <PageState v-slot="{ data }" :data="attempt.data.value" :error="attempt.error.value" @retry="attempt.refetch()">
    <div class="flex flex-wrap items-end gap-x-6">
      <h1>{{ data.sheet.title }}: {{ data.learner.name }}</h1>
      <p class="text-quiet">
        {{
          t('sheet.facts', {
            part: data.sheet.part,
            machine: data.sheet.machine,
            assessor: data.assessor,
            date: d(data.started_at, { dateStyle: 'medium' }),
          })
        }}
      </p>
    </div>
    <PlanLinks :plans="data.plans" />
    <p v-if="data.cancelled_at" class="mt-3 border-2 border-supervised bg-sheet px-4 py-2 font-semibold" role="status">
      ○ {{ t('sheet.putAwayDone') }}
      <template v-if="data.cancelled_because">{{
        t('sheet.putAwayReason', { reason: data.cancelled_because })
      }}</template>
    </p>
    <ScoreBar
      class="sticky top-0 z-10 mt-3"
      :attempt="data"
      :pending="marks.pending.value"
      :unsaved="marks.unsaved.value"
    />
    <p v-if="!locked" class="mt-3 text-sm text-quiet max-sm:hidden print:hidden">{{ t('sheet.keys') }}</p>

    <section v-for="{ group, criteria } in groups" :key="group" class="mt-5">
      <h2>{{ t(`sheet.group.${group}`) }}</h2>
      <ul class="sheet mt-2">
        <template v-for="criterion in criteria" :key="criterion.id">
          <MeasuredRow
            v-if="criterion.kind === 'measured'"
            :criterion="criterion"
            :locked="locked"
            :fault="marks.faults.value[criterion.id]"
            @change="marks.set(criterion.id, $event)"
          />
          <ObservedRow
            v-else
            :criterion="criterion"
            :locked="locked"
            :at="keys.at.value === criterion.id"
            :fault="marks.faults.value[criterion.id]"
            @mark="mark(criterion, $event)"
            @clear="marks.set(criterion.id, { result: null })"
            @reach="keys.at.value = criterion.id"
          />
        </template>
      </ul>
    </section>

    <SheetEnd v-if="!locked" :attempt="data" :query-key="key" :unsent="marks.pending.value + marks.unsaved.value" />
    <RouterLink
      v-if="(data.concluded_at || data.cancelled_at) && teaches"
      :to="{ name: 'learner', params: { id: data.learner.id } }"
      class="mt-4 inline-flex min-h-12 items-center font-semibold"
      >{{ t('sheet.toLearner', { name: data.learner.name }) }}</RouterLink
    >
    <PrecedenceNote class="mt-6" />
  </PageState>
</template>
