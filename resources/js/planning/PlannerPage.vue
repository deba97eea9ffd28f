<script setup lang="ts">
import { api, must, Refused, type Schemas } from '@/api/client';
import SizeField from '@/measure/SizeField.vue';
import { useUnits } from '@/measure/useUnits';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import type { RuleMark } from '@/ui/rule';
import SteelRule from '@/ui/SteelRule.vue';
import { useQuery } from '@tanstack/vue-query';
import { useSessionStorage, watchDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import HoleSection from './HoleSection.vue';
import PlanStepRow from './PlanStepRow.vue';

const { t } = useI18n();
const { units } = useUnits();
const machines = useQuery({ queryKey: ['machines'], queryFn: () => must(api.GET('/api/workshop/machines')) });
const materials = useQuery({
  queryKey: ['materials'],
  queryFn: () => must(api.GET('/api/workshop/materials')),
  staleTime: Infinity,
});
const usable = computed(() => machines.data.value?.filter((machine) => machine.crib !== null) ?? []);

/** Kept on this device, so that looking something up elsewhere loses nothing. */
const wanted = useSessionStorage<Schemas['HoleWanted']>('millstep.planner', {
  machine: '',
  material: 'mild_steel',
  thickness: '8 mm',
  purpose: 'clearance',
  size: 'M8',
  through: true,
  depth: '',
});
watch(usable, (list) => {
  if (wanted.value.machine === '' && list[0]) wanted.value.machine = list[0].slug;
});
const settled = ref<Schemas['HoleWanted']>({ ...wanted.value });
watchDebounced(wanted, (now) => (settled.value = { ...now }), { deep: true, debounce: 300 });
const complete = computed(
  () =>
    settled.value.machine !== '' &&
    settled.value.thickness.trim() !== '' &&
    settled.value.size.trim() !== '' &&
    (settled.value.through || Boolean(settled.value.depth?.trim())),
);
const plan = useQuery({
  queryKey: ['hole-plan', settled, units],
  queryFn: () => must(api.POST('/api/planning/hole', { body: settled.value })),
  enabled: complete,
  placeholderData: (before: Schemas['Plan'] | undefined) => before,
});
const faults = computed(() => (plan.error.value instanceof Refused ? plan.error.value.errors : {}));
const general = computed(() =>
  (faults.value.thickness ?? faults.value.size ?? faults.value.hole ?? faults.value.depth) ? null : plan.error.value,
);
const steps = computed(() => (plan.error.value ? [] : (plan.data.value?.operations ?? [])));
const marks = computed<RuleMark[]>(() =>
  steps.value.map((step, index) => ({
    key: String(index),
    label: t(`planning.kind.${step.kind}`),
    numeral: String(index + 1),
  })),
);
const drill = computed(() => steps.value.find((step) => step.kind === 'drill'));
const pilot = computed(() => steps.value.find((step) => step.kind === 'pilot'));
const tap = computed(() => steps.value.find((step) => step.kind === 'tap'));
const machine = computed(() => usable.value.find((each) => each.slug === settled.value.machine));
const time = computed(() => {
  const seconds = Math.round(plan.data.value?.time_s ?? 0);
  return t('planning.time', { minutes: Math.floor(seconds / 60), seconds: seconds % 60 });
});
const thicknessMm = computed(() => Number(plan.data.value?.setups[0]?.thickness_mm ?? 0));

function reach(key: string) {
  document.getElementById(`operation-${key}`)?.scrollIntoView({ block: 'center' });
}
function print() {
  window.print();
}
</script>

<template>
  <div class="flex flex-wrap items-end gap-x-5">
    <h1>{{ t('planning.title') }}</h1>
    <p class="text-quiet print:hidden">{{ t('planning.words') }}</p>
    <button
      v-if="steps.length > 0"
      type="button"
      class="ml-auto min-h-12 px-2 underline underline-offset-4 print:hidden"
      @click="print"
    >
      {{ t('planning.print') }}
    </button>
  </div>

  <form class="sheet mt-4 grid gap-4 p-4 sm:grid-cols-2 lg:grid-cols-4 print:hidden" @submit.prevent>
    <FormField v-slot="field" :label="t('planning.machine')">
      <select :id="field.id" v-model="wanted.machine" class="field">
        <option v-for="each in usable" :key="each.slug" :value="each.slug">{{ each.name }}</option>
      </select>
    </FormField>
    <FormField v-slot="field" :label="t('planning.material')">
      <select :id="field.id" v-model="wanted.material" class="field">
        <option v-for="each in materials.data.value" :key="each.key" :value="each.key">{{ each.name }}</option>
      </select>
    </FormField>
    <SizeField v-model="wanted.thickness" :label="t('planning.thickness')" :error="faults.thickness?.[0]" />
    <FormField v-slot="field" :label="t('planning.purpose')">
      <select :id="field.id" v-model="wanted.purpose" class="field">
        <option v-for="each in ['plain', 'clearance', 'tapped', 'reamed'] as const" :key="each" :value="each">
          {{ t(`planning.purposes.${each}`) }}
        </option>
      </select>
    </FormField>
    <SizeField
      v-if="wanted.purpose === 'plain' || wanted.purpose === 'reamed'"
      v-model="wanted.size"
      :label="t(`planning.size.${wanted.purpose}`)"
      :hint="t(`planning.sizeHint.${wanted.purpose}`)"
      :error="(faults.size ?? faults.hole)?.[0]"
    />
    <FormField
      v-else
      v-slot="field"
      :label="t(`planning.size.${wanted.purpose}`)"
      :hint="t(`planning.sizeHint.${wanted.purpose}`)"
      :error="(faults.size ?? faults.hole)?.[0]"
    >
      <input
        :id="field.id"
        v-model="wanted.size"
        class="field reading"
        autocomplete="off"
        spellcheck="false"
        :aria-invalid="field.invalid"
        :aria-describedby="field.described"
      />
    </FormField>
    <fieldset class="flex items-end gap-5">
      <label v-for="each in [true, false]" :key="String(each)" class="flex min-h-12 items-center gap-2"
        ><input v-model="wanted.through" type="radio" name="through" class="size-5" :value="each" />
        {{ t(each ? 'planning.through' : 'planning.blind') }}</label
      >
    </fieldset>
    <SizeField
      v-if="!wanted.through"
      :model-value="wanted.depth ?? ''"
      :label="t('planning.depth')"
      :error="faults.depth?.[0]"
      @update:model-value="wanted.depth = $event"
    />
  </form>

  <ErrorNote class="mt-4" :error="general" @retry="plan.refetch()" />
  <p v-if="!complete" class="mt-6 text-quiet">{{ t('planning.empty') }}</p>
  <template v-else-if="plan.data.value && !plan.error.value">
    <section v-if="plan.data.value.missing.length > 0" class="mt-4 border-2 border-no bg-sheet p-4" role="status">
      <h2 class="text-no">■ {{ t('planning.missing') }}</h2>
      <ul class="mt-1 ml-5 list-disc">
        <li v-for="words in plan.data.value.missing" :key="words">{{ words }}</li>
      </ul>
    </section>
    <p v-else class="mt-4 text-lg font-semibold text-alone" role="status">
      ● {{ t('planning.ready')
      }}<span class="font-normal text-ink"
        >, {{ machine?.name }}, {{ t('planning.oneOfCrib', { crib: machine?.crib }) }}; {{ time }}</span
      >
    </p>
    <ul v-if="plan.data.value.warnings.length > 0" class="mt-2 ml-5 list-disc text-supervised">
      <li v-for="words in plan.data.value.warnings" :key="words">{{ words }}</li>
    </ul>

    <div
      v-if="steps.length > 0"
      class="mt-4 grid items-start gap-5 md:grid-cols-[190px_1fr] xl:grid-cols-[190px_1fr_340px] print:block"
    >
      <SteelRule
        orientation="vertical"
        class="max-md:hidden print:hidden"
        :marks="marks"
        :current="null"
        :label="t('planning.sequence')"
        @select="reach"
      />
      <ol class="sheet">
        <PlanStepRow
          v-for="(step, index) in steps"
          :id="`operation-${index}`"
          :key="index"
          :step="step"
          :number="index + 1"
        />
      </ol>
      <HoleSection
        v-if="drill?.diameter_mm && drill.total_depth_mm && drill.depth_mm"
        class="md:col-start-2 xl:sticky xl:top-4 xl:col-start-3 print:w-72"
        :thickness-mm="thicknessMm"
        :drill-mm="drill.diameter_mm"
        :pilot-mm="pilot?.diameter_mm"
        :point-mm="drill.total_depth_mm - drill.depth_mm"
        :travel-mm="drill.total_depth_mm"
        :thread-mm="tap?.diameter_mm"
      />
    </div>
    <p class="mt-4 text-sm text-quiet">{{ t('planning.teaching') }}</p>
  </template>
  <PrecedenceNote class="mt-4" />
</template>
