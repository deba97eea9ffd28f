<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** One question of a paper: one right answer, steps to put in order, or a figure to work out. */
const props = defineProps<{
  question: Schemas['Question'];
  number: number;
  answer: string[];
  line: Schemas['PaperLine'] | undefined;
  closed: boolean;
}>();
const emit = defineEmits<{ answer: [value: string[]] }>();
const { t } = useI18n();

const texts = computed(() => Object.fromEntries(props.question.choices.map((choice) => [choice.id, choice.text])));
/** Chosen steps first, in the order they were pressed; the others wait below. */
const waiting = computed(() => props.question.choices.filter((choice) => !props.answer.includes(choice.id)));

const { units } = useUnits();
/** A length keeps the unit in which it was typed. */
function keepUnit(typed: string) {
  if (props.question.unit === 'mm') emit('answer', [withUnit(typed, units.value)]);
}

function place(id: string) {
  emit('answer', [...props.answer, id]);
}
function takeBack(id: string) {
  emit(
    'answer',
    props.answer.filter((each) => each !== id),
  );
}
</script>

<template>
  <li class="sheet p-5">
    <p class="label">
      {{ t('check.question', { number }) }} · {{ t(`check.kind.${question.kind}`)
      }}<template v-if="question.critical">
        · <strong class="text-no">◆ {{ t('check.critical') }}</strong></template
      >
    </p>
    <p class="mt-1 text-lg font-semibold">{{ question.text }}</p>

    <div v-if="question.kind === 'one'" class="mt-3 space-y-2" role="radiogroup" :aria-label="question.text">
      <label
        v-for="choice in question.choices"
        :key="choice.id"
        class="flex min-h-12 items-center gap-3 border px-4 py-2"
        :class="answer[0] === choice.id ? 'border-2 border-blue' : 'border-hairline'"
      >
        <input
          type="radio"
          class="size-5"
          :name="question.id"
          :value="choice.id"
          :checked="answer[0] === choice.id"
          :disabled="closed"
          @change="emit('answer', [choice.id])"
        />
        {{ choice.text }}
      </label>
    </div>

    <div v-else-if="question.kind === 'order'" class="mt-3">
      <p class="text-sm text-quiet">{{ t('check.orderHint') }}</p>
      <ol class="mt-2 space-y-2">
        <li v-for="(id, place_) in answer" :key="id">
          <button
            type="button"
            class="flex min-h-12 w-full items-center gap-3 border-2 border-blue px-4 py-2 text-left"
            :disabled="closed"
            @click="takeBack(id)"
          >
            <span class="reading w-6">{{ place_ + 1 }}</span>{{ texts[id] }}
          </button>
        </li>
      </ol>
      <ul class="mt-2 space-y-2">
        <li v-for="choice in waiting" :key="choice.id">
          <button
            type="button"
            class="flex min-h-12 w-full items-center gap-3 border border-hairline px-4 py-2 text-left"
            :disabled="closed"
            @click="place(choice.id)"
          >
            <span class="reading w-6 text-quiet">·</span>{{ choice.text }}
          </button>
        </li>
      </ul>
    </div>

    <label v-else class="mt-3 flex items-center gap-3">
      <span class="sr-only">{{ t('check.figure') }}</span>
      <input
        class="field reading max-w-48 text-2xl"
        :value="answer[0] ?? ''"
        :disabled="closed"
        autocomplete="off"
        :data-testid="`figure-${question.id}`"
        @input="emit('answer', [($event.target as HTMLInputElement).value])"
        @change="keepUnit(($event.target as HTMLInputElement).value)"
      />
      <span class="reading">{{ question.unit === 'mm' ? t('check.anyUnit') : question.unit }}</span>
    </label>

    <div v-if="line" class="mt-4 border-t-2 pt-2" :class="line.right ? 'border-alone' : 'border-no'">
      <p class="font-semibold" :class="line.right ? 'text-alone' : 'text-no'">
        {{
          line.right
            ? `✓ ${t('check.right')}`
            : `✕ ${line.right_answer === null ? t('check.wrongAgain') : t('check.wrong', { answer: line.right_answer })}`
        }}
      </p>
      <p v-if="line.explanation">{{ line.explanation }}</p>
      <p class="text-sm">
        <RouterLink :to="{ name: 'lesson', params: { code: line.lesson } }" class="inline-block py-2">{{
          t('check.lesson', { lesson: line.lesson })
        }}</RouterLink>
      </p>
    </div>
  </li>
</template>
