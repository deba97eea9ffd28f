<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';

/** Photographs that were kept with a sheet; a press opens one at its size. */
defineProps<{ photos: Schemas['AssessmentAttempt']['photos'] }>();
const { t, d } = useI18n();
</script>

<template>
  <ul v-if="photos.length > 0" class="flex flex-wrap gap-2">
    <li v-for="photo in photos" :key="photo.id">
      <a :href="`/api/assessment/photos/${photo.id}`" target="_blank" rel="noopener">
        <img
          :src="`/api/assessment/photos/${photo.id}`"
          :width="photo.width"
          :height="photo.height"
          class="h-24 w-auto border border-quiet"
          loading="lazy"
          :alt="t('sheet.photoOf', { by: photo.by, at: d(photo.made_at, { timeStyle: 'short' }) })"
        />
      </a>
      <p v-if="photo.added_at" class="max-w-40 text-sm font-semibold text-supervised">
        ▲
        {{
          t('sheet.photoAfter', { by: photo.by, at: d(photo.added_at, { dateStyle: 'medium', timeStyle: 'short' }) })
        }}
      </p>
    </li>
  </ul>
</template>
