<script setup lang="ts">
import { api, must } from '@/api/client';
import { useMe } from '@/api/useMe';
import FadingList from '@/learning/memory/FadingList.vue';
import LogbookEntries from '@/practice/LogbookEntries.vue';
import PageState from '@/ui/PageState.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed, nextTick, useTemplateRef, type ComponentPublicInstance } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import HoldPanel from './HoldPanel.vue';
import LedgerList from './LedgerList.vue';
import KnownMachines from './machines/KnownMachines.vue';
import PermitCard from './PermitCard.vue';
import PermitLadder from './PermitLadder.vue';
import PermitPath from './PermitPath.vue';
import { usePermitLadder } from './usePermitLadder';

const props = defineProps<{ id: string }>();
const { t } = useI18n();
const { person, teaches } = useMe();
const REFRESH_MS = 10_000;
const record = useQuery({
  queryKey: ['record', props.id],
  queryFn: () => must(api.GET('/api/records/learners/{learner}', { params: { path: { learner: props.id } } })),
  refetchInterval: REFRESH_MS,
});
const print = () => window.print();
/** Which permit is looked at stands in the address, so that one comes back to it. */
const route = useRoute();
const router = useRouter();
const { current } = usePermitLadder(() => record.data.value?.permits ?? []);
const shown = computed(
  () => record.data.value?.permits.find(({ code }) => code === route.query.permit) ?? current.value ?? null,
);
const path = useTemplateRef<ComponentPublicInstance>('path');
async function look(permit: string) {
  await router.replace({ query: { ...route.query, permit } });
  await nextTick();
  (path.value?.$el as HTMLElement | undefined)?.scrollIntoView({ block: 'start' });
}
const own = computed(() => String(person.value?.id) === props.id);
</script>

<template>
  <PageState v-slot="{ data }" :data="record.data.value" :error="record.error.value" @retry="record.refetch()">
    <h1>{{ own ? t('record.own') : data.learner.name }}</h1>
    <div class="flex items-center gap-4">
      <p class="text-quiet">{{ data.learner.cohort }}</p>
      <button type="button" class="min-h-12 px-2 underline underline-offset-4 print:hidden" @click="print">
        {{ t('record.print') }}
      </button>
    </div>
    <PermitLadder
      v-if="data.permits.length > 1"
      class="mt-4"
      :permits="data.permits"
      :chosen="shown?.code ?? null"
      @choose="look"
    />
    <PermitPath
      v-if="shown"
      :key="shown.code"
      ref="path"
      :learner-name="data.learner.name"
      class="mt-5 scroll-mt-4"
      :permit="shown"
      :learner-id="data.learner.id"
      :own="own"
    />
    <KnownMachines class="mt-6" :learner-id="data.learner.id" :name="data.learner.name" />
    <FadingList class="mt-6" :learner-id="data.learner.id" :own="own" />
    <div class="mt-5 hidden gap-4 print:flex print:flex-wrap">
      <PermitCard
        v-for="permit in data.permits.filter((each) => each.standing.stage === 5 && !each.standing.held)"
        :key="permit.code"
        :permit="permit"
        :name="data.learner.name"
        :chain="data.chain"
      />
    </div>
    <PrecedenceNote class="mt-5" />
    <template v-if="teaches">
      <section class="mt-8 print:hidden">
        <h2>{{ t('practice.title') }}</h2>
        <LogbookEntries class="mt-2" :learner-id="data.learner.id" :learner-name="data.learner.name" />
      </section>
      <HoldPanel
        v-if="shown"
        :key="shown.code"
        class="mt-8 print:hidden"
        :permit="shown"
        :learner-id="data.learner.id"
      />
    </template>
    <LedgerList
      class="mt-8"
      :lines="data.ledger"
      :chain="data.chain"
      :learner-id="data.learner.id"
      :may-correct="teaches && !own"
    />
  </PageState>
</template>
