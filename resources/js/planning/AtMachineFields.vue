<script setup lang="ts" generic="Draft extends { machine: string; cribs: string[]; material: string }">
import SelectField from '@/ui/SelectField.vue';
import { useShop } from '@/workshop/useShop';
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMaterialName } from '@/workshop/useMaterialName';

/** Machine, cribs and material: where something is to be made, with what, of what. */
const draft = defineModel<Draft>({ required: true });
const props = defineProps<{ faults: Record<string, string[]>; lathesOnly?: boolean }>();
const { t } = useI18n();
const materialName = useMaterialName();
const { turning, cribs, materials } = useShop();

const usable = computed(() =>
  turning.value.filter((machine) => (props.lathesOnly ? machine.kind === 'lathe' : machine.kind !== 'hand_drill')),
);
watch(
  usable,
  (list) => {
    if (list[0] && !list.some((machine) => machine.slug === draft.value.machine)) draft.value.machine = list[0].slug;
  },
  { immediate: true },
);
const machine = computed(() => usable.value.find((each) => each.slug === draft.value.machine));
const beside = computed(() => machine.value?.cribs.map((crib) => crib.slug) ?? []);
const atHand = computed(() => (draft.value.cribs.length > 0 ? draft.value.cribs : beside.value));
const names = computed(() =>
  (cribs.data.value ?? [])
    .filter((crib) => atHand.value.includes(crib.slug))
    .map((crib) => crib.name)
    .join(', '),
);
/** Cribs that hold anything to cut with. */
const cutting = computed(() =>
  (cribs.data.value ?? []).filter((crib) => crib.tools.some((tool) => tool.kind !== 'parallel')),
);

function toggle(slug: string) {
  const now = atHand.value.includes(slug) ? atHand.value.filter((each) => each !== slug) : [...atHand.value, slug];
  const same = now.length === beside.value.length && now.every((each) => beside.value.includes(each));
  draft.value.cribs = same ? [] : now;
}
</script>

<template>
  <SelectField
    v-model="draft.machine"
    :label="t('planning.machine')"
    :options="
      usable.map((each) => ({
        value: each.slug,
        label: each.in_service ? each.name : t('planning.outOfService', { machine: each.name }),
      }))
    "
    :error="faults.machine?.[0]"
  />
  <SelectField
    v-model="draft.material"
    :label="t('planning.material')"
    :options="(materials.data.value ?? []).map((each) => ({ value: each.key, label: materialName(each) }))"
    :error="faults.material?.[0]"
  />
  <details class="sm:col-span-2">
    <summary class="cursor-pointer font-semibold">
      {{ t('planning.cribs') }}
      <span class="font-normal text-quiet">▾ {{ draft.cribs.length === 0 ? t('planning.besideMachine') : '' }}</span>
      <span class="mt-1 block min-h-12 border border-hairline bg-paper px-3 py-2 font-normal">{{ names }}</span>
    </summary>
    <ul class="grid gap-x-4 border border-t-0 border-hairline px-3 py-1 sm:grid-cols-2">
      <li v-for="crib in cutting" :key="crib.slug">
        <label class="flex min-h-12 items-center gap-2">
          <input type="checkbox" class="size-5" :checked="atHand.includes(crib.slug)" @change="toggle(crib.slug)" />
          {{ crib.name }}
        </label>
      </li>
    </ul>
    <p v-if="faults.cribs" role="alert" class="mt-1 text-sm font-semibold text-no">✕ {{ faults.cribs[0] }}</p>
  </details>
</template>
