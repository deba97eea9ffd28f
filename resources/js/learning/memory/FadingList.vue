<script setup lang="ts">
import { api, must } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** What a learner still has of each lesson whose questions were passed, the most faded first. */
const props = defineProps<{ learnerId: number; own: boolean }>();
const { t } = useI18n();
const { number } = useUnits();
const FIRST = 5;
const memory = useQuery({
  queryKey: ['memory', props.learnerId],
  queryFn: () =>
    must(
      api.GET('/api/learning/learners/{learner}/memory', { params: { path: { learner: String(props.learnerId) } } }),
    ),
});
const whole = ref(false);
const lessons = computed(() => memory.data.value?.lessons ?? []);
const shown = computed(() => (whole.value ? lessons.value : lessons.value.slice(0, FIRST)));
const due = computed(() => lessons.value.reduce((sum, lesson) => sum + lesson.due, 0));
</script>

<template>
  <section v-if="lessons.length > 0 || memory.error.value" class="print:hidden">
    <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
      <div class="min-w-64 flex-1">
        <h2>{{ t('memory.title') }}</h2>
        <p class="text-quiet">{{ t('memory.words') }}</p>
      </div>
      <RouterLink
        v-if="own && due > 0"
        :to="{ name: 'questions' }"
        class="inline-flex min-h-12 items-center border border-quiet bg-sheet px-5 font-semibold no-underline"
        >{{ t('memory.toQuestions') }}</RouterLink
      >
    </div>
    <ErrorNote class="mt-2" :error="memory.error.value" @retry="memory.refetch()" />
    <ul class="sheet mt-2">
      <li
        v-for="lesson in shown"
        :key="lesson.lesson"
        class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-t border-hairline px-4 py-1 first:border-t-0 sm:grid-cols-[minmax(0,1fr)_12rem_12rem]"
      >
        <RouterLink
          :to="{ name: 'lesson', params: { code: lesson.lesson } }"
          class="inline-flex min-h-12 items-center gap-2"
          ><span class="reading text-bronze">{{ lesson.lesson }}</span> {{ lesson.title }}</RouterLink
        >
        <span class="still hidden sm:block" aria-hidden="true"
          ><span :style="{ width: `${100 * lesson.recall}%` }"
        /></span>
        <span class="text-right sm:text-left">
          <span class="reading">{{ number(Math.round(100 * lesson.recall)) }} %</span>
          <span class="block text-sm" :class="lesson.due > 0 ? 'font-semibold text-supervised' : 'text-quiet'">{{
            lesson.due > 0 ? `▲ ${t('memory.due', lesson.due)}` : t('memory.fresh')
          }}</span>
        </span>
      </li>
    </ul>
    <button
      v-if="lessons.length > FIRST"
      type="button"
      class="min-h-12 px-2 underline underline-offset-4"
      :aria-expanded="whole"
      @click="whole = !whole"
    >
      {{ whole ? t('memory.fewer') : t('memory.all', lessons.length) }}
    </button>
  </section>
</template>

<style scoped>
.still {
  height: 10px;
  border: 1px solid var(--quiet);
}
.still > span {
  display: block;
  height: 100%;
  background: var(--bronze);
}
</style>
