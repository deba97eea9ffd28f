<script setup lang="ts">
import type { Schemas } from '@/api/client';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useI18n } from 'vue-i18n';
import FigureText from './FigureText.vue';

/** The instructor's card for showing a lesson: who stands where, what is shown, and each step in a line. */
defineProps<{ lesson: Schemas['Lesson'] }>();
const { t } = useI18n();
</script>

<template>
  <section>
    <p class="label">{{ t('lesson.frame.card') }}</p>
    <h1>{{ lesson.code }} {{ lesson.title }}</h1>
    <p>{{ t('lesson.facts', { place: lesson.place, minutes: lesson.minutes, version: lesson.version }) }}</p>
    <ol class="my-2 ml-5 list-decimal text-[11.5pt]">
      <li v-for="line in lesson.frame.card" :key="line">{{ line }}</li>
    </ol>
    <p>
      <strong>{{ t('lesson.layOut', lesson.tools.length) }}:</strong>{{ ' ' }}
      <template v-for="(tool, index) in lesson.tools" :key="tool"
        ><FigureText :text="tool" :figures="lesson.figures" />{{
          index < lesson.tools.length - 1 ? '; ' : '.'
        }}</template
      >
    </p>
    <ol class="mt-2 gap-x-5 text-[10pt] leading-snug print:columns-2">
      <li
        v-for="(step, index) in lesson.steps"
        :key="step.key"
        class="break-inside-avoid border-t border-hairline py-1"
      >
        <strong>{{ index + 1 }} {{ step.title }}</strong>
        <span v-if="step.hold" class="font-bold"> ‖ {{ t('lesson.holdPoint') }}</span>
        <span v-if="step.caution" class="block font-semibold"
          >⚠ <FigureText :text="step.caution" :figures="lesson.figures"
        /></span>
        <span v-if="step.why" class="block text-sm"><FigureText :text="step.why" :figures="lesson.figures" /></span>
      </li>
    </ol>
    <p v-for="entry in lesson.frame.misconceptions" :key="entry.said" class="mt-1 text-sm">
      “{{ entry.said }}” {{ entry.so }}
    </p>
    <PrecedenceNote class="mt-2 text-[9pt]" />
  </section>
</template>
