<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';

/** Something the assessor watches for: one press a verdict. */
defineProps<{ criterion: Schemas['Criterion']; locked: boolean; at: boolean; fault?: string }>();
const emit = defineEmits<{ mark: [result: 'met' | 'prompted' | 'not_met' | 'not_seen']; clear: []; reach: [] }>();
const { t } = useI18n();
const verdicts = [
  { result: 'met', shape: '✓', tone: 'border-alone bg-alone' },
  { result: 'prompted', shape: '▲', tone: 'border-supervised bg-supervised' },
  { result: 'not_met', shape: '✕', tone: 'border-no bg-no' },
  { result: 'not_seen', shape: '○', tone: 'border-quiet bg-quiet' },
] as const;
</script>

<template>
  <li
    :id="`criterion-${criterion.id}`"
    class="grid gap-2 border-t border-hairline px-4 py-2 first:border-t-0 lg:grid-cols-[1fr_auto] lg:items-center"
    :class="{ 'outline-3 -outline-offset-3 outline-blue': at }"
    @pointerdown="emit('reach')"
  >
    <p class="text-lg">
      {{ criterion.text }}
      <strong v-if="criterion.critical" class="ml-2 text-sm whitespace-nowrap text-no"
        >◆ {{ t(criterion.critical_prompt_stops ? 'sheet.criticalPrompt' : 'sheet.critical') }}</strong
      >
      <span v-if="criterion.levels" class="block text-sm text-quiet">
        ✓ {{ criterion.levels.met }} · ▲ {{ criterion.levels.prompted }} · ✕ {{ criterion.levels.not_met }}
      </span>
      <span v-if="fault" class="block font-semibold text-no" role="status"
        >✕ {{ t('outbox.notSaved') }} {{ fault }}</span
      >
    </p>
    <div
      class="grid grid-cols-[repeat(4,minmax(0,1fr))_2.5rem] sm:grid-cols-[repeat(4,minmax(0,1fr))_3rem] gap-y-1"
      role="group"
      :aria-label="criterion.text"
    >
      <button
        v-for="verdict in verdicts"
        :key="verdict.result"
        type="button"
        class="-ml-px min-h-14 border px-0.5 text-sm font-semibold sm:min-w-28 sm:px-2 sm:text-base"
        :class="criterion.mark?.result === verdict.result ? `${verdict.tone} text-sheet` : 'border-quiet'"
        :aria-pressed="criterion.mark?.result === verdict.result"
        :disabled="locked"
        @click="emit('mark', verdict.result)"
      >
        {{ verdict.shape }} {{ t(`sheet.${verdict.result}`) }}
      </button>
      <button
        v-if="criterion.mark && !locked"
        type="button"
        class="min-h-14 text-xl text-quiet hover:text-ink print:hidden"
        :aria-label="t('sheet.takeBackNamed', { what: criterion.text })"
        :title="t('sheet.takeBack')"
        @click="emit('clear')"
      >
        ↶
      </button>
    </div>
  </li>
</template>
