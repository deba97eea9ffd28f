<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';
import { letter } from './letter';

/** Options of which one, or several, are right. */
const props = defineProps<{ question: Schemas['Question']; answer: string[]; closed: boolean }>();
const emit = defineEmits<{ answer: [value: string[]] }>();
const { t } = useI18n();

function choose(id: string, on: boolean) {
  if (props.question.kind === 'one') emit('answer', [id]);
  else emit('answer', on ? [...props.answer, id] : props.answer.filter((each) => each !== id));
}
</script>

<template>
  <div class="mt-3 space-y-2" :role="question.kind === 'one' ? 'radiogroup' : 'group'" :aria-label="question.text">
    <p v-if="question.kind === 'several'" class="text-sm text-quiet">{{ t('check.several') }}</p>
    <label
      v-for="(choice, place) in question.choices"
      :key="choice.id"
      class="flex min-h-12 items-center gap-3 border px-4 py-2"
      :class="answer.includes(choice.id) ? 'border-2 border-blue' : 'border-hairline'"
    >
      <input
        :type="question.kind === 'one' ? 'radio' : 'checkbox'"
        class="size-5 shrink-0"
        :name="question.id"
        :value="choice.id"
        :checked="answer.includes(choice.id)"
        :disabled="closed"
        @change="choose(choice.id, ($event.target as HTMLInputElement).checked)"
      />
      <span class="reading text-quiet" aria-hidden="true">{{ letter(place) }}</span>
      <span>{{ choice.text }}</span>
    </label>
  </div>
</template>
