<script setup lang="ts">
import { api, must, Refused, type Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import SizeField from '@/measure/SizeField.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useQuery } from '@tanstack/vue-query';
import { useSessionStorage, watchDebounced } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import DrawingView from '@/planning/drawing/DrawingView.vue';
import CheckLinks from './CheckLinks.vue';
import KeepCheck from './KeepCheck.vue';
import { useShop } from '@/workshop/useShop';
import PlannerTabs from '@/planning/PlannerTabs.vue';

/** A drill in the hand: its two lips measured, and what they come to. */
const { t } = useI18n();
const { units, length, number } = useUnits();
const drill = useSessionStorage('millstep.drill-point', {
  diameter: '',
  lip_a: '',
  lip_b: '',
  angle_a: '',
  angle_b: '',
  point_angle: '118',
});
const settled = ref({ ...drill.value });
watchDebounced(drill, (now) => (settled.value = { ...now }), { deep: true, debounce: 300 });
const whole = computed(() => Object.values(settled.value).every((value) => value !== ''));
const answer = useQuery({
  queryKey: ['drill-point', settled, units],
  queryFn: () =>
    must(
      api.POST('/api/planning/drill-point', {
        body: given.value as Schemas['DrillPointWanted'],
      }),
    ),
  enabled: whole,
  placeholderData: (before: Schemas['DrillPoint'] | undefined) => before,
  retry: (failures: number, error: Error) => !(error instanceof Refused) && failures < 4,
});
const faults = computed<Record<string, string[]>>(() =>
  answer.error.value instanceof Refused ? answer.error.value.errors : {},
);
const found = computed(() => (whole.value && !answer.error.value ? answer.data.value : undefined));
const { cribs } = useShop();
/** The drills of that size, each with its crib: the check is kept with one of them. */
const drills = computed(() =>
  (cribs.data.value ?? []).flatMap((crib) =>
    crib.tools
      .filter(
        (tool) =>
          tool.kind === 'drill' && Math.abs((tool.diameter_mm ?? 0) - (found.value?.diameter_mm ?? -1)) < 0.0005,
      )
      .map((tool) => ({ value: String(tool.id), label: `${tool.designation} · ${crib.name}` })),
  ),
);
const given = computed(() => ({
  ...settled.value,
  angle_a: degrees(settled.value.angle_a),
  angle_b: degrees(settled.value.angle_b),
  point_angle: degrees(settled.value.point_angle),
}));
function degrees(said: string): number | string {
  const value = Number(said.replace(',', '.').replace('°', ''));
  return Number.isFinite(value) ? value : said;
}
</script>

<template>
  <PlannerTabs current="checks" />
  <CheckLinks />
  <div class="mt-4 flex flex-wrap items-end gap-x-5">
    <h1>{{ t('planning.grind.title') }}</h1>
    <p class="text-quiet">{{ t('planning.grind.words') }}</p>
  </div>
  <div class="mt-3 grid items-start gap-5 lg:grid-cols-[1fr_440px]">
    <section class="sheet grid items-start gap-4 p-4 sm:grid-cols-2">
      <SizeField v-model="drill.diameter" :label="t('planning.grind.diameter')" :error="faults.diameter?.[0]" />
      <SelectField
        v-model="drill.point_angle"
        :label="t('planning.grind.point')"
        :options="[90, 118, 130, 135, 140].map((n) => ({ value: String(n), label: `${n}°` }))"
      />
      <template v-for="lip in ['a', 'b'] as const" :key="lip">
        <SizeField
          v-model="drill[`lip_${lip}`]"
          as="length"
          :label="t(`planning.grind.lip_${lip}`)"
          :error="faults[`lip_${lip}`]?.[0]"
        />
        <TextField
          v-model="drill[`angle_${lip}`]"
          reading
          inputmode="decimal"
          :label="t(`planning.grind.angle_${lip}`)"
          :hint="t('planning.grind.angleHint')"
          :error="faults[`angle_${lip}`]?.[0]"
        />
      </template>
    </section>
    <div>
      <ErrorNote
        v-if="answer.error.value && Object.keys(faults).length === 0"
        :error="answer.error.value"
        @retry="answer.refetch()"
      />
      <p v-if="!whole" class="text-quiet">{{ t('planning.grind.empty') }}</p>
      <section v-if="found" class="grid gap-4" role="status">
        <div>
          <p
            class="text-2xl font-bold"
            :class="{
              'text-alone': found.verdict === 'sound',
              'text-supervised': found.verdict === 'wrong_point',
              'text-no': found.verdict === 'regrind',
            }"
          >
            {{ { sound: '●', wrong_point: '◆', regrind: '■' }[found.verdict] }}
            {{ t(`planning.grind.verdict.${found.verdict}`) }}
          </p>
          <p class="mt-1 text-lg">{{ t(`planning.grind.because.${found.verdict}`) }}</p>
          <dl class="mt-3 grid max-w-md grid-cols-[1fr_auto] gap-x-6 gap-y-1">
            <dt>{{ t('planning.grind.hole') }}</dt>
            <dd class="reading">{{ length(found.hole_mm, 2) }}</dd>
            <dt>{{ t('planning.grind.oversize') }}</dt>
            <dd class="reading">{{ length(found.oversize_mm, 2) }}</dd>
            <dt>{{ t('planning.grind.offset') }}</dt>
            <dd class="reading">{{ length(found.offset_mm, 2) }}</dd>
            <dt>{{ t('planning.grind.apart') }}</dt>
            <dd class="reading">{{ number(found.angle_difference_deg, 1) }}°</dd>
          </dl>
        </div>
        <figure class="sheet p-3">
          <DrawingView :drawing="found.drawing" class="max-h-[34vh]" />
          <figcaption class="text-sm text-quiet">{{ t('planning.drawingCaption.grind') }}</figcaption>
        </figure>
      </section>
      <KeepCheck
        class="mt-4"
        kind="drill_grind_check"
        :given="given"
        :whole="found !== undefined"
        of="tool"
        :options="drills"
      />
    </div>
  </div>
</template>
