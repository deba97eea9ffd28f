<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import ChooseOptions from './ChooseOptions.vue';
import HazardScene from './HazardScene.vue';
import OrderSteps from './OrderSteps.vue';
import QuestionOutcome from './QuestionOutcome.vue';
import WorkedFigure from './WorkedFigure.vue';
import { useFilledIn } from './useFilledIn';

/** One question of a paper, and what came of it once it was handed in. */
const props = defineProps<{
  question: Schemas['Question'];
  number: number;
  answer: string[];
  line: Schemas['PaperLine'] | undefined;
  closed: boolean;
}>();
const emit = defineEmits<{ answer: [value: string[]] }>();
const { t } = useI18n();
const { filledIn } = useFilledIn();
const WAYS = { one: ChooseOptions, several: ChooseOptions, order: OrderSteps, worked: WorkedFigure };
const way = computed(() => (props.question.kind === 'hazard' ? undefined : WAYS[props.question.kind]));
</script>

<template>
  <li class="sheet p-5" :data-question="question.id">
    <p class="label">
      {{ t('check.question', { number }) }} · {{ t(`check.kind.${question.kind}`)
      }}<template v-if="question.critical">
        · <strong class="text-no">◆ {{ t('check.critical') }}</strong></template
      >
    </p>
    <p class="mt-1 text-lg font-semibold">{{ filledIn(question.text, question.values) }}</p>
    <HazardScene
      v-if="question.scene"
      :scene="question.scene"
      :answer="answer"
      :closed="closed"
      @answer="emit('answer', $event)"
    />
    <component
      :is="way"
      v-else
      :question="question"
      :answer="answer"
      :closed="closed"
      @answer="emit('answer', $event)"
    />
    <QuestionOutcome v-if="line" :line="line" :unit="question.unit" />
  </li>
</template>
