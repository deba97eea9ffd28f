<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';

/** Lessons of a permit, and how far each is done. */
defineProps<{ lessons: Schemas['PermitRecord']['lessons'] }>();
const { t } = useI18n();
</script>

<template>
  <ul class="grid gap-x-6 sm:grid-cols-2">
    <li v-for="lesson in lessons" :key="lesson.code">
      <RouterLink :to="{ name: 'lesson', params: { code: lesson.code } }" class="flex min-h-12 items-center gap-3">
        <span class="reading w-8">{{ lesson.code }}</span>
        <span class="flex-1">{{ lesson.title }}</span>
        <span class="text-sm whitespace-nowrap text-quiet no-underline">{{
          lesson.completed ? `✓ ${t('record.done')}` : t('record.steps', { done: lesson.steps_done, all: lesson.steps })
        }}</span>
      </RouterLink>
    </li>
  </ul>
</template>
