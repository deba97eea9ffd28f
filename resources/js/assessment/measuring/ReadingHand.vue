<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import SelectField from '@/ui/SelectField.vue';
import { computed, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';
import FoundNote from './FoundNote.vue';
import ReadingFields from './ReadingFields.vue';
import ReadingList from './ReadingList.vue';
import { useCaliper } from './useCaliper';
import { useGauges } from './useGauges';
import { useWanted } from './useWanted';

/** What is measured: the learner first, whoever assesses after them, neither seeing the other's until both are in. */
const props = defineProps<{
  attempt: Schemas['AssessmentAttempt'];
  criterion: Schemas['Criterion'];
  errors?: Record<string, string[]>;
  sending: boolean;
}>();
const emit = defineEmits<{
  read: [seat: Schemas['Seat'], reading: Record<string, string>, gauge: string | null];
  decline: [];
  correct: [];
}>();
const { t } = useI18n();
const { length } = useUnits();
const { fitting, slug, chosen } = useGauges(() => props.criterion.asks ?? 'length');
const fields = useTemplateRef('fields');
const caliper = useCaliper(() => fields.value?.focus());
const learner = computed(() => props.criterion.learner);
const found = computed(() => props.criterion.found ?? null);
const turn = computed(() => props.criterion.turn ?? null);
/** Without a gauge of the record a length is the shop's caliper's; what only goes or does not go has no such figure. */
const hasFigure = computed(() => props.criterion.asks === 'length' || props.criterion.asks === 'place');
const wanted = useWanted();
/** Who measures now; what was read before is in sight by then. */
const label = computed(() =>
  turn.value === 'learner'
    ? t(learner.value?.done ? 'sheet.measuresAgain' : 'sheet.measures', { name: props.attempt.learner.name })
    : t(found.value ? 'sheet.youMeasureAgain' : 'sheet.youMeasure'),
);
const gauges = computed(() => [
  { value: '', label: t(hasFigure.value ? 'sheet.noGauge' : 'sheet.gaugeUnnamed') },
  ...fitting.value.map((gauge) => ({
    value: gauge.slug,
    label: gauge.past_due ? t('sheet.gaugeLate', { name: gauge.name }) : gauge.name,
  })),
]);
</script>

<template>
  <div class="space-y-3" role="group" :aria-label="criterion.text">
    <p class="reading text-2xl">{{ wanted(criterion) }}</p>
    <template v-if="turn">
      <ReadingFields
        ref="fields"
        :key="`${criterion.id}-${turn}-${criterion.readings?.length ?? 0}-${learner?.readings?.length ?? 0}`"
        :criterion="criterion"
        :keep="`${attempt.id}.${criterion.id}.${turn}`"
        :errors="errors"
        focus-first
        :label="label"
        :act="t('sheet.enter')"
        @read="emit('read', turn, $event, slug || null)"
      />
      <div class="flex flex-wrap items-end gap-3">
        <SelectField
          v-if="fitting.length > 0"
          v-model="slug"
          class="min-w-56 flex-1"
          :label="t('sheet.gauge')"
          :options="gauges"
        />
        <button
          v-if="hasFigure && caliper.offered.value"
          type="button"
          class="min-h-12 px-2 text-sm underline underline-offset-4"
          @click="caliper.toggle()"
        >
          {{ t(`sheet.caliper.${caliper.state.value}`) }}
        </button>
      </div>
      <p v-if="chosen?.past_due" class="text-sm font-semibold text-supervised">▲ {{ t('sheet.gaugeLateWords') }}</p>
      <p v-if="chosen && chosen.zero_error_mm !== 0" class="text-sm text-quiet">
        {{ t('sheet.zeroWords', { zero: length(chosen.zero_error_mm, 3) }) }}
      </p>
      <button
        v-if="turn === 'learner' && !learner?.done"
        type="button"
        class="min-h-12 w-full underline underline-offset-4"
        @click="emit('decline')"
      >
        {{ t('sheet.decline', { name: attempt.learner.name }) }}
      </button>
    </template>
    <button v-else type="button" class="min-h-12 underline underline-offset-4" @click="emit('correct')">
      {{ t('sheet.correctReading') }}
    </button>
    <ReadingList v-if="learner?.readings?.length" :readings="learner.readings" :who="attempt.learner.name" />
    <p v-else-if="learner?.declined" class="text-quiet">○ {{ t('sheet.declined', { name: attempt.learner.name }) }}</p>
    <p v-else-if="learner?.done" class="font-semibold">✓ {{ t('sheet.learnerIn', { name: attempt.learner.name }) }}</p>
    <ReadingList v-if="criterion.readings?.length" :readings="criterion.readings" :who="t('sheet.you')" />
    <FoundNote v-if="found" :found="found" />
    <p
      v-if="criterion.apart_mm != null"
      :class="criterion.too_far_apart ? 'font-semibold text-supervised' : 'text-quiet'"
    >
      {{ t('sheet.apart', { by: length(Math.abs(criterion.apart_mm), 3) }) }}
      <template v-if="criterion.too_far_apart">{{ t('sheet.bothAgain') }}</template>
    </p>
    <p v-if="sending" class="text-quiet" role="status">{{ t('sheet.sendingReading') }}</p>
  </div>
</template>
