<script setup lang="ts">
import type { Schemas } from '@/api/client';
import type { RuleMark } from '@/ui/rule';
import SteelRule from '@/ui/SteelRule.vue';
import { computed, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';
import DrawingView from '@/planning/drawing/DrawingView.vue';
import PlanStepRow from './PlanStepRow.vue';
import { useLookedAt } from './useLookedAt';

/** A working sequence on the rule, with its drawing beside it. */
const props = defineProps<{ plan: Schemas['Plan']; drawing: Schemas['Drawing'] | null }>();
const { t } = useI18n();
const marks = computed<RuleMark[]>(() =>
  props.plan.operations.map((step, index) => ({
    key: String(index),
    label: t(`planning.kind.${step.kind}`),
    numeral: String(index + 1),
  })),
);
const list = useTemplateRef('list');
const looked = useLookedAt(list);
const lookedKind = computed(() => {
  const kind = props.plan.operations[Number(looked.value ?? -1)]?.kind;
  return kind === 'step' ? 'pilot' : kind;
});
function reach(key: string) {
  document.getElementById(`operation-${key}`)?.scrollIntoView({ block: 'center' });
}
</script>

<template>
  <div
    class="grid items-start gap-5 md:grid-cols-[175px_1fr] lg:grid-cols-[175px_1fr_300px] xl:grid-cols-[190px_1fr_390px]"
  >
    <SteelRule
      orientation="vertical"
      class="max-md:hidden lg:sticky lg:top-4"
      :marks="marks"
      :current="looked"
      :label="t('planning.sequence')"
      @select="reach"
    />
    <ol ref="list" class="sheet">
      <PlanStepRow
        v-for="(step, index) in plan.operations"
        :id="`operation-${index}`"
        :key="index"
        :step="step"
        :signs="plan.signs"
        :number="index + 1"
      />
    </ol>
    <figure
      v-if="drawing"
      class="sheet p-3 md:sticky md:top-0 md:z-10 max-lg:order-first max-lg:md:col-span-2 lg:top-4 lg:col-start-3"
    >
      <DrawingView :drawing="drawing" :looked="lookedKind" class="max-h-[26vh] lg:max-h-[70vh]" />
      <figcaption class="text-sm text-quiet">{{ t(`planning.drawingCaption.${drawing.title}`) }}</figcaption>
    </figure>
  </div>
</template>
