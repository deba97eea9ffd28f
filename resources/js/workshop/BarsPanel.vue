<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import SizeField from '@/measure/SizeField.vue';
import { useUnits } from '@/measure/useUnits';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import LinkButton from '@/ui/LinkButton.vue';
import PageState from '@/ui/PageState.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import UndoNote from '@/ui/UndoNote.vue';
import { useAction } from '@/ui/useAction';
import { useRemoval } from '@/ui/useRemoval';
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMaterialName } from './useMaterialName';
import { useShop } from './useShop';

/** Round bar in stock, from which a class is cut its blanks. */
const { t } = useI18n();
const materialName = useMaterialName();
const { length } = useUnits();
const { materials } = useShop();
const bars = useQuery({ queryKey: ['bars'], queryFn: () => must(api.GET('/api/workshop/bars')) });
const names = computed(() =>
  Object.fromEntries((materials.data.value ?? []).map((material) => [material.key, materialName(material)])),
);
const form = reactive({ material: 'mild_steel', diameter: '', length: '', count: '' });
const add = useAction(
  () => must(api.POST('/api/workshop/bars', { body: { ...form } })),
  () => Object.assign(form, { diameter: '', length: '', count: '' }),
);
type Bar = Schemas['Bar'];
const size = (bar: Bar) => `⌀ ${length(bar.diameter_mm)} × ${length(bar.length_mm, 0)}`;
const named = (bar: Bar) => `${names.value[bar.material] ?? bar.material} ${size(bar)}`;
const { removed, remove, undo, busy, error } = useRemoval(
  (bar: Bar) => must(api.DELETE('/api/workshop/bars/{bar}', { params: { path: { bar: String(bar.id) } } })),
  ({ material, diameter_mm, length_mm, count }: Bar) =>
    must(
      api.POST('/api/workshop/bars', {
        body: { material, diameter: `${diameter_mm} mm`, length: `${length_mm} mm`, count: String(count) },
      }),
    ),
);
const fault = (field: string) => add.fieldErrors.value[field]?.[0];
</script>

<template>
  <section>
    <h2>{{ t('workshop.bars') }}</h2>
    <p class="text-quiet">{{ t('workshop.barsWords') }}</p>
    <UndoNote v-if="removed" :name="named(removed)" :busy="busy" @undo="undo" />
    <PageState v-slot="{ data }" :data="bars.data.value" :error="bars.error.value" @retry="bars.refetch()">
      <p v-if="data.length === 0" class="mt-2 text-quiet">{{ t('workshop.noBars') }}</p>
      <ul v-else class="sheet mt-2">
        <li
          v-for="bar in data"
          :key="bar.id"
          class="flex flex-wrap items-center gap-x-5 border-t border-hairline px-4 first:border-t-0"
        >
          <span class="flex-1">{{ names[bar.material] ?? bar.material }}</span>
          <span class="reading">{{ size(bar) }}</span>
          <span class="reading font-semibold">{{ t('workshop.pieces', { n: bar.count }) }}</span>
          <LinkButton :label="t('ui.removeNamed', { name: named(bar) })" @click="remove(bar)">{{
            t('ui.remove')
          }}</LinkButton>
        </li>
      </ul>
    </PageState>
    <form
      class="sheet mt-3 grid items-end gap-3 p-4 sm:grid-cols-2 lg:grid-cols-[2fr_1fr_1fr_1fr_auto]"
      @submit.prevent="add.run(undefined)"
    >
      <SelectField
        v-model="form.material"
        :label="t('workshop.material')"
        :options="(materials.data.value ?? []).map((each) => ({ value: each.key, label: materialName(each) }))"
      />
      <SizeField v-model="form.diameter" :label="t('workshop.diameter')" :error="fault('diameter')" />
      <SizeField v-model="form.length" :label="t('workshop.barLength')" :error="fault('length')" />
      <TextField v-model="form.count" mode="numeric" reading :label="t('workshop.howMany')" :error="fault('count')" />
      <BigButton type="submit" :busy="add.busy.value">{{ t('ui.add') }}</BigButton>
    </form>
    <ErrorNote
      class="mt-2"
      :error="error ?? (Object.keys(add.fieldErrors.value).length > 0 ? null : add.error.value)"
      @retry="add.reset()"
    />
  </section>
</template>
