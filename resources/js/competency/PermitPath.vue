<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import HoleGlyph from '@/ui/HoleGlyph.vue';
import { useAction } from '@/ui/useAction';
import { v7 as uuid } from 'uuid';
import { useQueryClient } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import LessonLinks from './LessonLinks.vue';
import PathRow from './PathRow.vue';
import { useNext } from '@/records/useNext';
import ExceptionDialog from '@/assessment/opening/ExceptionDialog.vue';
import OpenSheetDialog from '@/assessment/opening/OpenSheetDialog.vue';
import TryList from '@/assessment/tries/TryList.vue';
import { useScope } from './useScope';

/** One permit as a way of five stages, what each asks for, and the next move. */
const props = defineProps<{ permit: Schemas['PermitRecord']; learnerId: number; learnerName: string; own: boolean }>();
const { t, d } = useI18n();
const { all } = useNext();
const { words: scopeWords, lost } = useScope();
const router = useRouter();

const standing = computed(() => props.permit.standing);
const openSheet = useAction(
  (sheet: string) =>
    must(api.POST('/api/assessment/attempts', { body: { id: uuid(), sheet, learner_id: props.learnerId } })),
  (attempt) => router.push({ name: 'sheet', params: { id: attempt.id } }),
);
/** The learner's own next move, as one press. */
const move = computed(() => {
  const { kind = '', what = '' } = standing.value.next[0] ?? {};
  if (!props.own || standing.value.held) return null;
  const to = (
    {
      lesson: { name: 'lesson', params: { code: what } },
      guided: { name: 'lesson', params: { code: what } },
      check: { name: 'check', params: { code: what } },
      practice: { name: 'logbook' },
      sign_off: props.permit.acknowledged
        ? null
        : { name: 'sign-off', params: { id: props.learnerId, permit: props.permit.code } },
    } as Partial<Record<string, object | null>>
  )[kind];
  return to ? { to, label: t(`record.move.${kind}`, { what }) } : null;
});
const lessons = computed(() => props.permit.lessons.filter((lesson) => !lesson.guided));
const guided = computed(() => props.permit.lessons.filter((lesson) => lesson.guided));
const lessonsDone = computed(() => lessons.value.filter((lesson) => lesson.completed).length);
/** From here on a learner may be assessed. */
const PILOTED = 3;
/** What is about to be opened: first on what, and where. */
const opening = ref<{ code: string; title: string } | null>(null);
const allowing = ref<{ code: string; title: string } | null>(null);
const client = useQueryClient();
const canSign = computed(() => standing.value.stage >= 4);
</script>

<template>
  <section class="sheet">
    <header class="flex flex-wrap items-center gap-5 border-b border-hairline p-4">
      <HoleGlyph :stage="standing.stage" :held="standing.held" :lapsed="standing.lapsed" :size="120" />
      <div class="min-w-60 flex-1">
        <h2>{{ permit.name }}</h2>
        <p class="text-2xl font-semibold" data-testid="stage">
          {{ t('stage.of', { name: t(`stage.${standing.stage}`), stage: standing.stage }) }}
        </p>
        <p v-if="standing.held" class="font-semibold text-no">■ {{ t('record.held') }}</p>
        <p v-else-if="standing.lapsed" class="font-semibold text-supervised">▲ {{ t(`lapse.${standing.lapsed}`) }}</p>
        <p v-else-if="standing.stage === 5 && permit.signed_off" class="font-semibold text-alone">
          ●
          {{
            t('record.alone', {
              by: permit.signed_off.by,
              until: d(permit.signed_off.valid_until, { dateStyle: 'medium' }),
            })
          }}
        </p>
        <p v-if="permit.signed_off && !standing.held" data-testid="scope">
          {{ t('scope.covers') }}: <strong>{{ scopeWords(permit.signed_off.covers) }}</strong>
          <span
            v-if="lost(permit.signed_off.narrowed)"
            class="block font-semibold text-supervised"
            data-testid="narrowed"
            >▲ {{ t('scope.narrowed', { lost: lost(permit.signed_off.narrowed) }) }}</span
          >
        </p>
        <p v-if="standing.next.length > 0" class="mt-1">
          {{ t('record.next') }} <strong>{{ all(standing.next) }}</strong>
        </p>
        <p
          v-for="need in standing.due"
          :key="`${need.kind} ${need.what}`"
          class="mt-1 text-supervised"
          data-testid="due"
        >
          ‖ {{ t('record.due', { what: all([need]), by: d(need.until ?? '', { dateStyle: 'medium' }) }) }}
        </p>
      </div>
      <RouterLink
        v-if="move"
        :to="move.to"
        class="inline-flex min-h-14 items-center border border-blue bg-blue px-6 text-lg font-semibold text-on-blue no-underline"
        >{{ move.label }}</RouterLink
      >
    </header>
    <ErrorNote class="m-4" :error="openSheet.error.value" @retry="openSheet.reset()" />
    <ol>
      <PathRow
        :stage="1"
        :reached="standing.stage >= 1"
        :title="t('record.lessons', { done: lessonsDone, all: lessons.length })"
      >
        <LessonLinks :lessons="lessons" />
      </PathRow>
      <PathRow :stage="2" :reached="standing.stage >= 2" :title="t('record.check')">
        <div v-for="check in permit.checks" :key="check.code" class="flex flex-wrap items-center gap-x-4 gap-y-2">
          <p class="flex-1">
            {{ check.title }}<br />
            <span class="text-sm text-quiet">
              <template v-if="check.attempts === 0">{{ t('record.notTried') }}</template>
              <template v-else
                >{{ check.passed ? '✓' : '✕' }}
                {{
                  t(check.passed ? 'record.passedWith' : 'record.failedWith', { score: check.score_percent })
                }}</template
              >
            </span>
            <strong v-if="check.stale" class="block text-supervised">▲ {{ t('record.checkStale') }}</strong>
          </p>
          <RouterLink
            v-if="check.last_attempt"
            :to="{ name: 'paper', params: { id: check.last_attempt } }"
            class="inline-flex min-h-12 items-center print:hidden"
            >{{ t('record.seePaper') }}</RouterLink
          >
          <RouterLink
            v-if="own"
            :to="{ name: 'check', params: { code: check.code } }"
            class="inline-flex min-h-12 items-center border border-quiet px-5 font-semibold no-underline print:hidden"
            >{{ t(check.attempts === 0 ? 'record.takeCheck' : 'record.retakeCheck') }}</RouterLink
          >
        </div>
      </PathRow>
      <PathRow :stage="3" :reached="standing.stage >= 3" :title="t('record.practice')">
        <template v-if="guided.length > 0">
          <p class="text-sm text-quiet">{{ t('record.guided') }}</p>
          <LessonLinks class="mb-3" :lessons="guided" />
        </template>
        <div class="flex flex-wrap items-center gap-4">
          <p class="flex-1">
            {{
              t('record.practiceDone', {
                count: permit.practice.count,
                countNeeded: permit.practice.count_needed,
                minutes: permit.practice.minutes,
                minutesNeeded: permit.practice.minutes_needed,
              })
            }}
            <span v-if="permit.practice.waiting > 0" class="block text-sm text-quiet"
              >‖ {{ t('record.practiceWaiting', permit.practice.waiting) }}</span
            >
          </p>
          <RouterLink
            v-if="own"
            :to="{ name: 'logbook' }"
            class="inline-flex min-h-12 items-center border border-quiet px-5 font-semibold no-underline print:hidden"
            >{{ t('record.logPractice') }}</RouterLink
          >
        </div>
      </PathRow>
      <PathRow :stage="4" :reached="standing.stage >= 4" :title="t('record.assessment')">
        <div v-for="sheet in permit.assessments" :key="sheet.code" class="flex flex-wrap items-center gap-4">
          <p class="flex-1">
            {{ sheet.title }}<br />
            <span class="text-sm text-quiet">{{
              sheet.outcome ? t(`outcome.${sheet.outcome}`) + `, ${sheet.score_percent} %` : t('record.notTried')
            }}</span>
            <TryList :tries="sheet.tries" />
            <span v-if="sheet.exception" class="block text-sm text-supervised"
              >▲
              {{
                t('exception.granted', { by: sheet.exception.by, kind: t(`exception.${sheet.exception.kind}`) })
              }}</span
            >
          </p>
          <RouterLink
            v-if="sheet.last_attempt"
            :to="{ name: 'sheet', params: { id: sheet.last_attempt } }"
            class="inline-flex min-h-12 items-center print:hidden"
            >{{ t('record.seeSheet') }}</RouterLink
          >
          <RouterLink
            v-if="sheet.last_attempt"
            :to="{ name: 'measuring', params: { id: learnerId } }"
            class="inline-flex min-h-12 items-center print:hidden"
            >{{ t('record.measuring') }}</RouterLink
          >
          <RouterLink
            v-if="own && sheet.open_attempt"
            :to="{ name: 'sheet', params: { id: sheet.open_attempt } }"
            class="inline-flex min-h-12 items-center border border-quiet px-5 font-semibold no-underline print:hidden"
            >{{ t('record.measure') }}</RouterLink
          >
          <button
            v-if="!own && standing.stage < PILOTED && !sheet.exception && !sheet.open_attempt"
            type="button"
            class="min-h-12 underline underline-offset-4 print:hidden"
            @click="allowing = sheet"
          >
            {{ t('exception.allow') }}
          </button>
          <BigButton
            v-else-if="!own"
            class="print:hidden"
            :busy="openSheet.busy.value"
            @click="sheet.open_attempt ? openSheet.run(sheet.code) : (opening = sheet)"
            >{{ t(sheet.open_attempt ? 'record.resumeSheet' : 'record.openSheet') }}</BigButton
          >
        </div>
      </PathRow>
      <PathRow :stage="5" :reached="standing.stage >= 5" :title="t('record.signOff')">
        <div class="flex flex-wrap items-center gap-4">
          <p class="flex-1">
            <template v-if="permit.signed_off"
              >{{
                t('record.signedBy', {
                  by: permit.signed_off.by,
                  at: d(permit.signed_off.at, { dateStyle: 'medium' }),
                  until: d(permit.signed_off.valid_until, { dateStyle: 'medium' }),
                })
              }}
              <span class="block text-sm"
                >{{ t('scope.covers') }}: {{ scopeWords(permit.signed_off.covers) }}</span
              ></template
            >
            <template v-else>{{ t(permit.acknowledged ? 'record.acknowledged' : 'record.notAcknowledged') }}</template>
          </p>
          <RouterLink
            :to="{ name: 'sign-off', params: { id: learnerId, permit: permit.code } }"
            class="inline-flex min-h-12 items-center border px-5 font-semibold no-underline print:hidden"
            :class="canSign && standing.stage < 5 ? 'border-blue bg-blue text-on-blue' : 'border-quiet'"
          >
            {{ t(own ? 'record.toStatement' : 'record.toSignOff') }}
          </RouterLink>
        </div>
      </PathRow>
    </ol>
    <OpenSheetDialog
      v-if="opening"
      :learner="{ id: learnerId, name: learnerName }"
      :sheet="opening"
      @close="opening = null"
    />
    <ExceptionDialog
      v-if="allowing"
      :learner="{ id: learnerId, name: learnerName }"
      :sheet="allowing"
      @done="((allowing = null), client.invalidateQueries({ queryKey: ['record'] }))"
      @close="allowing = null"
    />
  </section>
</template>
