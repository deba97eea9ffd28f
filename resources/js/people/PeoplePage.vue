<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import RecordsTabs from '@/records/RecordsTabs.vue';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useAction } from '@/ui/useAction';
import { useCommand } from '@/ui/useCommand';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMe } from './useMe';

/** Everybody of the shop: who is here, who signs for what, whose PIN is set. */
type Somebody = Schemas['Somebody'];
const { t } = useI18n();
const { person } = useMe();
const search = ref('');
const everybody = useQuery({ queryKey: ['everybody'], queryFn: () => must(api.GET('/api/people/everybody')) });
const shown = computed(() =>
  (everybody.data.value ?? []).filter((each) =>
    `${each.name} ${each.email} ${each.cohort ?? ''}`.toLowerCase().includes(search.value.trim().toLowerCase()),
  ),
);
const active = useCommand((who: Somebody) => ({
  about: `active:${who.id}`,
  method: 'PATCH',
  path: `/api/people/everybody/${who.id}`,
  body: { active: !who.active },
  label: { key: 'outbox.active', words: { what: who.name } },
}));
const takeFactor = useAction((who: Somebody) =>
  must(api.DELETE('/api/people/everybody/{person}/second-factor', { params: { path: { person: String(who.id) } } })),
);
const resetPin = useAction((who: Somebody) =>
  must(api.DELETE('/api/people/everybody/{person}/pin', { params: { path: { person: String(who.id) } } })),
);
</script>

<template>
  <RecordsTabs current="people" />
  <div class="mt-4 flex flex-wrap items-end gap-4">
    <h1>{{ t('people.everybody') }}</h1>
    <p class="flex-1 text-quiet">{{ t('people.everybodyWords') }}</p>
    <label class="flex items-center gap-2 text-sm"
      >{{ t('today.search') }} <input v-model="search" type="search" class="field w-52"
    /></label>
  </div>
  <ErrorNote
    class="mt-3"
    :error="active.error.value ?? resetPin.error.value ?? takeFactor.error.value"
    @retry="(active.reset(), resetPin.reset(), takeFactor.reset())"
  />
  <PageState v-slot="{ data }" :data="everybody.data.value" :error="everybody.error.value" @retry="everybody.refetch()">
    <p v-if="shown.length === 0" class="sheet mt-4 p-6">
      {{ t(data.length === 0 ? 'people.nobody' : 'today.noMatch') }}
    </p>
    <ul v-else class="sheet mt-4">
      <li
        v-for="each in shown"
        :key="each.id"
        class="flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-hairline px-4 py-2 first:border-t-0"
      >
        <div class="min-w-64 flex-1">
          <strong>{{ each.name }}</strong>
          <span class="ml-2 text-sm text-quiet"
            >{{ t(`role.${each.role}`) }}{{ each.cohort ? `, ${each.cohort}` : '' }}</span
          >
          <span class="block text-sm text-quiet">{{ each.email }}</span>
        </div>
        <p class="min-w-48 text-sm">
          <span :class="each.active ? 'text-alone' : 'text-no'">{{
            each.active ? `● ${t('people.active')}` : `■ ${t('people.inactive')}`
          }}</span>
          <span v-if="each.role === 'lead' || each.role === 'instructor'" class="block">{{
            `${t(`people.pin.state.${each.pin}`)}, ${t(each.second_factor ? 'people.factor.isOn' : 'people.factor.isOff')}`
          }}</span>
          <span v-if="each.signs_for.length > 0" class="block text-quiet">{{
            t('people.signsFor', { permits: each.signs_for.join(', ') })
          }}</span>
        </p>
        <BigButton
          v-if="(each.role === 'lead' || each.role === 'instructor') && each.pin !== 'none'"
          :busy="resetPin.busy.value"
          :aria-label="t('people.pin.resetOf', { name: each.name })"
          @click="resetPin.run(each)"
          >{{ t('people.pin.reset') }}</BigButton
        >
        <BigButton
          v-if="each.second_factor && each.id !== person?.id"
          :busy="takeFactor.busy.value"
          :aria-label="t('people.factor.takeAway', { name: each.name })"
          @click="takeFactor.run(each)"
          >{{ t('people.factor.takeShort') }}</BigButton
        >
        <BigButton
          v-if="each.id !== person?.id"
          :tone="each.active ? 'no' : 'plain'"
          :busy="active.busy.value"
          :aria-label="t(each.active ? 'people.deactivateNamed' : 'people.activateNamed', { name: each.name })"
          @click="active.run(each)"
          >{{ t(each.active ? 'people.deactivate' : 'people.activate') }}</BigButton
        >
      </li>
    </ul>
  </PageState>
</template>
