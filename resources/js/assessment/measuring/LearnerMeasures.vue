<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useCommand } from '@/ui/useCommand';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import BigButton from '@/ui/BigButton.vue';
import TextField from '@/ui/TextField.vue';
import { computed, reactive } from 'vue';
import { useI18n } from 'vue-i18n';
import FoundNote from './FoundNote.vue';
import PersonalSizes from './PersonalSizes.vue';
import ReadingFields from './ReadingFields.vue';
import ReadingList from './ReadingList.vue';
import { useMarks } from '@/assessment/machine/useMarks';

/** The sheet as its learner has it while it is open: their own sizes, their sums, and what they measure before anybody else. */
const props = defineProps<{ attempt: Schemas['AssessmentAttempt']; queryKey: string[] }>();
const { t } = useI18n();
const { units, length } = useUnits();
const words = (id: string) => props.attempt.criteria.find((criterion) => criterion.id === id)?.text ?? id;
const marks = useMarks(props.attempt.id, props.queryKey, words);
const measured = computed(() => props.attempt.criteria.filter((criterion) => criterion.kind === 'measured'));
const answers = reactive<Record<string, string>>(
  Object.fromEntries(props.attempt.tasks.map((task) => [task.id, task.answer ?? ''])),
);
const answer = useCommand((task: Schemas['AssessmentAttempt']['tasks'][number]) => ({
  about: `task:${props.attempt.id}:${task.id}`,
  method: 'PUT',
  path: `/api/assessment/attempts/${props.attempt.id}/tasks/${task.id}`,
  body: {
    answer: task.unit === 'mm' ? withUnit(answers[task.id] ?? '', units.value) : answers[task.id],
    units: units.value,
  },
  label: { key: 'outbox.task', words: { what: task.text } },
}));
</script>

<template>
  <h1>{{ attempt.sheet.title }}</h1>
  <p class="text-quiet">{{ t('sheet.learnerWords', { assessor: attempt.assessor }) }}</p>
  <PersonalSizes :attempt="attempt" />
  <section v-if="attempt.tasks.length > 0" class="mt-4">
    <h2>{{ t('sheet.tasks') }}</h2>
    <form
      v-for="task in attempt.tasks"
      :key="task.id"
      class="sheet mt-2 flex flex-wrap items-end gap-3 p-4"
      @submit.prevent="answer.run(task)"
    >
      <TextField
        :model-value="answers[task.id] ?? ''"
        class="min-w-60 flex-1"
        reading
        :label="task.text"
        @update:model-value="answers[task.id] = $event"
      />
      <BigButton type="submit" tone="main">{{ t('sheet.taskKeep') }}</BigButton>
      <p v-if="task.answer" class="w-full text-sm text-quiet">✓ {{ t('sheet.taskKept', { answer: task.answer }) }}</p>
    </form>
    <p v-if="answer.error.value" role="alert" class="font-semibold text-no">✕ {{ answer.error.value.message }}</p>
  </section>
  <section class="mt-4">
    <h2>{{ t('sheet.youMeasureAll') }}</h2>
    <p class="text-quiet">{{ t('sheet.youMeasureWords') }}</p>
    <ul class="mt-2 grid gap-3 sm:grid-cols-2">
      <li v-for="criterion in measured" :key="criterion.id" class="sheet space-y-2 p-4">
        <h3 class="text-lg">{{ criterion.text }}</h3>
        <ReadingList
          v-if="criterion.learner?.readings?.length"
          :readings="criterion.learner.readings"
          :who="t('sheet.yours')"
        />
        <ReadingList v-if="criterion.readings?.length" :readings="criterion.readings" :who="attempt.assessor" />
        <FoundNote v-if="criterion.found" :found="criterion.found" />
        <p
          v-if="criterion.apart_mm != null"
          :class="criterion.too_far_apart ? 'font-semibold text-supervised' : 'text-quiet'"
        >
          {{ t('sheet.apart', { by: length(Math.abs(criterion.apart_mm), 3) }) }}
          <template v-if="criterion.too_far_apart">{{ t('sheet.bothAgain') }}</template>
        </p>
        <p v-if="marks.refused.value[criterion.id]" role="alert" class="font-semibold text-no">
          ✕ {{ marks.refused.value[criterion.id]?.message }}
        </p>
        <ReadingFields
          v-if="criterion.turn === 'learner'"
          :key="`${criterion.id}-${criterion.learner?.readings?.length ?? 0}`"
          :criterion="criterion"
          :keep="`${attempt.id}.${criterion.id}.learner`"
          :errors="marks.misread.value[criterion.id]?.errors"
          :label="t('sheet.yourReading')"
          :act="t('sheet.enter')"
          @read="marks.set(criterion.id, { seat: 'learner', reading: $event }, criterion.text)"
        />
      </li>
    </ul>
  </section>
</template>
