<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import DrawingView from '@/planning/drawing/DrawingView.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { letter } from './letter';
import { useFilledIn } from './useFilledIn';

/** A question as it stands on paper: boxes to tick, numbers to write, a line for the figure, a drawing to put crosses on. */
const props = defineProps<{
  question: Schemas['Question'];
  number: number;
  /** What is right, where the answers are printed with it. */
  line: Schemas['PaperLine'] | undefined;
}>();
const { t } = useI18n();
const { say } = useSay();
const { filledIn } = useFilledIn();
const right = computed(() => {
  const { line, question } = props;
  if (!line) return null;
  const answer = line.right_answer === null ? '' : say(line.right_answer);
  return filledIn(answer, line.values, line.answer, question.unit);
});
</script>

<template>
  <li class="break-inside-avoid">
    <p class="font-semibold">
      {{ number }}. {{ filledIn(question.text, question.values) }} <span v-if="question.critical">◆</span>
    </p>
    <p class="text-[9pt]">{{ t(`check.paper.${question.kind}`) }}</p>
    <DrawingView v-if="question.scene" :drawing="question.scene.drawing" class="mx-auto max-w-[12cm]" />
    <p v-else-if="question.kind === 'worked'" class="mt-3">
      …………………………
      {{ question.unit === 'mm' ? t('check.paper.unit') : t(`check.unitAlone.${question.unit ?? 'count'}`) }}
    </p>
    <ul v-else>
      <li v-for="(choice, place) in question.choices" :key="choice.id" class="flex gap-2">
        <span aria-hidden="true">{{ question.kind === 'order' ? '___' : '☐' }}</span>
        <span
          ><span class="reading">{{ letter(place) }}</span> {{ choice.text }}</span
        >
      </li>
    </ul>
    <p v-if="line" class="mt-1 border-l-2 border-ink pl-2 text-[9.5pt]">
      <strong>{{ t('check.paper.right') }}</strong> {{ right }}
      <span class="block">{{ filledIn(line.explanation ?? '', line.values, line.answer, question.unit) }}</span>
    </p>
  </li>
</template>
