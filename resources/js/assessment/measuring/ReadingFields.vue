<script setup lang="ts">
import type { Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import { useLocalStorage } from '@vueuse/core';
import { computed, nextTick, onMounted, ref, useId, watch } from 'vue';
import { useI18n } from 'vue-i18n';

/**
 * One reading, typed or from a gauge that types: what is asked depends on how it is measured. Enter sends it. What was typed
 * half stays on this device.
 */
const props = defineProps<{
  criterion: Schemas['Criterion'];
  keep: string;
  errors?: Record<string, string[]>;
  label: string;
  act: string;
  /** Ready for a gauge that types, or for the hand: only where one reading alone is asked for. */
  focusFirst?: boolean;
}>();
const emit = defineEmits<{ read: [reading: Record<string, string>] }>();
const { t } = useI18n();
const { units, length } = useUnits();
const id = useId();
const form = ref<HTMLFormElement>();
const typed = useLocalStorage<Record<string, string>>(`millstep.reading.${props.keep}`, {});
const way = useLocalStorage<'offsets' | 'coordinates' | 'pin'>('millstep.reading.way', 'offsets');
const fields = computed(() => {
  if (props.criterion.asks !== 'place') return props.criterion.asks === 'length' ? ['value'] : [];
  if (!props.criterion.place || way.value === 'offsets') return ['dx', 'dy'];
  return way.value === 'pin' ? ['x', 'y', 'pin'] : ['x', 'y'];
});
const choices = computed(() =>
  props.criterion.asks === 'plug' ? ['go', 'no_go'] : props.criterion.asks === 'thread' ? ['go'] : [],
);
const complete = computed(
  () =>
    fields.value.every((field) => (typed.value[field] ?? '').trim() !== '') &&
    choices.value.every((field) => typed.value[field]) &&
    (props.criterion.asks !== 'thread' || (typed.value.turns ?? '').trim() !== ''),
);
let sent: Record<string, string> = {};
/** What could not be understood is there again, to be mended. */
watch(
  () => props.errors,
  (errors) => {
    if (errors && Object.keys(errors).length > 0) typed.value = { ...sent, ...typed.value };
  },
);
/** A reading carries the unit in which it was typed: switching units later shows it converted and changes nothing. */
function read() {
  if (!complete.value) {
    // A gauge that types sends Enter behind every figure: the next field is its.
    const empty = [...(form.value?.querySelectorAll('input') ?? [])].find((input) => input.value.trim() === '');
    empty?.focus();
    return;
  }
  const names = [...fields.value, ...choices.value, ...(props.criterion.asks === 'thread' ? ['turns'] : [])];
  const lengths = new Set(fields.value);
  emit(
    'read',
    Object.fromEntries(
      names.map((name) => {
        const text = (typed.value[name] ?? '').trim();
        return [name, lengths.has(name) ? withUnit(text, units.value) : text];
      }),
    ),
  );
  sent = typed.value;
  typed.value = {};
}
async function focus() {
  await nextTick();
  form.value?.querySelector<HTMLElement>('input')?.focus();
}
onMounted(() => props.focusFirst && focus());
defineExpose({ focus });
</script>

<template>
  <form ref="form" class="space-y-3" @submit.prevent="read">
    <p class="font-semibold">{{ label }}</p>
    <div v-if="criterion.asks === 'place' && criterion.place" class="flex" role="group" :aria-label="t('sheet.way')">
      <button
        v-for="one in ['offsets', 'coordinates', 'pin'] as const"
        :key="one"
        type="button"
        class="-ml-px min-h-12 border border-quiet px-3 text-sm first:ml-0"
        :class="way === one ? 'bg-ink text-paper' : 'bg-sheet'"
        :aria-pressed="way === one"
        @click="way = one"
      >
        {{ t(`sheet.ways.${one}`) }}
      </button>
    </div>
    <p v-if="criterion.place && criterion.asks === 'place' && way !== 'offsets'" class="text-sm text-quiet">
      {{
        t(way === 'pin' ? 'sheet.overPin' : 'sheet.fromDatum', {
          x: length(criterion.place.x_mm),
          y: length(criterion.place.y_mm),
        })
      }}
    </p>
    <div class="flex flex-wrap gap-3">
      <label v-for="field in fields" :key="field" :for="`${id}-${field}`" class="block">
        <span class="mb-1 block text-sm text-quiet">{{ t(`sheet.field.${field}`) }}</span>
        <input
          :id="`${id}-${field}`"
          v-model="typed[field]"
          class="field reading w-36 text-3xl"
          autocomplete="off"
          spellcheck="false"
          :inputmode="field === 'dx' || field === 'dy' ? 'text' : 'decimal'"
          :placeholder="units"
          :aria-invalid="Boolean(errors?.[field])"
          :aria-describedby="errors?.[field] ? `${id}-fault` : undefined"
        />
      </label>
      <fieldset v-for="field in choices" :key="field" class="block">
        <legend class="text-sm text-quiet">{{ t(`sheet.field.${field}`) }}</legend>
        <div class="flex">
          <button
            v-for="said in ['yes', 'no'] as const"
            :key="said"
            type="button"
            class="-ml-px min-h-14 min-w-20 border border-quiet px-3 text-lg first:ml-0"
            :class="typed[field] === said ? 'bg-ink text-paper' : 'bg-sheet'"
            :aria-pressed="typed[field] === said"
            @click="typed = { ...typed, [field]: said }"
          >
            {{ t(`sheet.${said}`) }}
          </button>
        </div>
      </fieldset>
      <label v-if="criterion.asks === 'thread'" :for="`${id}-turns`" class="block">
        <span class="mb-1 block text-sm text-quiet">{{ t('sheet.field.turns') }}</span>
        <input
          :id="`${id}-turns`"
          v-model="typed.turns"
          class="field reading w-28 text-3xl"
          inputmode="decimal"
          autocomplete="off"
          :aria-invalid="Boolean(errors?.turns)"
        />
      </label>
    </div>
    <p v-if="errors && Object.keys(errors).length > 0" :id="`${id}-fault`" role="alert" class="font-semibold text-no">
      ✕ {{ Object.values(errors).flat()[0] }}
    </p>
    <BigButton type="submit" tone="main" class="min-h-14 w-full text-lg">{{ act }}</BigButton>
  </form>
</template>
