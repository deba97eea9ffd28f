<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';

/** The learner's own dimensions, and what they worked out from them, with the key where it may be seen. */
defineProps<{ attempt: Schemas['AssessmentAttempt'] }>();
const { t } = useI18n();
const { length, number } = useUnits();
const figure = (unit: string, value: number) => (unit === 'mm' ? length(value) : number(value));
</script>

<template>
  <div v-if="attempt.dimensions.length > 0" class="mt-2">
    <ul class="flex flex-wrap gap-x-6">
      <li v-for="dimension in attempt.dimensions" :key="dimension.id">
        <span class="text-quiet">{{ dimension.name }}: </span>
        <strong class="reading text-xl">{{ length(dimension.mm) }}</strong>
      </li>
    </ul>
    <ul v-if="attempt.tasks.length > 0 && attempt.viewer !== 'learner'" class="mt-1">
      <li v-for="task in attempt.tasks" :key="task.id" class="text-sm">
        {{ task.text }}
        <strong v-if="task.key !== null" class="reading">{{ figure(task.unit, task.key) }}</strong>
        <span v-if="task.answer === null" class="text-quiet"> · {{ t('sheet.taskOpen') }}</span>
        <span v-else :class="task.right ? 'text-alone' : 'text-no'" class="font-semibold">
          · {{ task.right ? '✓' : '✕' }} {{ t('sheet.taskSaid', { answer: task.answer }) }}</span
        >
      </li>
    </ul>
  </div>
</template>
