<script setup lang="ts">
import { useUnits } from '@/measure/useUnits';
import { finds } from '@/ui/find';
import { capital } from '@/ui/capital';
import { useSay } from '@/language/useSay';
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import LinkButton from '@/ui/LinkButton.vue';
import PageState from '@/ui/PageState.vue';
import UndoNote from '@/ui/UndoNote.vue';
import { useRemoval } from '@/ui/useRemoval';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import BarsPanel from './BarsPanel.vue';
import MaterialDialog from './MaterialDialog.vue';
import { useShop } from './useShop';
import WorkshopTabs from './WorkshopTabs.vue';

/** What is drilled here: the table's rows, the shop's own, and the bars in stock. */
const { t } = useI18n();
const { number, surfaceSpeed } = useUnits();
const { say } = useSay();
const { leads, teaches } = useMe();
const { materials } = useShop();
const search = ref('');
const editing = ref<Schemas['Material'] | 'new' | null>(null);
const shown = computed(() =>
  (materials.data.value ?? []).filter((material) =>
    finds(search.value, say(material.word), material.name, material.group),
  ),
);
const { removed, remove, undo, busy, error, reset } = useRemoval(
  ({ key }: Schemas['Material']) =>
    must(api.DELETE('/api/workshop/materials/{material}', { params: { path: { material: key } } })),
  ({ key, ...row }: Schemas['Material']) =>
    must(api.PUT('/api/workshop/materials/{key}', { params: { path: { key } }, body: row })),
);
const unsure = (material: Schemas['Material'], key: string) => say(material.unsure[key]);
/** A row begins with a capital. */
const named = (material: Schemas['Material']) => capital(say(material.word));
</script>

<template>
  <WorkshopTabs current="materials" />
  <div class="mt-4 flex flex-wrap items-center gap-4">
    <h1>{{ t('workshop.materials') }}</h1>
    <label class="ml-auto flex items-center gap-2"
      >{{ t('ui.find') }} <input v-model="search" type="search" class="field w-56"
    /></label>
    <BigButton v-if="leads" @click="editing = 'new'">{{ t('workshop.ownRow') }}</BigButton>
  </div>
  <p class="mt-1 text-quiet">{{ t('workshop.materialsWords') }}</p>
  <UndoNote v-if="removed" :name="removed.name" :busy="busy" @undo="undo" />
  <ErrorNote class="mt-3" :error="error" @retry="reset" />
  <PageState v-slot="{ data }" :data="materials.data.value" :error="materials.error.value" @retry="materials.refetch()">
    <p v-if="shown.length === 0 && data.length > 0" class="mt-4 text-quiet">
      {{ t('ui.nothingFound', { what: search }) }}
    </p>
    <div v-else class="mt-3 overflow-x-auto">
      <table class="sheet w-full text-left">
        <thead class="border-b border-quiet text-sm text-quiet">
          <tr>
            <th class="p-2" scope="col">{{ t('workshop.material') }}</th>
            <th class="p-2 text-right" scope="col">{{ t('workshop.cuttingSpeed') }}</th>
            <th class="p-2 text-right" scope="col">{{ t('workshop.cuttingForce') }}</th>
            <th class="p-2 text-right" scope="col">{{ t('workshop.point') }}</th>
            <th class="p-2" scope="col">{{ t('workshop.chip') }}</th>
            <th class="p-2" scope="col">{{ t('workshop.lubricant') }}</th>
            <th class="p-2" scope="col">{{ t('workshop.grabs') }}</th>
            <th v-if="leads" class="p-2" scope="col">
              <span class="sr-only">{{ t('workshop.edit') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="material in shown" :key="material.key" class="border-t border-hairline align-top">
            <th class="p-2" scope="row">
              {{ named(material) }}
              <span v-if="material.own" class="ml-1 border border-bronze px-1 text-xs font-normal text-bronze">{{
                t('workshop.own')
              }}</span>
            </th>
            <td
              v-for="key in ['cutting_speed_m_min', 'cutting_force_n_mm2', 'point_angle_deg'] as const"
              :key="key"
              class="reading p-2 text-right whitespace-nowrap"
            >
              {{
                key === 'cutting_speed_m_min'
                  ? surfaceSpeed(material[key])
                  : `${number(material[key])}${key === 'cutting_force_n_mm2' ? ' N/mm²' : '°'}`
              }}
              <abbr
                v-if="unsure(material, key)"
                class="text-bronze no-underline"
                :title="t('figure.unsure', { words: unsure(material, key) })"
                >?</abbr
              >
            </td>
            <td class="p-2">{{ t(`workshop.chips.${material.chip_form}`) }}</td>
            <td class="p-2">{{ say(material.lubricant_word) }}</td>
            <td class="p-2">
              <template v-if="material.grabs"
                >◇ {{ t(material.edge === 'zero_rake' ? 'workshop.zeroRake' : 'workshop.grabsOnly') }}</template
              >
              <abbr
                v-if="unsure(material, 'grabs')"
                class="text-bronze no-underline"
                :title="t('figure.unsure', { words: unsure(material, 'grabs') })"
                >?</abbr
              >
            </td>
            <td v-if="leads" class="p-2 whitespace-nowrap">
              <LinkButton :label="t('workshop.editNamed', { name: material.name })" @click="editing = material">{{
                t(material.own ? 'workshop.edit' : 'workshop.replace')
              }}</LinkButton>
              <LinkButton
                v-if="material.own"
                :label="t('ui.removeNamed', { name: material.name })"
                @click="remove(material)"
                >{{ t('ui.remove') }}</LinkButton
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mt-2 text-sm text-quiet">{{ t('workshop.teaching') }}</p>
  </PageState>
  <BarsPanel v-if="teaches && materials.data.value" class="mt-8" />
  <MaterialDialog v-if="editing" :material="editing === 'new' ? null : editing" @close="editing = null" />
</template>
