<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useConduct } from '@/assessment/conduct/useConduct';
import SheetHead from '@/assessment/SheetHead.vue';
import EndedCriterion from './EndedCriterion.vue';
import LearnersWord from './LearnersWord.vue';
import PersonalSizes from '@/assessment/measuring/PersonalSizes.vue';
import PhotoStrip from '@/assessment/machine/PhotoStrip.vue';
import ScoreBar from '@/assessment/machine/ScoreBar.vue';
import SecondLot from '@/assessment/second/SecondLot.vue';
import SecondPanel from '@/assessment/second/SecondPanel.vue';

/** A sheet that has ended: what it came to and why, what to practise, and every mark as it was made. */
const props = defineProps<{ attempt: Schemas['AssessmentAttempt']; queryKey: string[] }>();
const { t, d } = useI18n();
const { teaches } = useMe();
const { time, times } = useConduct();
const criterionOf = (id: string) => props.attempt.criteria.find((criterion) => criterion.id === id);
/** Each lesson once, with what it is for. */
const practise = computed(() => {
  const lessons = new Map<string, string[]>();
  for (const loss of props.attempt.losses) {
    const criterion = criterionOf(loss.criterion);
    if (criterion?.lesson) lessons.set(criterion.lesson, [...(lessons.get(criterion.lesson) ?? []), criterion.text]);
  }
  return [...lessons].map(([lesson, what]) => ({ lesson, what }));
});
</script>

<template>
  <SheetHead :attempt="attempt">
    {{ d(attempt.started_at, { dateStyle: 'medium' }) }}. {{ t('sheet.version', { version: attempt.sheet.version }) }}
  </SheetHead>
  <p v-if="attempt.conduct.said.length > 0" class="text-sm text-quiet">
    {{ t('sheet.conduct') }}: {{ times(attempt.conduct.said) }} ·
    {{ t('sheet.worked', { time: time(attempt.conduct.worked_s) }) }}
  </p>
  <p v-if="attempt.assessor_may && attempt.viewer !== 'learner'" class="text-sm text-quiet">
    {{
      attempt.assessor_may.ground
        ? t('sheet.ground', {
            name: attempt.assessor,
            by: attempt.assessor_may.by ?? '',
            from: d(attempt.assessor_may.from ?? '', { dateStyle: 'medium' }),
            ground: attempt.assessor_may.ground,
          })
        : t('sheet.groundOld', { name: attempt.assessor })
    }}
  </p>
  <p v-if="attempt.cancelled_at" class="mt-3 border-2 border-supervised bg-sheet px-4 py-2 font-semibold" role="status">
    ○ {{ t(attempt.put_away_counts ? 'sheet.putAwayDoneTry' : 'sheet.putAwayDone') }}
    <template v-if="attempt.put_away_because || attempt.cancelled_because">{{
      t('sheet.putAwayReason', {
        reason: [
          attempt.put_away_because ? t(`sheet.putAwayKind.${attempt.put_away_because}`) : '',
          attempt.cancelled_because ?? '',
        ]
          .filter(Boolean)
          .join('. '),
      })
    }}</template>
  </p>
  <SecondLot :attempt="attempt" />
  <PersonalSizes :attempt="attempt" />
  <ScoreBar v-if="attempt.score" class="mt-3" :attempt="attempt" :score="attempt.score" :pending="0" :unsaved="0" />
  <p v-if="attempt.stopped" class="mt-2 font-semibold text-no">
    ■
    {{
      t('sheet.stoppedAt', {
        what: criterionOf(attempt.stopped.criterion ?? '')?.text ?? '',
        time: d(attempt.stopped.at, { timeStyle: 'medium' }),
      })
    }}
  </p>
  <LearnersWord :attempt="attempt" :query-key="queryKey" />
  <section v-if="attempt.losses.length > 0" class="mt-4">
    <h2>{{ t('sheet.reasons') }}</h2>
    <ul class="sheet mt-2 divide-y divide-hairline">
      <li v-for="loss in attempt.losses" :key="loss.criterion" class="flex flex-wrap gap-x-4 px-4 py-2">
        <span class="min-w-56 flex-1">{{ criterionOf(loss.criterion)?.text }}</span>
        <strong :class="loss.why === 'stopped' || loss.why === 'out' ? 'text-no' : 'text-supervised'">{{
          t(`sheet.loss.${loss.why}`)
        }}</strong>
        <span class="reading w-24 text-right">−{{ loss.points.toFixed(1) }} %</span>
      </li>
    </ul>
  </section>
  <p v-if="attempt.again" class="mt-2 text-quiet" data-testid="again">
    <span v-if="attempt.again.until" class="mr-2">{{
      t('sheet.againFrom', { at: d(attempt.again.until, { dateStyle: 'medium', timeStyle: 'short' }) })
    }}</span>
    <span v-if="attempt.again.exercises > 0">{{ t('sheet.againAfter', attempt.again.exercises) }}</span>
    <span v-if="!attempt.again.until && attempt.again.exercises === 0">{{ t('sheet.againNow') }}</span>
  </p>
  <section v-if="practise.length > 0" class="mt-4">
    <h2>{{ t('sheet.practise') }}</h2>
    <ul class="mt-1">
      <li v-for="one in practise" :key="one.lesson" class="flex flex-wrap items-center gap-x-3">
        <RouterLink
          :to="{ name: 'lesson', params: { code: one.lesson } }"
          class="inline-flex min-h-12 items-center font-semibold"
          >{{ t('sheet.lesson', { lesson: one.lesson }) }}</RouterLink
        >
        <span class="text-quiet">{{ one.what.join('; ') }}</span>
      </li>
    </ul>
  </section>
  <p v-if="attempt.part_code && attempt.concluded_at" class="mt-4">
    <RouterLink
      :to="{ name: 'part', params: { code: attempt.part_code } }"
      class="inline-flex min-h-12 items-center font-semibold"
      >{{ t('sheet.partCard', { code: attempt.part_code }) }}</RouterLink
    >
  </p>
  <section class="mt-4">
    <h2>{{ t('sheet.allMarks') }}</h2>
    <ul class="sheet mt-2 divide-y divide-hairline">
      <EndedCriterion
        v-for="criterion in attempt.criteria"
        :key="criterion.id"
        :criterion="criterion"
        :attempt="attempt"
      />
    </ul>
  </section>
  <section v-if="attempt.notes.length > 0 || attempt.photos.some((photo) => photo.criterion === null)" class="mt-4">
    <h2>{{ t('sheet.whole') }}</h2>
    <p v-for="note in attempt.notes" :key="note.id">
      ✎ {{ note.text }} <span class="text-sm text-quiet">{{ note.by }}</span>
    </p>
    <PhotoStrip :photos="attempt.photos.filter((photo) => photo.criterion === null)" />
  </section>
  <SecondPanel :attempt="attempt" :query-key="queryKey" />
  <RouterLink
    v-if="teaches"
    :to="{ name: 'learner', params: { id: attempt.learner.id } }"
    class="mt-4 inline-flex min-h-12 items-center font-semibold print:hidden"
    >{{ t('sheet.toLearner', { name: attempt.learner.name }) }}</RouterLink
  >
</template>
