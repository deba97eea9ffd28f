<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { letter } from './letter';

/** Steps that are put in order by pressing them: the placed ones first, the others wait below. */
const props = defineProps<{ question: Schemas['Question']; answer: string[]; closed: boolean }>();
const emit = defineEmits<{ answer: [value: string[]] }>();
const { t } = useI18n();
const texts = computed(() => Object.fromEntries(props.question.choices.map((choice) => [choice.id, choice.text])));
const waiting = computed(() => props.question.choices.filter((choice) => !props.answer.includes(choice.id)));
const letterOf = (id: string) => letter(props.question.choices.findIndex((choice) => choice.id === id));
const takeBack = (id: string) =>
  emit(
    'answer',
    props.answer.filter((each) => each !== id),
  );
</script>

<template>
  <div class="mt-3">
    <p class="text-sm text-quiet">{{ t('check.orderHint') }}</p>
    <ol class="mt-2 space-y-2">
      <li v-for="(id, place) in answer" :key="id">
        <button
          type="button"
          class="flex min-h-12 w-full items-center gap-3 border-2 border-blue px-4 py-2 text-left"
          :disabled="closed"
          :data-step="id"
          @click="takeBack(id)"
        >
          <span class="reading w-6">{{ place + 1 }}</span>{{ texts[id] }}
        </button>
      </li>
    </ol>
    <ul class="mt-2 space-y-2">
      <li v-for="choice in waiting" :key="choice.id">
        <button
          type="button"
          class="flex min-h-12 w-full items-center gap-3 border border-hairline px-4 py-2 text-left"
          :disabled="closed"
          :data-step="choice.id"
          @click="emit('answer', [...answer, choice.id])"
        >
          <span class="reading w-6 text-quiet">{{ letterOf(choice.id) }}</span>{{ choice.text }}
        </button>
      </li>
    </ul>
  </div>
</template>
