<script setup lang="ts">
import type { Schemas } from '@/api/client';
import DrawingView from '@/planning/drawing/DrawingView.vue';
import { useI18n } from 'vue-i18n';

/** The section drawing of a lesson that is bound to a hole; nothing for one that is not. */
defineProps<{ lesson: Schemas['Lesson'] }>();
const { t } = useI18n();
</script>

<template>
  <figure v-if="lesson.drawing" class="sheet p-3">
    <DrawingView :drawing="lesson.drawing" />
    <figcaption class="text-sm text-quiet">{{ t('planning.sectionCaption') }}</figcaption>
  </figure>
</template>
