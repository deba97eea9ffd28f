<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { typedNumber } from '@/ui/typedNumber';
import { computed, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import PolicyLength from './PolicyLength.vue';

/** One setting of the policy: what is chosen, what that means, and which figure it changes. */
const props = defineProps<{
  setting: Schemas['PolicySetting'];
  value: unknown;
  changed: boolean;
  locked: boolean;
  fault?: string;
}>();
const emit = defineEmits<{ change: [value: unknown] }>();
const { t, te } = useI18n();
const { number } = useUnits();
const id = useId();
const key = computed(() => props.setting.key);
const now = computed(() => props.value ?? props.setting.default);
const length = computed(() => now.value as number | string | null);
const UNITS: Record<string, string> = { rpm: 'rpm', minutes: 'min' };
const chosenWords = computed(() => {
  const path = `policy.${key.value}.choice.${String(now.value)}`;
  return props.setting.kind === 'choice' && te(path) ? t(path) : '';
});
interface Span {
  days: number[];
  from: string;
  to: string;
}
const hours = computed(() =>
  ((now.value as Span[] | null) ?? []).map((span) => `${span.days.join(' ')} ${span.from}–${span.to}`).join('\n'),
);
/** `1–5` is Monday to Friday, `1 3 5` three days. */
function daysOf(text: string): number[] {
  return text
    .replace(/\s*[–-]\s*/g, '-')
    .split(/[ ,]+/)
    .filter(Boolean)
    .flatMap((part) => {
      const [first = NaN, last = first] = part.split('-').map(Number);
      return Array.from({ length: Math.max(1, last - first + 1) }, (_, index) => first + index);
    });
}
function spans(text: string) {
  const read = text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => {
      const [, days = '', from = '', to = ''] =
        line.match(/^\s*([1-7 ,–-]+?)\s+(\d\d:\d\d)\s*[-–]\s*(\d\d:\d\d)\s*$/) ?? [];
      return { days: daysOf(days), from, to };
    });
  emit('change', read);
}
</script>

<template>
  <li class="border-t border-hairline p-4 first:border-t-0" :class="{ 'border-l-4 border-l-blue': changed }">
    <div class="grid gap-x-6 gap-y-1 sm:grid-cols-[1fr_220px]">
      <div>
        <label :for="id" class="font-semibold">{{ t(`policy.${key}.label`) }}</label>
        <p class="text-sm text-quiet">{{ t(`policy.${key}.words`) }}</p>
      </div>
      <div>
        <select
          v-if="setting.kind === 'choice'"
          :id="id"
          class="field"
          :value="now"
          :disabled="locked"
          @change="emit('change', ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="choice in setting.choices" :key="choice" :value="choice">
            {{ t(`policy.${key}.option.${choice}`) }}
          </option>
        </select>
        <label v-else-if="setting.kind === 'flag'" class="flex min-h-12 items-center gap-2">
          <input
            :id="id"
            type="checkbox"
            class="size-5"
            :checked="Boolean(now)"
            :disabled="locked"
            @change="emit('change', ($event.target as HTMLInputElement).checked)"
          />
          {{ t(now ? 'workshop.yes' : 'workshop.no') }}
        </label>
        <textarea
          v-else-if="setting.kind === 'hours'"
          :id="id"
          class="field reading text-sm"
          rows="2"
          :value="hours"
          :disabled="locked"
          :aria-invalid="Boolean(fault)"
          @change="spans(($event.target as HTMLTextAreaElement).value)"
        />
        <PolicyLength
          v-else-if="setting.kind === 'length'"
          :id="id"
          :value="length"
          :locked="locked"
          :invalid="Boolean(fault)"
          @change="emit('change', $event)"
        />
        <span v-else class="flex items-center gap-2">
          <input
            :id="id"
            class="field reading"
            :value="typeof now === 'number' ? number(now, 6) : (now ?? '')"
            :disabled="locked"
            :aria-invalid="Boolean(fault)"
            :inputmode="setting.kind === 'zone' ? 'text' : 'decimal'"
            @change="
              setting.kind === 'zone'
                ? emit('change', ($event.target as HTMLInputElement).value)
                : emit('change', typedNumber(($event.target as HTMLInputElement).value))
            "
          />
          <span v-if="UNITS[setting.kind]" class="reading text-quiet">{{ UNITS[setting.kind] }}</span>
        </span>
      </div>
    </div>
    <p v-if="chosenWords" class="mt-1 text-sm">{{ chosenWords }}</p>
    <p class="mt-1 text-sm text-bronze">
      {{ t('workshop.changes', { what: t(`workshop.changesWhat.${setting.changes}`) }) }}
    </p>
    <p v-if="fault" class="mt-1 text-sm font-semibold text-no" role="alert">✕ {{ fault }}</p>
  </li>
</template>
