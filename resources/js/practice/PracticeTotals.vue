<script setup lang="ts">
import { api, must } from '@/api/client';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** What practice the permits that are under way still need: exercises and minutes, each on its rule. */
const props = defineProps<{ learnerId: number }>();
const { t } = useI18n();
const record = useQuery({
  queryKey: ['record', String(props.learnerId)],
  queryFn: () =>
    must(api.GET('/api/records/learners/{learner}', { params: { path: { learner: String(props.learnerId) } } })),
});
/** From the check on until the assessment: that is when practice is what counts. */
const underWay = computed(() =>
  (record.data.value?.permits ?? []).filter(
    ({ standing, practice }) =>
      standing.stage < 4 &&
      (standing.stage >= 2 || practice.count > 0 || practice.minutes > 0 || practice.waiting > 0) &&
      (practice.count < practice.count_needed || practice.minutes < practice.minutes_needed),
  ),
);
const part = (has: number, needs: number) => `${Math.min(100, needs === 0 ? 100 : (100 * has) / needs)}%`;
</script>

<template>
  <ul v-if="underWay.length > 0" class="space-y-2">
    <li v-for="permit in underWay" :key="permit.code">
      <p class="font-semibold">{{ permit.name }}</p>
      <p class="reading text-sm">
        {{
          t('practice.total', {
            count: permit.practice.count,
            needed: permit.practice.count_needed,
            minutes: permit.practice.minutes,
            minutesNeeded: permit.practice.minutes_needed,
          })
        }}
        <span v-if="permit.practice.waiting > 0" class="text-supervised"
          >‖ {{ t('practice.totalWaiting', permit.practice.waiting) }}</span
        >
      </p>
      <div class="mt-1 grid gap-1" aria-hidden="true">
        <div class="h-2 border border-quiet bg-sheet">
          <div class="h-full bg-blue" :style="{ width: part(permit.practice.count, permit.practice.count_needed) }" />
        </div>
        <div class="h-2 border border-quiet bg-sheet">
          <div
            class="h-full bg-bronze"
            :style="{ width: part(permit.practice.minutes, permit.practice.minutes_needed) }"
          />
        </div>
      </div>
    </li>
  </ul>
</template>
