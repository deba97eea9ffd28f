<script setup lang="ts">
import type { Schemas } from '@/api/client';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useI18n } from 'vue-i18n';
import FigureText from './FigureText.vue';
import LessonSection from './LessonSection.vue';

/** The lesson on paper: all steps with their figures, black on white. */
defineProps<{ lesson: Schemas['Lesson'] }>();
const { t } = useI18n();
</script>

<template>
  <section>
    <h1>{{ lesson.code }} {{ lesson.title }}</h1>
    <p>{{ t('lesson.facts', { place: lesson.place, minutes: lesson.minutes, version: lesson.version }) }}</p>
    <p v-if="lesson.part && lesson.machine">
      {{
        t('lesson.bound', {
          part: lesson.part.name,
          stock: lesson.part.stock,
          hole: lesson.part.hole,
          machine: lesson.machine.name,
          crib: lesson.machine.crib,
        })
      }}
    </p>
    <p class="mt-2">
      <strong>{{ t('lesson.layOut', lesson.tools.length) }}:</strong>{{ ' ' }}
      <template v-for="(tool, index) in lesson.tools" :key="tool"
        ><FigureText :text="tool" :figures="lesson.figures" />{{
          index < lesson.tools.length - 1 ? '; ' : '.'
        }}</template
      >
    </p>
    <LessonSection class="float-right ml-4 w-64" :lesson="lesson" />
    <ol class="mt-3 space-y-3">
      <li
        v-for="(step, index) in lesson.steps"
        :key="step.key"
        class="break-inside-avoid border-t border-hairline pt-2"
      >
        <p class="font-bold">{{ index + 1 }}. {{ step.title }}</p>
        <p v-if="step.caution" class="border-y-2 border-ink py-1 font-bold">
          ⚠ <FigureText :text="step.caution" :figures="lesson.figures" />
        </p>
        <p class="text-lg"><FigureText :text="step.do" :figures="lesson.figures" /></p>
        <p v-if="step.right" class="text-sm">✓ <FigureText :text="step.right" :figures="lesson.figures" /></p>
        <ul v-if="step.choice" class="ml-4 text-sm">
          <li v-for="option in step.choice" :key="option.id">☐ {{ option.text }}</li>
        </ul>
        <p v-if="step.reading" class="text-sm">{{ step.reading.ask }} ______________</p>
        <p v-if="step.hold" class="text-sm">{{ t('lesson.holdPoint') }} {{ step.hold }} ______________</p>
      </li>
    </ol>
    <PrecedenceNote class="mt-4" />
  </section>
</template>
