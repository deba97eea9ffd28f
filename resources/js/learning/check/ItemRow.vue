<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** One question: how many knew it, what the others chose instead, and what that says about the question. */
const props = defineProps<{ item: Schemas['ItemFigures'] }>();
const { t } = useI18n();
const { say } = useSay();
const { number } = useUnits();
const SIGNS = {
  misleads: '▲',
  tells: '✓',
  tells_little: '○',
  all_right: '○',
  none_right: '▲',
  too_few: '·',
} as const;
const alarming = computed(() => ['misleads', 'none_right'].includes(props.item.verdict));
/** A text with the names of its figures, as it is drawn from. */
const text = computed(() => props.item.text.replace(/\{(\w+?)(?:_mm)?!?\}/g, '…'));
</script>

<template>
  <li
    class="grid gap-x-6 gap-y-1 border-t border-hairline px-4 py-3 first:border-t-0 md:grid-cols-[minmax(0,1fr)_20rem]"
  >
    <div>
      <p class="label">
        {{ t(`check.kind.${item.kind}`) }} ·
        <RouterLink :to="{ name: 'lesson', params: { code: item.lesson } }" class="inline-flex min-h-12 items-center">{{
          t('teaching.lesson', { lesson: item.lesson })
        }}</RouterLink><template v-if="item.critical">
          · <strong class="text-no">◆ {{ t('check.critical') }}</strong></template
        >
      </p>
      <p class="font-semibold">{{ text }}</p>
      <template v-if="item.wrong.length > 0">
        <p class="mt-1 text-sm text-quiet">{{ t('teaching.checks.instead') }}</p>
        <ul class="text-sm">
          <li v-for="(chosen, place) in item.wrong" :key="place">
            <span class="reading mr-1">{{ number(chosen.times) }} ×</span> {{ say(chosen.chosen) }}
          </li>
        </ul>
      </template>
    </div>
    <div>
      <template v-if="item.success !== null">
        <p class="font-semibold">
          {{ t('teaching.checks.knew', { right: number(item.right), asked: number(item.asked) }) }}
        </p>
        <span class="bar" aria-hidden="true"><span :style="{ width: `${100 * item.success}%` }" /></span>
      </template>
      <p class="text-sm" :class="alarming ? 'font-semibold text-no' : 'text-quiet'">
        <span aria-hidden="true">{{ SIGNS[item.verdict] }}</span> {{ t(`teaching.verdict.${item.verdict}`) }}
      </p>
    </div>
  </li>
</template>

<style scoped>
.bar {
  display: block;
  height: 6px;
  margin: 0.25rem 0;
  border: 1px solid var(--quiet);
}
.bar > span {
  display: block;
  height: 100%;
  background: var(--quiet);
}
</style>
