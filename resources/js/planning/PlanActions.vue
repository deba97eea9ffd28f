<script setup lang="ts">
import type { Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useI18n } from 'vue-i18n';
import type { PlanKind } from './drafts';
import { useDownload, type Format } from '@/planning/paper/useDownload';
import { usePaper, type Paper } from '@/planning/paper/usePaper';

/** What can be done with a plan: keep it, copy it, print it, take its drawing along, or work it out oneself. */
const props = defineProps<{
  kind: PlanKind;
  request: Record<string, unknown>;
  name: string;
  plan?: Schemas['SavedPlan'];
  changed: boolean;
  hidden: boolean;
}>();
const emit = defineEmits<{ save: []; copy: []; hide: [hidden: boolean] }>();
const { t } = useI18n();
const { paper, print } = usePaper();
const download = useDownload(props.kind);
const FORMATS: Format[] = ['svg', 'dxf', 'csv'];
const PAPERS: { value: Paper; label: string }[] = [
  { value: 'A4', label: 'A4' },
  { value: 'letter', label: 'Letter' },
];
</script>

<template>
  <div class="flex flex-wrap items-center gap-3 print:hidden">
    <BigButton v-if="!plan" tone="main" @click="emit('save')">{{ t('planning.saveNew') }}</BigButton>
    <template v-else>
      <BigButton v-if="plan.yours" :tone="changed ? 'main' : 'plain'" @click="emit('save')">{{
        t(changed ? 'planning.saveChanges' : 'planning.rename')
      }}</BigButton>
      <BigButton @click="emit('copy')">{{ t('planning.copy') }}</BigButton>
    </template>
    <BigButton v-if="kind !== 'layout'" @click="emit('hide', !hidden)">{{
      t(hidden ? 'planning.quiz.stop' : 'planning.quiz.start')
    }}</BigButton>
    <template v-if="!hidden">
      <span class="ml-auto flex items-center">
        <BigButton @click="print">{{ t('planning.print') }}</BigButton>
        <select v-model="paper" class="field w-auto border-l-0" :aria-label="t('planning.paper')">
          <option v-for="each in PAPERS" :key="each.value" :value="each.value">{{ each.label }}</option>
        </select>
      </span>
      <span class="flex items-center gap-1" role="group" :aria-label="t('planning.take')">
        <button
          v-for="format in FORMATS"
          :key="format"
          type="button"
          class="reading min-h-12 min-w-12 border border-quiet bg-sheet px-3 uppercase"
          :title="t(`planning.formats.${format}`)"
          @click="download.run({ format, request, name })"
        >
          {{ format }}
        </button>
      </span>
    </template>
  </div>
  <ErrorNote class="mt-2" :error="download.error.value" @retry="download.reset()" />
</template>
