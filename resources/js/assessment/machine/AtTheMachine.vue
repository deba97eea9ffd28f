<script setup lang="ts">
import type { Schemas } from '@/api/client';
import PlanLinks from '@/planning/saved/PlanLinks.vue';
import AskDialog from '@/ui/AskDialog.vue';
import { useSessionStorage, useTimeoutFn } from '@vueuse/core';
import { computed, ref, useTemplateRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import CriterionList from './CriterionList.vue';
import ConductBar from '@/assessment/conduct/ConductBar.vue';
import SheetHead from '@/assessment/SheetHead.vue';
import OpenSheets from '@/assessment/opening/OpenSheets.vue';
import PersonalSizes from '@/assessment/measuring/PersonalSizes.vue';
import ReadingHand from '@/assessment/measuring/ReadingHand.vue';
import { isOpen } from '@/assessment/results';
import ScoreBar from './ScoreBar.vue';
import SecondLot from '@/assessment/second/SecondLot.vue';
import SecondPanel from '@/assessment/second/SecondPanel.vue';
import SheetEnd from './SheetEnd.vue';
import SheetNotes from './SheetNotes.vue';
import SlipNote from './SlipNote.vue';
import { useMarks } from './useMarks';
import { useSheetKeys } from './useSheetKeys';
import VerdictHand from './VerdictHand.vue';
import WhyDialog from './WhyDialog.vue';

/** A sheet as it is used at the machine: all criteria in working order, and the one in hand under big keys. */
const props = defineProps<{ attempt: Schemas['AssessmentAttempt']; queryKey: string[] }>();
const { t, d } = useI18n();
type Criterion = Schemas['Criterion'];
type Result = string | number;

const seat = computed<'assessor' | 'second'>(() => (props.attempt.viewer === 'second' ? 'second' : 'assessor'));
const words = (id: string) => props.attempt.criteria.find((criterion) => criterion.id === id)?.text ?? id;
const marks = useMarks(props.attempt.id, props.queryKey, words);
/** A mark that is on its way, or that the server would not take, is on the sheet all the same. */
const criteria = computed<Criterion[]>(() =>
  props.attempt.criteria
    .filter((criterion) => seat.value === 'assessor' || criterion.kind !== 'measured')
    .map((criterion) => {
      const made = marks.marked.value[criterion.id];
      return !made || made.result == null
        ? criterion
        : {
            ...criterion,
            mark: {
              id: made.id,
              result: made.result,
              by: '',
              why: made.why ?? null,
              made_at: made.made_at,
              said_at: null,
            },
          };
    }),
);
const kept = useSessionStorage<string | null>(`millstep.sheet.at.${props.attempt.id}`, null);
const at = computed(
  () => criteria.value.find(({ id }) => id === kept.value) ?? criteria.value.find(isOpen) ?? criteria.value[0],
);
const index = computed(() => criteria.value.findIndex(({ id }) => id === at.value?.id));
const isStopped = computed(() => props.attempt.stopped !== null);
/** Nothing more is marked where the sheet is stopped, but the slip itself. */
const locked = computed(
  () => isStopped.value && seat.value === 'assessor' && at.value?.id !== props.attempt.stopped?.criterion,
);

const asking = ref<{ kind: 'stop' | 'why'; criterion: Criterion; result: Result } | null>(null);
const correcting = ref<Criterion | null>(null);
/** What the learner does not measure, while it is asked why. */
const declining = ref<Criterion | null>(null);
const note = useTemplateRef('note');

function move(by: 1 | -1) {
  const to = criteria.value[Math.min(Math.max(index.value + by, 0), criteria.value.length - 1)];
  if (to) kept.value = to.id;
}
/** A second tap of the same finger belongs to the criterion that it was meant for, not to the next one. */
const ONE_TAP_MS = 400;
const {
  isPending: settling,
  start: settle,
  stop: settled,
} = useTimeoutFn(() => undefined, ONE_TAP_MS, { immediate: false });
function tap(result: Result) {
  if (!settling.value) mark(result);
}
function go(id: string) {
  settled();
  kept.value = id;
}
/** On to the next that is open, in working order. */
function goOn(from: Criterion) {
  settle();
  const here = criteria.value.findIndex(({ id }) => id === from.id);
  const next = [...criteria.value.slice(here + 1), ...criteria.value.slice(0, here)].find(isOpen);
  kept.value = next?.id ?? from.id;
}
const said = (criterion: Criterion, result: Result) =>
  `${criterion.text}: ${typeof result === 'number' ? t('sheet.points', result) : t(`sheet.${result}`)}`;

/** A critical slip ends the assessment, so it asks once; what stands longer than a slip is changed with a reason. */
function mark(result: Result) {
  const criterion = at.value;
  if (!criterion || (locked.value && !isOpen(criterion))) return;
  if (criterion.mark?.result === result && !marks.refused.value[criterion.id]) {
    goOn(criterion);
    return;
  }
  if (criterion.stops_on.includes(result)) {
    if (seat.value === 'second') give(criterion, result);
    else asking.value = { kind: 'stop', criterion, result };
    return;
  }
  const madeAt = criterion.mark ? Date.parse(criterion.mark.made_at) : null;
  const late = madeAt !== null && Date.now() - madeAt > props.attempt.undo_seconds * 1000;
  if (late && !marks.marked.value[criterion.id]) asking.value = { kind: 'why', criterion, result };
  else give(criterion, result);
}
function give(criterion: Criterion, result: Result, why: string | null = null) {
  asking.value = null;
  // What was answered and stands typed beside it belongs to the verdict.
  if (criterion.follow_ups?.length) note.value?.keep();
  void marks.set(criterion.id, { seat: seat.value, result, why }, said(criterion, result));
  if (!(criterion.stops_on.includes(result) && seat.value === 'assessor')) goOn(criterion);
}
const unsure = ref<string | null>(null);
async function read(of: Schemas['Seat'], reading: Record<string, string>, gauge: string | null) {
  const criterion = at.value;
  if (!criterion) return;
  const why = correcting.value?.id === criterion.id ? unsure.value : null;
  correcting.value = unsure.value = null;
  await marks.set(criterion.id, { seat: of, reading, gauge, ...(why ? { why } : {}) }, criterion.text);
  // Whoever has gone elsewhere meanwhile stays there.
  if (at.value?.id !== criterion.id) return;
  const now = props.attempt.criteria.find(({ id }) => id === criterion.id);
  const waitsForTheOther = marks.stuck.value === null && of === 'learner';
  if (!waitsForTheOther && now && (marks.stuck.value !== null || !isOpen(now)) && !now.too_far_apart) goOn(criterion);
}
function decline(why: string) {
  const criterion = declining.value;
  declining.value = null;
  if (criterion) void marks.set(criterion.id, { seat: 'learner', declined: true, why }, criterion.text);
}
function undo() {
  const slip = marks.last.value;
  if (slip === null || Date.now() - slip.madeAt > props.attempt.undo_seconds * 1000) return;
  marks.undo();
  kept.value = slip.criterion;
}
useSheetKeys(at, () => asking.value !== null || correcting.value !== null || declining.value !== null, {
  move,
  mark,
  undo,
  note: () => note.value?.write(),
});
watch(
  () => props.attempt.stopped?.criterion,
  (criterion) => {
    if (criterion && seat.value === 'assessor') kept.value = criterion;
  },
);
const criticalWords = (criterion: Criterion) =>
  criterion.kind === 'measured'
    ? 'sheet.criticalMeasured'
    : criterion.critical_prompt_stops
      ? 'sheet.criticalPrompt'
      : 'sheet.critical';
const fault = computed(() => (at.value ? marks.refused.value[at.value.id] : undefined));
</script>

<template>
  <OpenSheets :current="attempt.id" />
  <div class="mt-3"><SheetHead :attempt="attempt" /></div>
  <SecondLot v-if="seat === 'assessor'" :attempt="attempt" />
  <PersonalSizes :attempt="attempt" />
  <PlanLinks :plans="attempt.plans" />
  <ScoreBar
    v-if="attempt.score"
    class="sticky top-0 z-10 mt-3"
    :attempt="attempt"
    :score="attempt.score"
    :pending="marks.pending.value"
    :unsaved="marks.unsaved.value"
  />
  <ConductBar v-if="seat === 'assessor'" :attempt="attempt" />
  <p v-if="attempt.stopped" class="mt-3 border-2 border-no bg-sheet px-4 py-2 text-lg font-bold text-no" role="alert">
    ■
    {{
      t('sheet.stoppedAt', {
        what: words(attempt.stopped.criterion ?? ''),
        time: d(attempt.stopped.at, { timeStyle: 'medium' }),
      })
    }}
    <span class="block text-base font-normal text-ink">{{ t('sheet.stoppedWords') }}</span>
  </p>

  <div class="mt-4 grid gap-6 md:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
    <CriterionList
      class="max-md:order-2 md:sticky md:top-24 md:max-h-[calc(100dvh-7rem)] md:self-start md:overflow-y-auto"
      :criteria="criteria"
      :at="at?.id ?? null"
      :faults="marks.refused.value"
      @go="go"
    />
    <div v-if="at" class="max-md:order-1">
      <div class="sheet space-y-3 p-4 md:sticky md:top-24" data-testid="hand" :aria-busy="settling">
        <p class="text-sm text-quiet">
          {{ t('sheet.place', { at: index + 1, of: criteria.length }) }} · {{ t(`sheet.group.${at.group}`) }}
          <strong v-if="at.critical" class="text-no">◆ {{ t(criticalWords(at)) }}</strong>
          <strong v-else-if="at.must" class="text-no">◇ {{ t('sheet.must') }}</strong>
        </p>
        <h2 class="text-2xl leading-tight">{{ at.text }}</h2>
        <p v-if="at.not_critical_because" class="text-sm text-quiet">
          {{ t('sheet.notCritical', { why: at.not_critical_because }) }}
        </p>
        <div v-if="at.follow_ups?.length" class="border-l-4 border-bronze pl-3">
          <p class="text-sm text-quiet">{{ t('sheet.followUps') }}</p>
          <ul>
            <li v-for="one in at.follow_ups" :key="one">{{ one }}</li>
          </ul>
        </div>
        <template v-if="fault">
          <p class="font-semibold text-no" role="alert">✕ {{ t('outbox.notSaved') }} {{ fault.message }}</p>
          <button type="button" class="min-h-12 underline underline-offset-4" @click="marks.letStand(at.id)">
            {{ t('sheet.letStand') }}
          </button>
        </template>
        <p v-if="at.kind === 'measured' && attempt.part_code" class="border-l-4 border-bronze pl-3 text-sm">
          {{ t('sheet.stamp', { code: attempt.part_code }) }}
        </p>
        <ReadingHand
          v-if="at.kind === 'measured'"
          :key="at.id"
          :attempt="attempt"
          :criterion="correcting?.id === at.id ? { ...at, readings: [], found: null, turn: 'assessor' } : at"
          :errors="marks.misread.value[at.id]?.errors"
          :sending="Boolean(marks.marked.value[at.id])"
          @read="read"
          @decline="declining = at"
          @correct="correcting = at"
        />
        <VerdictHand v-else :criterion="at" :locked="locked" @mark="tap" />
        <SlipNote
          v-if="marks.last.value && marks.last.value.what"
          :key="marks.last.value.id"
          :made-at="marks.last.value.madeAt"
          :seconds="attempt.undo_seconds"
          :what="marks.last.value.what"
          @undo="undo"
        />
        <ul v-if="at.before.length > 0" class="text-sm text-quiet">
          <li v-for="(one, place) in at.before" :key="place">
            {{
              t('sheet.before', {
                what:
                  one.typed ??
                  (typeof one.result === 'number' ? t('sheet.points', one.result) : t(`sheet.${one.result}`)),
                by: one.by,
              })
            }}
          </li>
          <li v-if="at.mark?.why">{{ t('sheet.because', { why: at.mark.why }) }}</li>
        </ul>
        <SheetNotes
          ref="note"
          :key="`notes-${at.id}`"
          :attempt="attempt"
          :criterion="at.id"
          :notes="at.notes"
          :words="at.text"
          :locked="false"
          :answer="(at.follow_ups ?? []).length > 0"
        />
        <p v-if="at.kind !== 'measured'" class="text-sm text-quiet max-sm:hidden">
          {{ t(at.kind === 'judged' ? 'sheet.keysPoints' : 'sheet.keys') }}
        </p>
      </div>
    </div>
  </div>

  <section class="mt-6">
    <h2>{{ t('sheet.whole') }}</h2>
    <SheetNotes
      :attempt="attempt"
      criterion="sheet"
      :notes="attempt.notes"
      :words="attempt.sheet.title"
      :locked="false"
    />
  </section>
  <SecondPanel :attempt="attempt" :query-key="queryKey" />
  <SheetEnd
    v-if="seat === 'assessor' && attempt.score"
    :attempt="attempt"
    :score="attempt.score"
    :query-key="queryKey"
    :unsent="marks.pending.value + marks.unsaved.value"
  />
  <AskDialog
    v-if="asking?.kind === 'stop'"
    :title="t('sheet.stopTitle')"
    :label="t('sheet.stopAct', { what: t(`sheet.${asking.result === 0 ? 'not_met' : asking.result}`) })"
    tone="no"
    @yes="give(asking.criterion, asking.result)"
    @close="asking = null"
  >
    <p class="text-xl font-semibold">{{ asking.criterion.text }}</p>
    <p>{{ t('sheet.stopWords', { seconds: attempt.undo_seconds }) }}</p>
  </AskDialog>
  <WhyDialog
    v-else-if="asking?.kind === 'why'"
    :what="said(asking.criterion, asking.result)"
    @why="give(asking!.criterion, asking!.result, $event)"
    @close="asking = null"
  />
  <WhyDialog
    v-else-if="declining"
    :what="declining.text"
    :title="t('sheet.declineTitle', { name: attempt.learner.name })"
    :words="t('sheet.declineWords')"
    @why="decline"
    @close="declining = null"
  />
  <WhyDialog
    v-else-if="correcting && unsure === null"
    :what="correcting.text"
    @why="unsure = $event"
    @close="correcting = null"
  />
</template>
