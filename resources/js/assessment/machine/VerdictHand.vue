<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { resultsOf, type Shown } from '@/assessment/results';

/** One big key a verdict, with what it looks like: all under one hand. */
const props = defineProps<{ criterion: Schemas['Criterion']; locked: boolean }>();
const emit = defineEmits<{ mark: [result: string | number] }>();
const { t } = useI18n();
const results = computed(() => resultsOf(props.criterion));
const chosen: Record<Shown, string> = {
  met: 'border-alone bg-alone text-sheet',
  prompted: 'border-supervised bg-supervised text-sheet',
  not_met: 'border-no bg-no text-sheet',
  not_seen: 'border-quiet bg-quiet text-sheet',
  points: 'border-blue bg-blue text-on-blue',
};
const edge: Record<Shown, string> = {
  met: 'border-alone',
  prompted: 'border-supervised',
  not_met: 'border-no',
  not_seen: 'border-quiet',
  points: 'border-blue',
};
const level = (result: string | number) => props.criterion.levels?.[String(result)];
</script>

<template>
  <div
    class="grid gap-2"
    :class="criterion.kind === 'judged' ? 'grid-cols-1' : 'grid-cols-2'"
    role="group"
    :aria-label="criterion.text"
  >
    <button
      v-for="one in results"
      :key="one.key"
      type="button"
      class="flex min-h-16 items-center gap-3 border-2 px-3 py-2 text-left disabled:opacity-55"
      :class="[
        criterion.mark?.result === one.result ? chosen[one.shown] : `${edge[one.shown]} bg-sheet`,
        criterion.kind === 'judged' ? '' : 'sm:min-h-24',
      ]"
      :aria-pressed="criterion.mark?.result === one.result"
      :disabled="locked"
      @click="emit('mark', one.result)"
    >
      <span class="w-7 text-center text-2xl font-bold" aria-hidden="true">{{ one.shape }}</span>
      <span class="min-w-0">
        <span class="block text-lg font-bold">{{
          one.shown === 'points' ? t('sheet.points', Number(one.result)) : t(`sheet.${one.shown}`)
        }}</span>
        <span v-if="level(one.result)" class="block text-sm">{{ level(one.result) }}</span>
      </span>
    </button>
  </div>
</template>
