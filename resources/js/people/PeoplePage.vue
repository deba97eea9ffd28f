<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import RecordsTabs from '@/people/RecordsTabs.vue';
import BigButton from '@/ui/BigButton.vue';
import LinkButton from '@/ui/LinkButton.vue';
import { finds } from '@/ui/find';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useAction } from '@/ui/useAction';
import { useCommand } from '@/ui/useCommand';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import BadgeDialog from './BadgeDialog.vue';
import CohortDialog from './CohortDialog.vue';
import ForgetDialog from './ForgetDialog.vue';
import InvitationLink from './InvitationLink.vue';
import PersonDialog from './PersonDialog.vue';
import { useMe } from '@/api/useMe';

/** Everybody of the shop: who is here, who signs for what, whose PIN is set. */
type Somebody = Schemas['Somebody'];
const { t, d } = useI18n();
const { person } = useMe();
const search = ref('');
const editing = ref<Somebody | 'new' | null>(null);
const handing = ref<Somebody | null>(null);
const forgetting = ref<Somebody | null>(null);
const cohort = ref<Schemas['Cohort'] | 'new' | null>(null);
const cohorts = useQuery({ queryKey: ['cohorts'], queryFn: () => must(api.GET('/api/people/cohorts')) });
const everybody = useQuery({ queryKey: ['everybody'], queryFn: () => must(api.GET('/api/people/everybody')) });
const shown = computed(() =>
  (everybody.data.value ?? []).filter((each) =>
    finds(search.value, each.name, each.email, t(`role.${each.role}`), ...each.cohorts.map(({ name }) => name)),
  ),
);
const invited = ref<Somebody | null>(null);
const invite = useAction(
  (who: Somebody) =>
    must(api.POST('/api/people/everybody/{person}/invitation', { params: { path: { person: String(who.id) } } })),
  (person) => (invited.value = person),
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
    <p class="w-full text-quiet sm:w-auto sm:flex-1">{{ t('people.everybodyWords') }}</p>
    <BigButton tone="main" @click="editing = 'new'">{{ t('people.add') }}</BigButton>
    <RouterLink
      :to="{ name: 'class-list' }"
      class="inline-flex min-h-12 items-center border border-quiet px-5 font-semibold no-underline"
      >{{ t('people.list.title') }}</RouterLink
    >
  </div>
  <section class="mt-4">
    <h2>{{ t('people.cohort.title') }}</h2>
    <p v-if="cohorts.data.value?.length === 0" class="text-quiet">{{ t('people.noCohorts') }}</p>
    <div class="mt-2 flex flex-wrap items-center gap-2">
      <button
        v-for="each in cohorts.data.value ?? []"
        :key="each.id"
        type="button"
        class="min-h-12 border border-hairline bg-sheet px-4 text-left hover:border-blue"
        @click="cohort = each"
      >
        <strong>{{ each.name }}</strong>
        <span class="block text-sm text-quiet"
          >{{ d(each.starts_on, { dateStyle: 'medium' })
          }}{{ each.ends_on ? ` – ${d(each.ends_on, { dateStyle: 'medium' })}` : '' }},
          {{ t('people.cohort.members', each.members) }}</span
        >
      </button>
      <BigButton @click="cohort = 'new'">{{ t('people.cohort.add') }}</BigButton>
    </div>
  </section>
  <label class="mt-4 flex items-center gap-2"
    >{{ t('today.search') }} <input v-model="search" type="search" class="field w-64"
  /></label>
  <ErrorNote
    class="mt-3"
    :error="active.error.value ?? resetPin.error.value ?? takeFactor.error.value ?? invite.error.value"
    @retry="(active.reset(), resetPin.reset(), takeFactor.reset(), invite.reset())"
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
            >{{ [t(`role.${each.role}`), ...each.cohorts.map(({ name }) => name)].join(', ')
            }}{{ each.all_cohorts ? `, ${t('people.reachesAll')}` : '' }}</span
          >
          <span v-if="!each.forgotten" class="block text-sm text-quiet">{{ each.email }}</span>
        </div>
        <p class="min-w-48 text-sm">
          <span :class="each.active ? 'text-alone' : 'text-no'">{{
            each.active
              ? `● ${t('people.active')}`
              : `■ ${t(each.forgotten ? 'people.forgotten.mark' : 'people.inactive')}`
          }}</span>
          <span v-if="!each.joined && !each.forgotten" class="block text-supervised">{{
            each.invited_at
              ? t('people.invitedOn', { day: d(each.invited_at, { dateStyle: 'medium' }) })
              : t('people.notInvited')
          }}</span>
          <span v-if="each.role !== 'auditor' && !each.forgotten" class="block">{{
            t(each.badge ? 'people.badge.hasOne' : 'people.badge.none')
          }}</span>
          <span v-if="each.role === 'lead' || each.role === 'instructor'" class="block">{{
            `${t(`people.pin.state.${each.pin}`)}, ${t(each.second_factor ? 'people.factor.isOn' : 'people.factor.isOff')}`
          }}</span>
          <span v-if="each.signs_for.length > 0" class="block text-quiet">{{
            t('people.signsFor', { permits: each.signs_for.join(', ') })
          }}</span>
        </p>
        <LinkButton
          v-if="!each.forgotten"
          :label="t('people.editNamed', { name: each.name })"
          @click="editing = each"
          >{{ t('people.edit') }}</LinkButton
        >
        <LinkButton
          v-if="!each.active && !each.forgotten && each.id !== person?.id"
          :label="t('people.forgotten.actNamed', { name: each.name })"
          @click="forgetting = each"
          >{{ t('people.forgotten.act') }}</LinkButton
        >
        <LinkButton
          v-if="each.role !== 'auditor' && each.active"
          :label="t('people.badge.of', { name: each.name })"
          @click="handing = each"
          >{{ t('people.badge.title') }}</LinkButton
        >
        <LinkButton
          v-if="!each.joined && each.active"
          :label="t('people.inviteNamed', { name: each.name })"
          @click="invite.run(each)"
          >{{ t('people.invite') }}</LinkButton
        >
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
          v-if="each.id !== person?.id && !each.forgotten"
          :tone="each.active ? 'no' : 'plain'"
          :busy="active.busy.value"
          :aria-label="t(each.active ? 'people.deactivateNamed' : 'people.activateNamed', { name: each.name })"
          @click="active.run(each)"
          >{{ t(each.active ? 'people.deactivate' : 'people.activate') }}</BigButton
        >
      </li>
    </ul>
  </PageState>
  <ForgetDialog v-if="forgetting" :person="forgetting" @close="forgetting = null" />
  <PersonDialog
    v-if="editing"
    :person="editing === 'new' ? null : editing"
    :cohorts="cohorts.data.value ?? []"
    @close="editing = null"
    @invited="invited = $event"
  />
  <InvitationLink v-if="invited?.link" :name="invited.name" :link="invited.link" @close="invited = null" />
  <p v-else-if="invited" role="status" class="sr-only">{{ t('people.invitedNow', { name: invited.name }) }}</p>
  <BadgeDialog v-if="handing" :person="handing" @close="handing = null" />
  <CohortDialog v-if="cohort" :cohort="cohort === 'new' ? null : cohort" @close="cohort = null" />
</template>
