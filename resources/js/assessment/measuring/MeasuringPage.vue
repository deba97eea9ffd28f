<script setup lang="ts">
import { api, must } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';
import DifferencePlot from './DifferencePlot.vue';

/** How a learner measures: their readings beside those of whoever assessed, drawn and in a table. */
const props = defineProps<{ id: string }>();
const { t, d } = useI18n();
const { length } = useUnits();
const measuring = useQuery({
  queryKey: ['measuring', props.id],
  queryFn: () =>
    must(api.GET('/api/assessment/learners/{learner}/measuring', { params: { path: { learner: props.id } } })),
});
const signed = (mm: number) => `${mm > 0 ? '+' : ''}${length(mm, 3)}`;
</script>

<template>
  <PageState v-slot="{ data }" :data="measuring.data.value" :error="measuring.error.value" @retry="measuring.refetch()">
    <h1>{{ t('measuring.title', { name: data.learner }) }}</h1>
    <p v-if="data.agreement === null" class="sheet mt-4 p-6">{{ t('measuring.none') }}</p>
    <template v-else>
      <p class="mt-2 text-lg">
        {{
          t(
            'measuring.words',
            { count: data.agreement.count, within: length(data.agreement.within_mm, 3) },
            data.agreement.count,
          )
        }}
        <template v-if="data.leaning">{{
          t(`measuring.${data.leaning}`, { bias: length(Math.abs(data.agreement.bias_mm), 3) })
        }}</template>
      </p>
      <DifferencePlot class="mt-4" :measuring="data" />
      <table class="mt-5 w-full max-w-4xl border-collapse">
        <caption class="text-left font-semibold">
          {{
            t('measuring.table')
          }}
        </caption>
        <thead>
          <tr class="border-b-2 border-ink text-left">
            <th>{{ t('part.what') }}</th>
            <th>{{ t('measuring.day') }}</th>
            <th class="text-right">{{ t('measuring.learner') }}</th>
            <th class="text-right">{{ t('measuring.assessor') }}</th>
            <th class="text-right">{{ t('measuring.difference') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(pair, index) in data.pairs" :key="index" class="border-b border-hairline">
            <td class="py-1">{{ pair.text }}</td>
            <td>{{ d(pair.at, { dateStyle: 'medium' }) }}</td>
            <td class="reading text-right">{{ length(pair.learner_mm) }}</td>
            <td class="reading text-right">{{ length(pair.examiner_mm) }}</td>
            <td class="reading text-right">{{ signed(pair.learner_mm - pair.examiner_mm) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </PageState>
</template>
