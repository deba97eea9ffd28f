<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useQuery } from '@tanstack/vue-query';
import { useNow } from '@vueuse/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** Every sheet that one has open, each with its learner and its clock: one tap from the one to the other. */
const props = defineProps<{ current: string }>();
const { t } = useI18n();
const sheets = useQuery({ queryKey: ['open-sheets'], queryFn: () => must(api.GET('/api/assessment/attempts')) });
const now = useNow({ interval: 1_000 });
const shown = computed(() => sheets.data.value ?? []);
function clock(sheet: Schemas['OpenSheets'][number]): string {
  const seconds = Math.max(0, Math.floor((now.value.getTime() - Date.parse(sheet.started_at)) / 1000));
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60];
  const two = (figure: number) => String(figure).padStart(2, '0');
  return hours > 0 ? `${hours}:${two(minutes)} h` : `${minutes}:${two(seconds % 60)} min`;
}
</script>

<template>
  <nav v-if="shown.length > 0" :aria-label="t('sheet.openSheets')" class="print:hidden">
    <ul class="flex flex-wrap border-b border-quiet">
      <li v-for="sheet in shown" :key="sheet.id">
        <RouterLink
          :to="{ name: 'sheet', params: { id: sheet.id } }"
          class="flex min-h-14 flex-col justify-center border border-b-0 border-transparent px-4 text-ink no-underline"
          :class="sheet.id === props.current ? 'border-quiet! bg-sheet font-bold' : ''"
          :aria-current="sheet.id === props.current ? 'page' : undefined"
        >
          <span>{{ sheet.learner }} <span v-if="sheet.stopped" class="text-no">■</span></span>
          <span class="reading text-sm font-normal text-quiet">{{ clock(sheet) }} · {{ sheet.sheet }}</span>
        </RouterLink>
      </li>
    </ul>
  </nav>
</template>
