<script setup lang="ts">
import { api, must } from '@/api/client';
import { useSay } from '@/language/useSay';
import LessonStep from '@/learning/LessonStep.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { refDebounced } from '@vueuse/core';
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { asGiven, type Language } from './useLessonDraft';

/** The step that is being written, as a learner would see it: drawn and computed for this shop; or all that is wrong. */
const props = defineProps<{
  code: string;
  texts: Partial<Record<Language, string>>;
  language: Language;
  step: string | null;
}>();
const emit = defineEmits<{ look: [fault: { language: Language; line: number }] }>();
const { t } = useI18n();
const { say } = useSay();
const SETTLED_MS = 200;
const asked = refDebounced(
  computed(() => ({ code: props.code, texts: asGiven(props.texts), language: props.language })),
  SETTLED_MS,
);
const preview = useQuery({
  queryKey: ['lesson-preview', asked],
  enabled: () => asked.value.texts.length > 0,
  queryFn: ({ signal }) => must(api.POST('/api/content/lessons/preview', { body: asked.value, signal })),
  placeholderData: keepPreviousData,
  staleTime: Infinity,
  gcTime: 0,
});
/** The last one that could be drawn stays in sight while a fault is being mended. */
const lesson = shallowRef<Schemas['Lesson'] | null>(null);
watch(
  () => preview.data.value?.lesson,
  (next) => {
    if (next) lesson.value = next;
  },
  { immediate: true },
);
const faults = computed(() => preview.data.value?.faults ?? []);
const index = computed(() => Math.max(0, lesson.value?.steps.findIndex((step) => step.key === props.step) ?? 0));
const shown = computed(() => lesson.value?.steps[index.value]);
const languageOf = (file: string) => (file.endsWith('.es.md') ? 'es' : 'en') satisfies Language;
</script>

<template>
  <section :aria-label="t('writing.preview')">
    <ErrorNote :error="preview.error.value" @retry="preview.refetch()" />
    <div v-if="faults.length > 0" role="status" class="mb-3 border-2 border-no bg-sheet p-3" data-testid="faults">
      <p class="font-semibold text-no">✕ {{ t('writing.faults', faults.length) }}</p>
      <ul>
        <li v-for="(fault, place) in faults" :key="place">
          <button
            type="button"
            class="min-h-12 text-left"
            @click="emit('look', { language: languageOf(fault.file), line: fault.line })"
          >
            <span class="reading underline underline-offset-4">{{
              t('writing.line', { language: languageOf(fault.file), line: fault.line })
            }}</span>
            {{ say(fault.what) }}
          </button>
        </li>
      </ul>
    </div>
    <p v-if="lesson?.fault" class="mb-3 border-2 border-supervised bg-sheet p-3">
      <strong class="text-supervised">▲ {{ t('writing.noFigures') }}</strong> {{ say(lesson.fault) }}
    </p>
    <LessonStep
      v-if="lesson && shown"
      :key="shown.key"
      :step="shown"
      :number="index + 1"
      :total="lesson.steps.length"
      :figures="lesson.figures"
      :machine="lesson.machine"
      :can-answer="false"
      :busy="false"
      :class="{ 'opacity-60': faults.length > 0 }"
    />
    <details v-if="lesson && Object.keys(lesson.figures).length > 0" class="mt-3">
      <summary class="min-h-12 cursor-pointer py-3 font-semibold">▸ {{ t('writing.figures') }}</summary>
      <p class="text-sm text-quiet">{{ t('writing.figuresWords') }}</p>
      <p class="mt-1 flex flex-wrap gap-x-4 gap-y-1 text-sm">
        <code v-for="key in Object.keys(lesson.figures)" :key="key" class="reading">{{ `\{\{${key}\}\}` }}</code>
      </p>
    </details>
  </section>
</template>
