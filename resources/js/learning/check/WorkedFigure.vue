<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import { useI18n } from 'vue-i18n';

/** A figure to be worked out; a length may be typed in any unit and keeps the one in which it was typed. */
const props = defineProps<{ question: Schemas['Question']; answer: string[]; closed: boolean }>();
const emit = defineEmits<{ answer: [value: string[]] }>();
const { t } = useI18n();
const { units } = useUnits();

function keepUnit(typed: string) {
  if (props.question.unit === 'mm') emit('answer', [withUnit(typed, units.value)]);
}
</script>

<template>
  <label class="mt-3 flex items-center gap-3">
    <span class="sr-only">{{ t('check.figure') }}</span>
    <input
      class="field reading max-w-48 text-2xl"
      :value="answer[0] ?? ''"
      :disabled="closed"
      autocomplete="off"
      maxlength="60"
      :data-testid="`figure-${question.id}`"
      @input="emit('answer', [($event.target as HTMLInputElement).value])"
      @change="keepUnit(($event.target as HTMLInputElement).value)"
    />
    <span class="reading">{{
      question.unit === 'mm' ? t('check.anyUnit') : t(`check.unitAlone.${question.unit ?? 'count'}`)
    }}</span>
  </label>
</template>
