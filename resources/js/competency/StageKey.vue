<script setup lang="ts">
import HoleGlyph from '@/ui/HoleGlyph.vue';
import { useI18n } from 'vue-i18n';

/** What the pictograms mean, in one line. */
const { t } = useI18n();
</script>

<template>
  <ul class="flex flex-wrap gap-x-4 gap-y-1 text-sm text-quiet">
    <li v-for="stage in 6" :key="stage" class="flex items-center gap-1.5">
      <HoleGlyph :stage="stage - 1" :size="24" />{{ t(`stage.${stage - 1}`) }}
    </li>
    <li class="flex items-center gap-1.5"><HoleGlyph :stage="5" held :size="24" />{{ t('stage.held') }}</li>
    <li class="flex items-center gap-1.5">
      <HoleGlyph :stage="4" lapsed="expired" :size="24" />{{ t('stage.lapsed') }}
    </li>
  </ul>
</template>
