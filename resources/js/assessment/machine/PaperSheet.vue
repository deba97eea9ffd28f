<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import MaySay from '@/assessment/conduct/MaySay.vue';
import { useConduct } from '@/assessment/conduct/useConduct';
import { useWanted } from '@/assessment/measuring/useWanted';

/** The sheet on paper: empty, to be filled in with a pencil, or as it was filled in. */
type Criterion = Pick<
  Schemas['Criterion'],
  'id' | 'text' | 'kind' | 'critical' | 'levels' | 'scale_max' | 'wants' | 'asks'
> &
  Partial<Schemas['Criterion']>;
const props = defineProps<{
  sheet: {
    title: string;
    part: string;
    material?: string;
    machine: string | null;
    version: number;
    pass_mark_percent: number;
    gates?: Schemas['SheetGates'] | null;
  };
  criteria: Criterion[];
  attempt?: Schemas['AssessmentAttempt'];
  shown?: boolean;
}>();
const { t, d } = useI18n();
const { length } = useUnits();
const { times } = useConduct();
const RESULTS = ['met', 'prompted', 'not_met'] as const;
const typed = (readings: Schemas['SheetReading'][] | null | undefined) =>
  (readings ?? []).map((reading) =>
    Object.values(reading.typed)
      .filter((text) => text !== '')
      .map((text) => (text === 'yes' || text === 'no' ? t(`sheet.${text}`) : withUnit(text, reading.units)))
      .join(' / '),
  );
const wanted = useWanted();
/** On an empty form the size is written in by hand. */
const isOwn = ({ asks, wants }: Criterion) => asks === 'length' && wants?.upper_mm === undefined;
const box = (on: boolean) => (on ? '☒' : '☐');
/** Of an empty sheet all its reasons are printed; a try draws three of them. */
const ASKED = 3;
const reasons = computed(() => props.criteria.filter(({ follow_ups }) => follow_ups?.length).length);
const result = (criterion: Criterion) => props.attempt?.criteria.find(({ id }) => id === criterion.id)?.mark?.result;
</script>

<template>
  <article
    class="text-[9.5pt] leading-snug"
    :class="shown ? 'sheet p-6 print:border-0 print:p-0' : 'hidden print:block'"
  >
    <h1 class="text-[16pt]">{{ sheet.title }}</h1>
    <p>
      {{ sheet.part }}<template v-if="sheet.material">, {{ sheet.material }}</template
      ><template v-if="sheet.machine">, {{ sheet.machine }}</template> ·
      {{ t('sheet.version', { version: sheet.version }) }} ·
      {{ t('sheet.mark', { mark: sheet.pass_mark_percent }) }}
      <template v-if="sheet.gates"
        >·
        {{
          t('sheet.gates', {
            observed: sheet.gates.observed_pass_percent ?? 0,
            prompts: sheet.gates.prompt_limit,
            why: sheet.gates.why_limit,
          })
        }}</template
      >
    </p>
    <p class="mt-2 grid grid-cols-2 gap-6">
      <span class="border-b border-ink">{{ t('sheet.paper.learner') }} {{ attempt?.learner.name }}</span>
      <span class="border-b border-ink">{{ t('sheet.paper.assessor') }} {{ attempt?.assessor }}</span>
      <span class="border-b border-ink"
        >{{ t('sheet.paper.date') }} {{ attempt ? d(attempt.started_at, { dateStyle: 'long' }) : '' }}</span
      >
      <span class="border-b border-ink">{{ t('sheet.paper.part') }} {{ attempt?.part_code ?? '' }}</span>
    </p>
    <p v-if="attempt && attempt.dimensions.length > 0" class="mt-2">
      <span v-for="dimension in attempt.dimensions" :key="dimension.id" class="mr-6"
        >{{ dimension.name }}: <strong>{{ length(dimension.mm) }}</strong></span
      >
    </p>
    <table class="mt-3 w-full border-collapse">
      <thead>
        <tr class="border-b-2 border-ink text-left">
          <th class="w-6 pr-2">{{ t('sheet.paper.no') }}</th>
          <th>{{ t('sheet.paper.what') }}</th>
          <th class="w-64">{{ t('sheet.paper.found') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(criterion, index) in criteria"
          :key="criterion.id"
          class="break-inside-avoid border-b border-hairline align-top"
        >
          <td class="reading py-1 pr-2">{{ index + 1 }}</td>
          <td class="py-1 pr-3">
            <strong>{{ criterion.text }}</strong> <span v-if="criterion.critical">◆</span
            ><span v-else-if="criterion.must">◇</span>
            <span v-if="criterion.kind === 'observed' && criterion.levels" class="block text-[8pt]">
              ✓ {{ criterion.levels.met }} · ▲ {{ criterion.levels.prompted }} · ✕ {{ criterion.levels.not_met }}
            </span>
            <span v-if="criterion.follow_ups?.length" class="block text-[8pt]">
              {{ criterion.follow_ups.join(' ') }}
              <span class="block min-h-5 border-b border-quiet"
                >{{ t('sheet.paper.answer') }} {{ (criterion.notes ?? []).map(({ text }) => text).join('; ') }}</span
              >
            </span>
            <span v-if="criterion.kind === 'measured'" class="block text-[8pt]">
              {{ wanted(criterion) }}
              <span v-if="isOwn(criterion)" class="ml-1 inline-block h-4 w-28 border-b border-quiet" />
            </span>
          </td>
          <td class="py-1">
            <template v-if="criterion.kind === 'observed'">
              <span v-for="one in RESULTS" :key="one" class="mr-3 whitespace-nowrap"
                >{{ box(result(criterion) === one) }} {{ t(`sheet.${one}`) }}</span
              >
            </template>
            <template v-else-if="criterion.kind === 'judged'">
              <span v-for="point in (criterion.scale_max ?? 1) + 1" :key="point" class="mr-3"
                >{{ box(result(criterion) === point - 1) }} {{ point - 1 }}</span
              >
            </template>
            <span v-else class="grid grid-cols-2 gap-2">
              <span class="min-h-5 border-b border-quiet"
                >{{ t('sheet.paper.theirs') }} {{ typed(criterion.learner?.readings).join('; ') }}</span
              >
              <span class="min-h-5 border-b border-quiet"
                >{{ t('sheet.paper.yours') }} {{ typed(criterion.readings).join('; ') }}</span
              >
              <strong v-if="criterion.found" class="col-span-2">{{
                t(`sheet.judged.${criterion.found.verdict}`)
              }}</strong>
            </span>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="mt-2 text-[8pt]">
      ◆ {{ t('sheet.critical') }}. ◇ {{ t('sheet.must') }}.
      <template v-if="!attempt && reasons > ASKED">{{ t('sheet.paper.reasons') }}</template> {{ t('sheet.paper.keys') }}
      {{ t('sheet.paper.legend') }}
    </p>
    <MaySay paper :gates="sheet.gates" />
    <p v-if="attempt && attempt.conduct.said.length > 0" class="mt-2 text-[8pt]">
      {{ t('sheet.conduct') }}: {{ times(attempt.conduct.said) }}
    </p>
    <p v-if="attempt?.outcome && attempt.score" class="mt-3 text-[13pt] font-bold">
      {{ t(`outcome.${attempt.outcome}`) }}, {{ attempt.score.score_percent.toFixed(1) }} %
    </p>
    <p class="mt-8 grid grid-cols-2 gap-6">
      <span class="border-t border-ink pt-1">{{ t('sheet.paper.signedLearner') }}</span>
      <span class="border-t border-ink pt-1">{{ t('sheet.paper.signedAssessor') }}</span>
    </p>
  </article>
</template>
