<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import PlannerTabs from '@/planning/PlannerTabs.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import { capital } from '@/ui/capital';
import { useMaterialName } from '@/workshop/useMaterialName';
import { useShop } from '@/workshop/useShop';
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { CHARTS, type ChartKind } from './charts';
import ChartTable from './ChartTable.vue';
import SheetPreview from './SheetPreview.vue';

/** A wall chart of this shop: to read here, and as sheets to hang. What is chosen stands in the address, as the code on paper has it. */
const props = defineProps<{ chart?: ChartKind }>();
const { t, d } = useI18n();
const { say } = useSay();
const route = useRoute();
const router = useRouter();
const materialName = useMaterialName();
const { turning, materials } = useShop();

const usable = computed(() => turning.value.filter((machine) => machine.kind !== 'hand_drill'));
function of(part: 'chart' | 'machine' | 'material') {
  return computed({
    get: () =>
      part === 'chart'
        ? props.chart || 'speeds'
        : String(route.query[part] ?? (part === 'machine' ? (usable.value[0]?.slug ?? '') : 'mild_steel')),
    set: (value: string) =>
      void router.replace({
        name: 'wall-charts',
        params: { chart: part === 'chart' ? value : shown.value },
        query: { machine: machine.value, material: material.value, ...(part === 'chart' ? {} : { [part]: value }) },
      }),
  });
}
const shown = of('chart');
const machine = of('machine');
const material = of('material');
const found = useQuery({
  queryKey: ['wall-chart', shown, machine, material],
  queryFn: () =>
    must(
      api.GET('/api/planning/charts/{chart}', {
        params: {
          path: { chart: shown.value as Schemas['ChartKind'] },
          query: { machine: machine.value, material: material.value },
        },
      }),
    ),
  enabled: computed(() => machine.value !== ''),
  placeholderData: keepPreviousData,
});
</script>

<template>
  <PlannerTabs current="wall" />
  <div class="mt-4 flex flex-wrap items-end gap-x-5">
    <h1>{{ t('planning.wall.title') }}</h1>
    <p class="text-quiet">{{ t('planning.wall.words') }}</p>
  </div>
  <div class="mt-3 grid items-end gap-4 sm:grid-cols-3">
    <SelectField
      v-model="shown"
      :label="t('planning.wall.chart')"
      :options="CHARTS.map((kind) => ({ value: kind, label: t(`planning.wall.charts.${kind}`) }))"
    />
    <SelectField
      v-model="machine"
      :label="t('planning.machine')"
      :options="usable.map((each) => ({ value: each.slug, label: each.name }))"
    />
    <SelectField
      v-if="shown === 'chips'"
      v-model="material"
      :label="t('planning.material')"
      :options="(materials.data.value ?? []).map((each) => ({ value: each.key, label: materialName(each) }))"
    />
  </div>
  <ErrorNote v-if="found.error.value" class="mt-4" :error="found.error.value" @retry="found.refetch()" />
  <div
    v-else-if="found.data.value"
    class="mt-5 grid grid-cols-[minmax(0,1fr)] items-start gap-6 xl:grid-cols-[minmax(0,1fr)_400px]"
  >
    <section>
      <h2 class="text-2xl">{{ capital(say(found.data.value.title)) }}</h2>
      <p class="text-sm text-quiet">
        {{ t('planning.wall.asOf', { date: d(new Date(`${found.data.value.date}T12:00`), { dateStyle: 'medium' }) }) }}
      </p>
      <ul v-if="found.data.value.legend.length > 0" class="mt-2 flex flex-wrap gap-x-6 text-lg font-semibold">
        <li v-for="line in found.data.value.legend" :key="say(line)">{{ say(line) }}</li>
      </ul>
      <ChartTable class="mt-3" :chart="found.data.value" />
      <ul class="mt-3 grid max-w-prose gap-1 text-sm text-quiet">
        <li v-for="note in found.data.value.notes" :key="note.code">{{ say(note) }}</li>
      </ul>
    </section>
    <SheetPreview :chart="found.data.value" :machine="machine" :material="material" />
  </div>
</template>
