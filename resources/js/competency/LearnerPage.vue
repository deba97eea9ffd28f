<script setup lang="ts">
import { api, must } from '@/api/client';
import { useMe } from '@/api/useMe';
import LogbookEntries from '@/practice/LogbookEntries.vue';
import PageState from '@/ui/PageState.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import HoldPanel from './HoldPanel.vue';
import LedgerList from './LedgerList.vue';
import PermitCard from './PermitCard.vue';
import PermitPath from './PermitPath.vue';

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
    <PermitPath
      v-for="permit in data.permits"
      :key="permit.code"
      class="mt-5"
      :permit="permit"
      :learner-id="data.learner.id"
      :own="own"
    />
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
        v-for="permit in data.permits"
        :key="permit.code"
        class="mt-8 print:hidden"
        :permit="permit"
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
