<script setup lang="ts">
import TextField from '@/ui/TextField.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Line, SaidOfLine } from './useSheetDraft';

/** What only some lines have: levels for other machines, what is asked after an answer, why nobody must get a measure right. */
const line = defineModel<Line>('line', { required: true });
const said = defineModel<SaidOfLine | undefined>('said');
const { t } = useI18n();
const LEVELS = ['met', 'prompted', 'not_met'] as const;
const changes = computed(() => Object.keys(line.value.levels_for ?? {}));
const followUps = computed(() => (line.value.group === 'why' ? [0, 1] : []));

/** The levels for one way of setting the speed, with one of them said anew. */
const withLevel = (
  all: Record<string, Record<string, string>> | undefined,
  change: string,
  level: string,
  words: string,
) => ({ ...all, [change]: { ...all?.[change], [level]: words } });
function set(change: string, level: string, words: string) {
  line.value = { ...line.value, levels_for: withLevel(line.value.levels_for, change, level, words) };
}
function tell(change: string, level: string, words: string) {
  said.value = { ...said.value, levels_for: withLevel(said.value?.levels_for, change, level, words) };
}
const replaced = (all: string[] | undefined, place: number, words: string) =>
  [0, 1].map((at) => (at === place ? words : (all?.[at] ?? ''))).filter((one, at, each) => one || each[at + 1]);
function ask(place: number, words: string) {
  line.value = { ...line.value, follow_ups: replaced(line.value.follow_ups, place, words) };
}
function askThere(place: number, words: string) {
  said.value = { ...said.value, follow_ups: replaced(said.value?.follow_ups, place, words) };
}
</script>

<template>
  <details v-for="change in changes" :key="change" class="mt-3">
    <summary class="min-h-12 cursor-pointer py-3">
      {{ t('sheets.levelsFor', { change: t(`workshop.change.${change}`) }) }}
    </summary>
    <div class="grid gap-3 md:grid-cols-2">
      <template v-for="level in LEVELS" :key="level">
        <TextField
          :model-value="line.levels_for?.[change]?.[level] ?? ''"
          :label="t('sheets.levelEn', { level: t(`sheet.${level}`) })"
          @update:model-value="set(change, level, $event)"
        />
        <TextField
          :model-value="said?.levels_for?.[change]?.[level] ?? ''"
          :label="t('sheets.levelEs', { level: t(`sheet.${level}`) })"
          @update:model-value="tell(change, level, $event)"
        />
      </template>
    </div>
  </details>
  <div v-if="followUps.length > 0" class="mt-3 grid gap-3 md:grid-cols-2">
    <template v-for="place in followUps" :key="place">
      <TextField
        :model-value="line.follow_ups?.[place] ?? ''"
        :label="t('sheets.followUpEn', { place: place + 1 })"
        @update:model-value="ask(place, $event)"
      />
      <TextField
        :model-value="said?.follow_ups?.[place] ?? ''"
        :label="t('sheets.followUpEs', { place: place + 1 })"
        @update:model-value="askThere(place, $event)"
      />
    </template>
  </div>
  <TextField
    v-if="line.kind === 'measured' && !line.critical"
    class="mt-3"
    :model-value="line.not_critical_because ?? ''"
    required
    :label="t('sheets.notCriticalBecause')"
    @update:model-value="line = { ...line, not_critical_because: $event }"
  />
</template>
