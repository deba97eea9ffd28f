<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useFilledIn } from './useFilledIn';

/** Right or wrong; what is said to the wrong choice; why; and where it is taught. */
const props = defineProps<{ line: Schemas['PaperLine']; unit: string | null }>();
const { t } = useI18n();
const { say } = useSay();
const { filledIn } = useFilledIn();
const filled = (text: string) => filledIn(text, props.line.values, props.line.answer, props.unit);
const verdict = computed(() => {
  if (props.line.right) return `✓ ${t('check.right')}`;
  return `✕ ${
    props.line.right_answer === null
      ? t('check.wrongAgain')
      : t('check.wrong', { answer: filled(say(props.line.right_answer)) })
  }`;
});
</script>

<template>
  <div class="mt-4 border-t-2 pt-2" :class="line.right ? 'border-alone' : 'border-no'">
    <p class="font-semibold" :class="line.right ? 'text-alone' : 'text-no'">{{ verdict }}</p>
    <p v-for="reply in line.replies" :key="reply">{{ reply }}</p>
    <p v-if="line.explanation">{{ filled(line.explanation) }}</p>
    <p class="text-sm">
      <RouterLink :to="{ name: 'lesson', params: { code: line.lesson } }" class="inline-block py-2">{{
        t('check.lesson', { lesson: line.lesson })
      }}</RouterLink>
    </p>
  </div>
</template>
