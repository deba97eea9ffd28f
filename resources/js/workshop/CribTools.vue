<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import UndoNote from '@/ui/UndoNote.vue';
import { useAction } from '@/ui/useAction';
import { useRemoval } from '@/ui/useRemoval';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import CribDialog from './CribDialog.vue';
import NewTool from './NewTool.vue';

/** One crib: its tools by kind, each with its condition; whole drill sets come in with two presses. */
const props = defineProps<{ crib: Schemas['Crib'] }>();
const { t } = useI18n();
const { teaches } = useMe();
const { length } = useUnits();
type Tool = Schemas['Tool'];
const KINDS: Schemas['ToolKind'][] = [
  'drill',
  'step_drill',
  'centre_drill',
  'reamer',
  'tap',
  'gauge',
  'parallel',
  'holding',
  'boring_bar',
  'hole_saw',
];
const SERIES: Schemas['DrillSeries'][] = ['metric_half', 'metric_tenth', 'sixty_fourths', 'number', 'letter'];
const CONDITIONS: Schemas['Condition'][] = ['good', 'dull', 'regrind', 'worn_out', 'lost'];

const choosing = ref(false);
const dubbed = ref(false);
const groups = computed(() =>
  KINDS.map((kind) => ({ kind, tools: props.crib.tools.filter((tool) => tool.kind === kind) })).filter(
    ({ tools }) => tools.length > 0,
  ),
);
const path = computed(() => ({ params: { path: { crib: props.crib.slug } } }));
const addSet = useAction(
  (series: Schemas['DrillSeries']) =>
    must(
      api.POST('/api/workshop/cribs/{crib}/sets', {
        ...path.value,
        body: { series, edge: dubbed.value ? 'zero_rake' : 'normal' },
      }),
    ),
  () => (choosing.value = false),
);
const judge = useAction(({ tool, condition }: { tool: Tool; condition: Schemas['Condition'] }) =>
  must(api.PATCH('/api/workshop/tools/{tool}', { ...at(tool), body: { condition } })),
);
const at = (tool: Tool) => ({ params: { path: { tool: String(tool.id) } } });
const {
  removed,
  remove,
  undo,
  busy,
  error: removal,
} = useRemoval(
  (tool: Tool) => must(api.DELETE('/api/workshop/tools/{tool}', at(tool))),
  (tool: Tool) => must(api.POST('/api/workshop/tools/{tool}/restore', at(tool))),
);
const changing = ref(false);
const size = (tool: Tool) =>
  tool.kind === 'holding' && tool.piece && tool.diameter_mm !== null
    ? `${t(`workshop.variant.${tool.piece}`)}, ${length(tool.diameter_mm, 0)}`
    : sized(tool);
const sized = (tool: Tool) =>
  /^[\d.]+$/.test(tool.designation) && tool.diameter_mm !== null && tool.kind !== 'centre_drill'
    ? length(tool.diameter_mm, 2)
    : tool.designation;
const marks = (tool: Tool) =>
  [
    tool.edge === 'zero_rake' ? t('workshop.dubbed') : '',
    tool.taper === null ? '' : t('workshop.morse', { n: tool.taper }),
    tool.flute_length_mm === null ? '' : t('workshop.fluted', { length: length(tool.flute_length_mm, 0) }),
    tool.enters_mm === null ? '' : t('workshop.enteringOf', { length: length(tool.enters_mm, 0) }),
    tool.reach_mm === null ? '' : t('workshop.reaching', { length: length(tool.reach_mm, 0) }),
    tool.point_angle_deg === null ? '' : t('workshop.pointed', { n: tool.point_angle_deg }),
  ]
    .filter(Boolean)
    .join(', ');
const words = (tool: Tool) => [size(tool), marks(tool)].filter(Boolean).join(', ');
</script>

<template>
  <section :aria-label="crib.name">
    <div class="flex flex-wrap items-center gap-3">
      <h2 class="text-xl">{{ crib.name }}</h2>
      <p class="text-quiet">
        {{
          [
            crib.note,
            crib.machines.length > 0 ? t('workshop.besideMachines', { machines: crib.machines.join(', ') }) : '',
          ]
            .filter(Boolean)
            .join('. ')
        }}
      </p>
      <template v-if="teaches">
        <BigButton class="ml-auto" @click="changing = true">{{ t('workshop.changeCrib') }}</BigButton>
        <BigButton :aria-expanded="choosing" @click="choosing = !choosing">{{ t('workshop.addSet') }}</BigButton>
      </template>
    </div>
    <div
      v-if="choosing"
      class="sheet mt-3 flex flex-wrap items-center gap-3 p-4"
      role="group"
      :aria-label="t('workshop.addSet')"
    >
      <BigButton
        v-for="series in SERIES"
        :key="series"
        tone="main"
        :busy="addSet.busy.value"
        @click="addSet.run(series)"
        >{{ t(`workshop.series.${series}`) }}</BigButton
      >
      <label class="flex min-h-12 items-center gap-2"
        ><input v-model="dubbed" type="checkbox" class="size-5" /> {{ t('workshop.dubbedSet') }}</label
      >
    </div>
    <ErrorNote class="mt-3" :error="addSet.error.value ?? judge.error.value ?? removal" @retry="judge.reset()" />
    <UndoNote v-if="removed" :name="words(removed)" :busy="busy" @undo="undo" />
    <p v-if="groups.length === 0" class="sheet mt-3 p-6">{{ t('workshop.emptyCrib') }}</p>
    <div v-for="{ kind, tools } in groups" :key="kind" class="mt-4">
      <h3 class="font-semibold">
        {{ t(`workshop.toolKind.${kind}`) }} <span class="reading text-sm text-quiet">{{ tools.length }}</span>
      </h3>
      <ul class="mt-1 grid gap-2 sm:grid-cols-2 xl:grid-cols-3">
        <li
          v-for="tool in tools"
          :key="tool.id"
          class="sheet flex items-center gap-2 pl-3"
          :class="{ 'opacity-75': tool.condition !== 'good' }"
        >
          <span
            class="reading flex-1"
            :class="{ 'line-through': tool.condition === 'lost' || tool.condition === 'worn_out' }"
            >{{ size(tool) }} <span class="text-sm text-quiet">{{ marks(tool) }}</span></span
          >
          <template v-if="teaches">
            <select
              class="field w-auto border-0 text-sm"
              :value="tool.condition"
              :aria-label="t('workshop.conditionOf', { tool: words(tool) })"
              @change="
                judge.run({ tool, condition: ($event.target as HTMLSelectElement).value as Schemas['Condition'] })
              "
            >
              <option v-for="each in CONDITIONS" :key="each" :value="each">
                {{ t(`workshop.condition.${each}`) }}
              </option>
            </select>
            <button
              type="button"
              class="min-h-12 min-w-10"
              :aria-label="t('ui.removeNamed', { name: words(tool) })"
              @click="remove(tool)"
            >
              ✕
            </button>
          </template>
          <span v-else class="pr-3 text-sm text-quiet">{{ t(`workshop.condition.${tool.condition}`) }}</span>
        </li>
      </ul>
    </div>
    <NewTool v-if="teaches" class="mt-5" :crib="crib.slug" />
    <CribDialog v-if="changing" :crib="crib" @close="changing = false" />
  </section>
</template>
