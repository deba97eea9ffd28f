<script setup lang="ts">
import { api, must } from '@/api/client';
import { useMe } from '@/people/useMe';
import LogbookEntries from '@/practice/LogbookEntries.vue';
import PageState from '@/ui/PageState.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import HoldPanel from './HoldPanel.vue';
import LedgerList from './LedgerList.vue';
import PermitPath from './PermitPath.vue';

const props = defineProps<{ id: string }>();
const { t } = useI18n();
const { person, teaches } = useMe();
const REFRESH_MS = 10_000;
const record = useQuery({
  queryKey: ['record', props.id],
  queryFn: () => must(api.GET('/api/competency/learners/{learner}', { params: { path: { learner: props.id } } })),
  refetchInterval: REFRESH_MS,
});
const own = computed(() => String(person.value?.id) === props.id);
</script>

<template>
  <PageState v-slot="{ data }" :data="record.data.value" :error="record.error.value" @retry="record.refetch()">
    <h1>{{ own ? t('record.own') : data.learner.name }}</h1>
    <p class="text-quiet">{{ data.learner.cohort }}</p>
    <PermitPath
      v-for="permit in data.permits"
      :key="permit.code"
      class="mt-5"
      :permit="permit"
      :learner-id="data.learner.id"
      :own="own"
    />
    <PrecedenceNote class="mt-5" />
    <template v-if="teaches">
      <section class="mt-8">
        <h2>{{ t('practice.title') }}</h2>
        <LogbookEntries class="mt-2" :learner-id="data.learner.id" />
      </section>
      <HoldPanel
        v-for="permit in data.permits"
        :key="permit.code"
        class="mt-8"
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
