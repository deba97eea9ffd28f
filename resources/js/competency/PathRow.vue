<script setup lang="ts">
import HoleGlyph from '@/ui/HoleGlyph.vue';
import { useI18n } from 'vue-i18n';

/** One stage of the ladder with what it asks for. */
defineProps<{ stage: number; reached: boolean; title: string }>();
const { t } = useI18n();
</script>

<template>
  <li class="grid grid-cols-[56px_1fr] gap-3 border-t border-hairline p-4 first:border-t-0">
    <HoleGlyph :stage="stage" :size="48" :class="reached ? 'text-ink' : 'text-hairline'" aria-hidden="true" />
    <div>
      <h3 class="font-semibold">
        {{ title }}
        <span class="font-normal" :class="reached ? 'text-alone' : 'text-quiet'">{{
          reached ? `✓ ${t(`stage.${stage}`)}` : t('record.open')
        }}</span>
      </h3>
      <div class="mt-1"><slot /></div>
    </div>
  </li>
</template>
