<script setup lang="ts">
import type { Schemas } from '@/api/client';
import DrawingView from '@/planning/drawing/DrawingView.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import FigureText from './FigureText.vue';
import LessonSection from './LessonSection.vue';

/** The lesson on paper: all steps with their figures, black on white. */
const props = defineProps<{ lesson: Schemas['Lesson'] }>();
const drawn = computed(() => props.lesson.steps.some((step) => step.drawing));
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
    <LessonSection v-if="!drawn" class="float-right ml-4 w-64" :lesson="lesson" />
    <!-- Two columns, each step whole: what fits goes onto one page. -->
    <ol class="mt-2 gap-x-5 text-[10.5pt] leading-snug print:columns-2">
      <li
        v-for="(step, index) in lesson.steps"
        :key="step.key"
        class="mb-2 break-inside-avoid border-t border-hairline pt-1"
      >
        <div v-if="step.drawing" class="float-right mb-1 ml-2 w-[3.4cm]">
          <DrawingView :drawing="step.drawing" class="max-h-[2.6cm]" />
        </div>
        <p class="font-bold">{{ index + 1 }}. {{ step.title }}</p>
        <p v-if="step.caution" class="overflow-hidden border-y border-ink text-[9.5pt] font-bold">
          ⚠ <FigureText :text="step.caution" :figures="lesson.figures" />
        </p>
        <p><FigureText :text="step.do" :figures="lesson.figures" /></p>
        <p v-if="step.right" class="text-[9.5pt]">✓ <FigureText :text="step.right" :figures="lesson.figures" /></p>
        <ul v-if="step.choice" class="text-[9.5pt]">
          <li v-for="option in step.choice" :key="option.id">
            ☐ <FigureText :text="option.text" :figures="lesson.figures" />
          </li>
        </ul>
        <p v-if="step.reading" class="text-[9.5pt]">{{ step.reading.ask }} __________</p>
        <p v-if="step.hold" class="text-[9.5pt]">
          <strong>{{ t('lesson.holdPoint') }}</strong>
          <FigureText :text="step.hold" :figures="lesson.figures" /> __________
        </p>
      </li>
    </ol>
    <PrecedenceNote class="mt-2 text-[9pt]" />
  </section>
</template>
