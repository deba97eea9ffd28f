<script setup lang="ts">
import { useSay } from '@/language/useSay';
import type { Schemas } from '@/api/client';
import ErrorNote from '@/ui/ErrorNote.vue';
import { finds } from '@/ui/find';
import LinkButton from '@/ui/LinkButton.vue';
import PageState from '@/ui/PageState.vue';
import UndoNote from '@/ui/UndoNote.vue';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import PlannerTabs from '@/planning/PlannerTabs.vue';
import { usePlanRemoval, usePlans } from './usePlans';

/** All plans that one may see: found, sorted, compared two by two. */
const { t, d } = useI18n();
const { say } = useSay();
const plans = usePlans();
const search = ref('');
const order = ref<'name' | 'part' | 'saved_at'>('part');
const chosen = ref<string[]>([]);
const { removed, remove, undo, busy, error, reset } = usePlanRemoval((plan) => {
  chosen.value = chosen.value.filter((id) => id !== plan.id);
});

/** Plans of no part come last. */
function byOrder(a: Schemas['PlanEntry'], b: Schemas['PlanEntry']): number {
  if (order.value === 'saved_at') return b.saved_at.localeCompare(a.saved_at);
  const byName = a.name.localeCompare(b.name);
  if (order.value === 'name') return byName;
  return Number(a.part === null) - Number(b.part === null) || (a.part ?? '').localeCompare(b.part ?? '') || byName;
}
const shown = computed(() => {
  const found = (plans.data.value ?? []).filter((plan) =>
    finds(search.value, plan.name, say(plan.what), plan.machine, plan.part, plan.owner),
  );
  return found.sort(byOrder);
});
const comparable = computed(
  () =>
    chosen.value.length === 2 &&
    shown.value.filter((plan) => chosen.value.includes(plan.id) && plan.kind !== 'layout').length === 2,
);
</script>

<template>
  <PlannerTabs current="plans" />
  <div class="mt-4 flex flex-wrap items-center gap-4">
    <h1>{{ t('planning.plans') }}</h1>
    <label class="ml-auto flex items-center gap-2"
      >{{ t('ui.find') }} <input v-model="search" type="search" class="field w-56"
    /></label>
    <label class="flex items-center gap-2"
      >{{ t('ui.sortBy') }}
      <select v-model="order" class="field w-auto">
        <option v-for="each in ['part', 'name', 'saved_at'] as const" :key="each" :value="each">
          {{ t(`planning.order.${each}`) }}
        </option>
      </select></label
    >
    <RouterLink
      v-if="comparable"
      class="inline-flex min-h-12 items-center border border-blue bg-blue px-5 font-semibold text-on-blue no-underline"
      :to="{ name: 'compare-plans', params: { first: chosen[0], second: chosen[1] } }"
      >{{ t('planning.compare') }}</RouterLink
    >
    <span v-else class="text-sm text-quiet">{{ t('planning.compareHint') }}</span>
  </div>
  <UndoNote v-if="removed" :name="removed.name" :busy="busy" @undo="undo" />
  <ErrorNote class="mt-3" :error="error" @retry="reset" />
  <PageState v-slot="{ data }" :data="plans.data.value" :error="plans.error.value" @retry="plans.refetch()">
    <div v-if="data.length === 0" class="sheet mt-4 p-6">
      <p>{{ t('planning.noPlans') }}</p>
      <RouterLink
        class="mt-2 inline-flex min-h-12 items-center font-semibold"
        :to="{ name: 'new-plan', params: { kind: 'hole' } }"
        >{{ t('planning.firstPlan') }}</RouterLink
      >
    </div>
    <p v-else-if="shown.length === 0" class="mt-4 text-quiet">{{ t('ui.nothingFound', { what: search }) }}</p>
    <table v-else class="sheet mt-4 w-full text-left">
      <thead class="border-b border-quiet text-sm text-quiet max-md:sr-only">
        <tr>
          <th class="p-2" scope="col">
            <span class="sr-only">{{ t('planning.compare') }}</span>
          </th>
          <th class="p-2" scope="col">{{ t('planning.name') }}</th>
          <th class="p-2" scope="col">{{ t('planning.what') }}</th>
          <th class="p-2" scope="col">{{ t('planning.machine') }}</th>
          <th class="p-2" scope="col">{{ t('planning.part') }}</th>
          <th class="p-2" scope="col">{{ t('planning.savedAt') }}</th>
          <th class="p-2" scope="col">
            <span class="sr-only">{{ t('ui.remove') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="plan in shown" :key="plan.id" class="border-t border-hairline">
          <td class="p-2 max-md:px-1">
            <label v-if="plan.kind !== 'layout'" class="flex size-12 items-center justify-center">
              <input
                v-model="chosen"
                type="checkbox"
                class="size-6"
                :value="plan.id"
                :disabled="chosen.length >= 2 && !chosen.includes(plan.id)"
                :aria-label="t('planning.chooseToCompare', { name: plan.name })"
              />
            </label>
          </td>
          <th class="p-2 max-md:px-1" scope="row">
            <RouterLink class="inline-flex min-h-12 items-center" :to="{ name: 'plan', params: { id: plan.id } }">{{
              plan.name
            }}</RouterLink>
          </th>
          <td class="p-2 max-md:px-1">
            <span
              :class="plan.ready ? 'text-alone' : 'text-no'"
              :title="t(plan.ready ? 'planning.ready' : 'planning.missing')"
              >{{ plan.ready ? '●' : '■' }}</span
            >
            {{ say(plan.what) }}
          </td>
          <td class="p-2 max-md:px-1">{{ plan.machine ?? t('planning.tabs.layout') }}</td>
          <td class="p-2 max-md:hidden">{{ plan.part ?? '—' }}</td>
          <td class="p-2 text-sm text-quiet max-md:hidden">
            {{ d(plan.saved_at, { dateStyle: 'medium' }) }}, {{ plan.owner }}
          </td>
          <td class="p-2 text-right max-md:px-0">
            <LinkButton v-if="plan.yours" :label="t('ui.removeNamed', { name: plan.name })" @click="remove(plan)">{{
              t('ui.remove')
            }}</LinkButton>
          </td>
        </tr>
      </tbody>
    </table>
  </PageState>
</template>
