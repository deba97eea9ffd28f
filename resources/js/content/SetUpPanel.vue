<script setup lang="ts">
import { api, must } from '@/api/client';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** The way of a new shop to its first learner at a machine; gone once it has been walked. */
const { t } = useI18n();
const { data: done } = useQuery({ queryKey: ['set-up'], queryFn: () => must(api.GET('/api/content/set-up')) });
const WAY = [
  { key: 'shop', to: 'shop' },
  { key: 'policy', to: 'policy' },
  { key: 'cribs', to: 'cribs' },
  { key: 'machines', to: 'workshop' },
  { key: 'content', to: 'content' },
  { key: 'people', to: 'people' },
  { key: 'permits', to: 'permits' },
  { key: 'badges', to: 'people' },
  { key: 'screens', to: 'devices' },
] as const;
const steps = computed(() => WAY.map((step) => ({ ...step, done: done.value?.[step.key] ?? true })));
const next = computed(() => steps.value.find((step) => !step.done));
</script>

<template>
  <section v-if="done && next" class="border-2 border-blue bg-sheet p-4">
    <h2>{{ t('setUp.title') }}</h2>
    <ol class="mt-2 grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
      <li v-for="step in steps" :key="step.key" class="flex min-h-12 items-center gap-2">
        <span class="reading w-5" :class="step.done ? 'text-alone' : 'text-quiet'" aria-hidden="true">{{
          step.done ? '✓' : '○'
        }}</span>
        <RouterLink
          :to="{ name: step.to }"
          class="inline-flex min-h-12 items-center"
          :class="{ 'font-bold': step.key === next.key, 'text-quiet': step.done }"
          >{{ t(`setUp.step.${step.key}`) }}</RouterLink
        >
        <span v-if="step.done" class="sr-only">{{ t('setUp.done') }}</span>
      </li>
    </ol>
    <p class="mt-2">
      <strong>{{ t('setUp.next') }}</strong> {{ t(`setUp.words.${next.key}`) }}
    </p>
  </section>
</template>
