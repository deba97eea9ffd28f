<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import { computed, reactive } from 'vue';
import { useI18n } from 'vue-i18n';

/** Something the assessor measures: a diameter, or how far a hole is from its place in both directions. */
const props = defineProps<{ criterion: Schemas['Criterion']; locked: boolean; fault?: string }>();
const emit = defineEmits<{ change: [mark: Schemas['Mark']] }>();
const { t } = useI18n();
const { length, units } = useUnits();
/** A reading carries the unit in which it was typed: switching units later shows it converted and changes nothing. */
const asKept = (text: string | undefined) => withUnit(text ?? '', props.criterion.mark?.units ?? units.value);
const typed = reactive({
  value: asKept(props.criterion.mark?.typed),
  dx: asKept(props.criterion.mark?.typed_dx),
  dy: asKept(props.criterion.mark?.typed_dy),
});
/** In which units the field is being typed: those shown when the typing began. */
let typingIn = units.value;
function change(field: 'value' | 'dx' | 'dy') {
  typed[field] = withUnit(typed[field], typingIn);
  emit('change', isPosition.value ? { dx: typed.dx, dy: typed.dy } : { value: typed.value });
}
const isPosition = computed(() => props.criterion.measure === 'position');
const wanted = computed(() =>
  isPosition.value
    ? t('sheet.within', { limit: length(props.criterion.upper_mm ?? 0) })
    : t('sheet.between', {
        lower: length(props.criterion.lower_mm ?? 0),
        upper: length(props.criterion.upper_mm ?? 0),
      }),
);
const judged = computed(() => props.criterion.judged);
</script>

<template>
  <li
    :id="`criterion-${criterion.id}`"
    class="grid gap-2 border-t border-hairline px-4 py-3 first:border-t-0 lg:grid-cols-[1fr_auto_13rem] lg:items-center"
  >
    <p class="text-lg">
      {{ criterion.text }}<br /><span class="text-sm text-quiet">{{ wanted }}</span>
    </p>
    <div class="flex gap-3">
      <label
        v-for="field in isPosition ? (['dx', 'dy'] as const) : (['value'] as const)"
        :key="field"
        class="flex items-center gap-2"
      >
        <span class="reading">{{ field === 'value' ? '⌀' : field }}</span>
        <input
          v-model="typed[field]"
          class="field reading w-32 text-2xl"
          autocomplete="off"
          :inputmode="field === 'value' ? 'decimal' : 'text'"
          :disabled="locked"
          :aria-label="`${criterion.text} ${field === 'value' ? '' : field}`.trim()"
          :aria-invalid="Boolean(fault)"
          :placeholder="units"
          @focus="typingIn = units"
          @change="change(field)"
        />
      </label>
    </div>
    <p class="font-semibold" role="status">
      <span v-if="fault" class="text-no">✕ {{ fault }}</span>
      <span
        v-else-if="judged"
        :class="{
          'text-alone': judged.verdict === 'in',
          'text-no': judged.verdict === 'out',
          'text-supervised': judged.verdict === 'doubtful',
        }"
      >
        {{ { in: '✓', out: '✕', doubtful: '?' }[judged.verdict] }} {{ t(`sheet.judged.${judged.verdict}`) }}
        <span class="reading font-normal">{{ length(judged.value_mm) }}</span>
      </span>
    </p>
  </li>
</template>
