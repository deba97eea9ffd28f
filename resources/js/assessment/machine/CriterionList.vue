<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { nextTick, useTemplateRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { shapeOf } from '@/assessment/results';

/** All criteria in working order, as graduations: what each came to, and where one is. */
const props = defineProps<{ criteria: Schemas['Criterion'][]; at: string | null; faults: Record<string, unknown> }>();
const emit = defineEmits<{ go: [id: string] }>();
const { t } = useI18n();
const list = useTemplateRef('list');

/** Only the list moves, and only where one could not see where one is: the hand stays where the finger is. */
function show() {
  const one = list.value?.querySelector('[aria-current=step]')?.getBoundingClientRect();
  if (!list.value || !one || list.value.scrollHeight <= list.value.clientHeight) return;
  const { top, bottom } = list.value.getBoundingClientRect();
  const [from, to] = [Math.max(top, 0), Math.min(bottom, window.innerHeight)];
  if (one.top < from || one.bottom > to) list.value.scrollBy({ top: (one.top + one.bottom - from - to) / 2 });
}
watch(
  () => props.at,
  () => void nextTick(show),
  { immediate: true },
);
</script>

<template>
  <ol ref="list" class="border-l border-quiet">
    <li v-for="(criterion, index) in criteria" :key="criterion.id">
      <button
        :id="`criterion-${criterion.id}`"
        type="button"
        class="relative flex min-h-12 w-full items-center gap-3 border-b border-hairline py-1 pr-2 pl-5 text-left"
        :class="at === criterion.id ? 'bg-sheet font-semibold' : ''"
        :aria-current="at === criterion.id ? 'step' : undefined"
        @click="emit('go', criterion.id)"
      >
        <span
          class="absolute top-0 left-0 h-full"
          :class="at === criterion.id ? 'w-1.5 bg-blue' : 'w-3 border-t border-quiet'"
          aria-hidden="true"
        />
        <span class="reading w-6 text-sm text-quiet">{{ index + 1 }}</span>
        <span class="min-w-0 flex-1">
          {{ criterion.text }}
          <span v-if="criterion.critical" class="text-no" :title="t('sheet.critical')"
            >◆<span class="sr-only"> {{ t('sheet.critical') }}</span></span
          >
          <span v-else-if="criterion.must" class="text-no" :title="t('sheet.must')"
            >◇<span class="sr-only"> {{ t('sheet.must') }}</span></span
          >
        </span>
        <span v-if="criterion.notes.length > 0" class="text-sm text-quiet" :title="t('sheet.hasNote')"
          >✎<span class="sr-only"> {{ t('sheet.hasNote') }}</span></span
        >
        <span v-if="faults[criterion.id]" class="font-bold text-no" :title="t('outbox.notSaved')"
          >!<span class="sr-only"> {{ t('outbox.notSaved') }}</span></span
        >
        <span class="w-7 text-center text-xl font-bold" :class="shapeOf(criterion).tone">
          <span aria-hidden="true">{{ shapeOf(criterion).shape }}</span>
          <span class="sr-only">{{
            criterion.kind === 'measured'
              ? criterion.found
                ? t(`sheet.judged.${criterion.found.verdict}`)
                : t('sheet.notMeasured')
              : typeof criterion.mark?.result === 'number'
                ? t('sheet.points', criterion.mark.result)
                : t(`sheet.${criterion.mark?.result ?? 'not_marked'}`)
          }}</span>
        </span>
      </button>
    </li>
  </ol>
</template>
