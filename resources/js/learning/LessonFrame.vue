<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import PlanLinks from '@/planning/saved/PlanLinks.vue';
import FigureText from './FigureText.vue';

/** What stands around the steps, folded to one line until it is wanted: what one needs, words, what people say, the card. */
const props = defineProps<{ lesson: Schemas['Lesson'] }>();
const emit = defineEmits<{ card: []; sheet: [] }>();
const { t } = useI18n();
const frame = computed(() => props.lesson.frame);
const adaptations = computed(() =>
  (['left_handed', 'seated', 'deaf'] as const).flatMap((who) => {
    const words = frame.value.adaptations[who];
    return words ? [{ who, words }] : [];
  }),
);
const ending = computed(() => {
  const { repeat, can, not_yet } = frame.value.ending;
  return [repeat, can, not_yet].filter((words) => words !== null);
});
</script>

<template>
  <details>
    <summary class="flex min-h-12 cursor-pointer items-center font-semibold">▸ {{ t('lesson.about') }}</summary>
    <div class="grid items-start gap-x-8 gap-y-4 pb-3 md:grid-cols-2">
      <section class="md:col-span-2">
        <p class="text-quiet">
          {{ t('lesson.facts', { place: lesson.place, minutes: lesson.minutes, version: lesson.version }) }}
        </p>
        <p v-if="lesson.part && lesson.machine" class="text-quiet">
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
        <PlanLinks class="mt-1" :plans="lesson.plans" />
        <p class="flex flex-wrap gap-x-6">
          <button type="button" class="min-h-12 underline underline-offset-4" @click="emit('sheet')">
            {{ t('lesson.print') }}
          </button>
          <button
            v-if="frame.card.length"
            type="button"
            class="min-h-12 underline underline-offset-4"
            @click="emit('card')"
          >
            {{ t('lesson.frame.cardPrint') }}
          </button>
        </p>
      </section>
      <section>
        <h2 class="text-lg">{{ t('lesson.layOut', lesson.tools.length) }}</h2>
        <p v-if="frame.opening">{{ frame.opening }}</p>
        <ul class="ml-6 list-disc">
          <li v-for="tool in lesson.tools" :key="tool"><FigureText :text="tool" :figures="lesson.figures" /></li>
        </ul>
      </section>
      <section v-if="frame.words.length">
        <h2 class="text-lg">{{ t('lesson.frame.words') }}</h2>
        <dl>
          <div v-for="entry in frame.words" :key="entry.word" class="flex gap-2">
            <dt class="shrink-0 font-semibold">{{ entry.word }}:</dt>
            <dd>{{ entry.is }}</dd>
          </div>
        </dl>
      </section>
      <section v-if="frame.misconceptions.length">
        <h2 class="text-lg">{{ t('lesson.frame.misconceptions') }}</h2>
        <dl>
          <div v-for="entry in frame.misconceptions" :key="entry.said" class="mb-1">
            <dt class="italic">“{{ entry.said }}”</dt>
            <dd>{{ entry.so }}</dd>
          </div>
        </dl>
      </section>
      <section v-if="adaptations.length">
        <h2 class="text-lg">{{ t('lesson.frame.adaptations') }}</h2>
        <dl>
          <div v-for="entry in adaptations" :key="entry.who" class="mb-1">
            <dt class="font-semibold">{{ t(`lesson.frame.${entry.who}`) }}</dt>
            <dd>{{ entry.words }}</dd>
          </div>
        </dl>
        <p class="text-quiet">{{ t('lesson.frame.same') }}</p>
      </section>
      <section v-if="ending.length">
        <h2 class="text-lg">{{ t('lesson.frame.ending') }}</h2>
        <p v-for="words in ending" :key="words">{{ words }}</p>
      </section>
    </div>
  </details>
</template>
