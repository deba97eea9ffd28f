<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { moved, sections } from './lessonText';

/** The steps of a text in their order, to be looked for and moved. */
const props = defineProps<{ text: string; current: string | null; readonly: boolean }>();
const emit = defineEmits<{ move: [text: string]; look: [place: number]; add: [] }>();
const { t } = useI18n();
const steps = computed(() => sections(props.text));
</script>

<template>
  <ol class="sheet" :aria-label="t('writing.steps')">
    <li
      v-for="(step, place) in steps"
      :key="`${step.key} ${place}`"
      class="flex items-center gap-1 border-t border-hairline pl-3 first:border-t-0"
      :class="{ 'bg-steel': step.key === current }"
    >
      <button type="button" class="min-h-12 flex-1 text-left" @click="emit('look', step.from)">
        <span class="reading mr-2 text-quiet">{{ place + 1 }}</span>{{ step.title }}
      </button>
      <template v-if="!readonly">
        <button
          type="button"
          class="min-h-12 min-w-12"
          :disabled="place === 0"
          :class="{ 'opacity-30': place === 0 }"
          :aria-label="t('writing.up', { step: step.title })"
          @click="emit('move', moved(text, step.key, -1))"
        >
          ↑
        </button>
        <button
          type="button"
          class="min-h-12 min-w-12"
          :disabled="place === steps.length - 1"
          :class="{ 'opacity-30': place === steps.length - 1 }"
          :aria-label="t('writing.down', { step: step.title })"
          @click="emit('move', moved(text, step.key, 1))"
        >
          ↓
        </button>
      </template>
    </li>
    <li v-if="!readonly" class="border-t border-hairline">
      <button type="button" class="min-h-12 px-3 underline underline-offset-4" @click="emit('add')">
        + {{ t('writing.addStep') }}
      </button>
    </li>
  </ol>
</template>
