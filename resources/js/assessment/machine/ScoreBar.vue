<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** What the sheet comes to so far, read on a rule, and why. */
const props = defineProps<{
  attempt: Schemas['AssessmentAttempt'];
  score: Schemas['SheetScore'];
  pending: number;
  unsaved: number;
}>();
const { t } = useI18n();
const score = computed(() => props.score);
const tone = computed(
  () =>
    ({ passed: 'text-alone', not_yet: 'text-supervised', stopped: 'text-no', incomplete: 'text-quiet' })[
      score.value.outcome
    ],
);
const shape = computed(() => ({ passed: '✓', not_yet: '▲', stopped: '■', incomplete: '○' })[score.value.outcome]);
const reason = computed(() => {
  const names = (ids: string[]) =>
    ids.map((id) => props.attempt.criteria.find((criterion) => criterion.id === id)?.text ?? id).join('; ');
  if (score.value.outcome === 'stopped') return names(score.value.stopped_by);
  if (score.value.outcome === 'incomplete') return t('sheet.open', score.value.open.length);
  const { gates, pass_mark_percent: mark } = props.attempt.sheet;
  const because = (score.value.reasons ?? []).map((why) =>
    why === 'out'
      ? t('sheet.failed', { what: names(score.value.failed_by) })
      : t(`sheet.because_of.${why}`, {
          mark,
          observed: score.value.observed_percent?.toFixed(1),
          least: gates?.observed_pass_percent,
          limit: why === 'why' ? gates?.why_limit : gates?.prompt_limit,
        }),
  );
  if (because.length > 0) return because.join('; ');
  if (score.value.failed_by.length > 0) return t('sheet.failed', { what: names(score.value.failed_by) });
  return t('sheet.mark', { mark });
});
</script>

<template>
  <div class="border border-ink bg-sheet px-4 py-2" role="status">
    <div class="flex flex-wrap items-baseline gap-x-5">
      <p class="text-2xl font-bold" :class="tone">{{ shape }} {{ t(`outcome.${score.outcome}`) }}</p>
      <p class="reading text-2xl">{{ score.score_percent.toFixed(1) }} %</p>
      <p>{{ reason }}</p>
      <p v-if="unsaved > 0" class="ml-auto font-semibold text-no">✕ {{ t('sheet.unsaved', unsaved) }}</p>
      <p v-else class="ml-auto text-sm text-quiet">{{ pending > 0 ? t('sheet.saving', pending) : t('sheet.saved') }}</p>
    </div>
    <svg viewBox="0 0 100 6" preserveAspectRatio="none" class="mt-1 h-4 w-full" aria-hidden="true">
      <line
        v-for="tick in 101"
        :key="tick"
        :x1="tick - 1"
        :x2="tick - 1"
        y1="6"
        :y2="(tick - 1) % 10 === 0 ? 0 : (tick - 1) % 5 === 0 ? 2.4 : 3.8"
        stroke="var(--quiet)"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
      <rect x="0" y="4.4" :width="score.score_percent" height="1.6" fill="var(--blue)" />
      <line
        :x1="attempt.sheet.pass_mark_percent"
        :x2="attempt.sheet.pass_mark_percent"
        y1="0"
        y2="6"
        stroke="var(--no)"
        stroke-width="2"
        vector-effect="non-scaling-stroke"
      />
    </svg>
  </div>
</template>
