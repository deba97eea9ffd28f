<script setup lang="ts">
import BigButton from '@/ui/BigButton.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import MoreOfLine from './MoreOfLine.vue';
import type { Line, SaidOfLine } from './useSheetDraft';

/** One line of a sheet while it is changed: what is looked for, what each verdict looks like, or what is measured. */
const line = defineModel<Line>('line', { required: true });
const said = defineModel<SaidOfLine | undefined>('said');
defineProps<{ place: number; first: boolean; last: boolean; faults: string[] }>();
const emit = defineEmits<{ move: [by: 1 | -1]; remove: [] }>();
const { t } = useI18n();
const set = (given: Partial<Line>) => (line.value = { ...line.value, ...given });
const tell = (text: string) => (said.value = { ...said.value, text });
const setLevel = (key: string, words: string) => set({ levels: { ...line.value.levels, [key]: words } });
const tellLevel = (key: string, words: string) =>
  (said.value = { ...said.value, levels: { ...said.value?.levels, [key]: words } });
const ORDER = ['met', 'prompted', 'not_met'];
const levels = computed(() =>
  Object.keys(line.value.levels ?? {}).sort((a, b) => ORDER.indexOf(a) - ORDER.indexOf(b) || Number(a) - Number(b)),
);
const groups = computed(() =>
  (['safety', 'work', 'why', 'measured'] as const).map((value) => ({ value, label: t(`sheet.group.${value}`) })),
);
const ways = computed(() =>
  ['diameter', 'size', 'position', 'plug', 'thread'].map((value) => ({ value, label: t(`sheets.way.${value}`) })),
);
const features = computed(() =>
  ['bore', 'outside', 'depth', 'thickness', 'mouth', 'gap', 'place', 'crack'].map((value) => ({
    value,
    label: t(`sheets.feature.${value}`),
  })),
);
const FIGURES = [
  'nominal_mm',
  'plus_mm',
  'minus_mm',
  'lower_mm',
  'upper_mm',
  'at_most_mm',
  'x_mm',
  'y_mm',
  'position_tolerance_mm',
  'allowance_mm',
] as const;
/** The figures that a line has, and those that its way of measuring may have. */
const figures = computed(() =>
  FIGURES.filter(
    (key) =>
      line.value[key] !== undefined ||
      (line.value.measure === 'size' && ['nominal_mm', 'plus_mm', 'minus_mm', 'at_most_mm'].includes(key)),
  ),
);
/** The line without one of its keys. */
const without = (key: keyof Line) =>
  Object.fromEntries(Object.entries(line.value).filter(([name]) => name !== key)) as unknown as Line;
function figure(key: (typeof FIGURES)[number], text: string) {
  const value = Number(text.replace(',', '.'));
  line.value = text.trim() === '' || Number.isNaN(value) ? without(key) : { ...line.value, [key]: value };
}
function words(key: 'fit' | 'hole' | 'lesson' | 'dimension', text: string) {
  line.value = text.trim() === '' ? without(key) : { ...line.value, [key]: text.trim() };
}
</script>

<template>
  <li class="sheet p-4" :class="{ 'border-2 border-no': faults.length > 0 }">
    <details :open="faults.length > 0 || line.text === ''">
      <summary class="flex min-h-12 cursor-pointer flex-wrap items-center gap-3">
        <span class="reading w-8 text-quiet">{{ place }}</span>
        <strong class="min-w-0 flex-1">{{ line.text || t('sheets.newLine') }}</strong>
        <span v-if="line.critical" class="text-no">◆</span>
        <span class="text-sm text-quiet"
          >{{ t(`sheets.kind.${line.kind}`) }} · {{ t('sheets.weight', { weight: line.weight }) }}</span
        >
      </summary>
      <ul v-if="faults.length > 0" role="alert" class="font-semibold text-no">
        <li v-for="fault in faults" :key="fault">✕ {{ fault }}</li>
      </ul>
      <div class="mt-3 grid gap-3 md:grid-cols-2">
        <TextField
          :model-value="line.text"
          required
          :label="t('sheets.textEn')"
          @update:model-value="set({ text: $event })"
        />
        <TextField :model-value="said?.text ?? ''" required :label="t('sheets.textEs')" @update:model-value="tell" />
        <template v-for="key in levels" :key="key">
          <TextField
            :model-value="line.levels?.[key] ?? ''"
            :label="
              t('sheets.levelEn', {
                level: line.kind === 'judged' ? t('sheet.points', Number(key)) : t(`sheet.${key}`),
              })
            "
            @update:model-value="setLevel(key, $event)"
          />
          <TextField
            :model-value="said?.levels?.[key] ?? ''"
            :label="
              t('sheets.levelEs', {
                level: line.kind === 'judged' ? t('sheet.points', Number(key)) : t(`sheet.${key}`),
              })
            "
            @update:model-value="tellLevel(key, $event)"
          />
        </template>
      </div>
      <MoreOfLine v-model:line="line" v-model:said="said" />
      <div class="mt-3 grid gap-3 sm:grid-cols-3">
        <SelectField
          :model-value="line.group"
          :label="t('sheets.groupLabel')"
          :options="groups"
          @update:model-value="set({ group: $event as Line['group'] })"
        />
        <TextField
          :model-value="String(line.weight)"
          reading
          mode="decimal"
          :label="t('sheets.weightLabel')"
          @update:model-value="set({ weight: Number($event.replace(',', '.')) || 0 })"
        />
        <TextField
          :model-value="line.lesson ?? ''"
          :label="t('sheets.lessonLabel')"
          @update:model-value="words('lesson', $event)"
        />
      </div>
      <div v-if="line.kind === 'measured'" class="mt-3 grid gap-3 sm:grid-cols-3">
        <SelectField
          :model-value="line.measure ?? 'size'"
          :label="t('sheets.wayLabel')"
          :options="ways"
          @update:model-value="set({ measure: $event })"
        />
        <SelectField
          v-if="line.measure === 'size'"
          :model-value="line.feature ?? 'bore'"
          :label="t('sheets.featureLabel')"
          :options="features"
          @update:model-value="set({ feature: $event })"
        />
        <TextField
          v-if="line.measure === 'diameter' || line.measure === 'position'"
          :model-value="line.hole ?? ''"
          :label="t('sheets.holeLabel')"
          @update:model-value="words('hole', $event)"
        />
        <TextField
          v-for="key in figures"
          :key="key"
          :model-value="line[key] === undefined ? '' : String(line[key])"
          reading
          mode="decimal"
          :label="t(`sheets.figure.${key}`)"
          @update:model-value="figure(key, $event)"
        />
        <TextField
          v-if="line.measure === 'size'"
          :model-value="line.fit ?? ''"
          :label="t('sheets.fitLabel')"
          @update:model-value="words('fit', $event)"
        />
        <p v-if="line.dimension" class="self-end text-quiet">{{ t('sheets.ownSize') }}</p>
      </div>
      <div class="mt-2 flex flex-wrap items-center gap-x-6">
        <label class="flex min-h-12 items-center gap-3"
          ><input type="checkbox" class="size-6" :checked="line.critical" @change="set({ critical: !line.critical })" />
          {{ t(line.kind === 'measured' ? 'sheets.criticalMeasured' : 'sheets.critical') }}</label
        >
        <label v-if="line.kind === 'observed' && line.critical" class="flex min-h-12 items-center gap-3"
          ><input
            type="checkbox"
            class="size-6"
            :checked="line.critical_prompt_stops"
            @change="set({ critical_prompt_stops: !line.critical_prompt_stops })"
          />
          {{ t('sheets.promptStops') }}</label
        >
        <label v-if="line.kind !== 'measured' && !line.critical" class="flex min-h-12 items-center gap-3"
          ><input type="checkbox" class="size-6" :checked="line.must ?? false" @change="set({ must: !line.must })" />
          {{ t('sheets.must') }}</label
        >
        <span class="ml-auto flex gap-2">
          <BigButton :disabled="first" :aria-label="t('sheets.up', { what: line.text })" @click="emit('move', -1)"
            >↑</BigButton
          >
          <BigButton :disabled="last" :aria-label="t('sheets.down', { what: line.text })" @click="emit('move', 1)"
            >↓</BigButton
          >
          <BigButton tone="no" @click="emit('remove')">{{ t('ui.remove') }}</BigButton>
        </span>
      </div>
    </details>
  </li>
</template>
