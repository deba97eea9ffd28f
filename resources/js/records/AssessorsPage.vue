<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import TeachingTabs from '@/learning/TeachingTabs.vue';
import { useUnits } from '@/measure/useUnits';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';
import MonthsChart from './MonthsChart.vue';

/** How alike the shop's assessors are, in plain words: two who watched the same work, and each over the year. */
const { t } = useI18n();
const { leads } = useMe();
const { number } = useUnits();
const compared = useQuery({ queryKey: ['assessors'], queryFn: () => must(api.GET('/api/records/assessors')) });
type Pair = Schemas['AssessorsCompared']['pairs'][number];
type Agreement = Schemas['AssessorsAgree'];
/** The criteria that are most worth talking about. */
const apart = (pair: Pair) => pair.criteria.filter((criterion) => criterion.apart).slice(0, 3);
const interval = ({ low, high }: Agreement) =>
  low === null || high === null
    ? t('assessors.noInterval')
    : t('assessors.interval', { low: number(low, 2), high: number(high, 2) });
</script>

<template>
  <TeachingTabs current="assessors" />
  <h1 class="mt-4">{{ t('assessors.title') }}</h1>
  <p class="text-quiet">{{ t(leads ? 'assessors.wordsAll' : 'assessors.wordsOwn') }}</p>
  <PageState v-slot="{ data }" :data="compared.data.value" :error="compared.error.value" @retry="compared.refetch()">
    <section class="mt-5">
      <h2>{{ t('assessors.pairs') }}</h2>
      <p v-if="data.pairs.length === 0" class="sheet mt-2 p-6">{{ t('assessors.noPairs') }}</p>
      <article v-for="pair in data.pairs" :key="pair.names.join()" class="sheet mt-3 p-4">
        <h3 class="text-xl">{{ t('assessors.two', { a: pair.names[0], b: pair.names[1] }) }}</h3>
        <p class="text-lg">
          <strong class="reading text-2xl">{{ number(pair.agreement.percent, 0) }} %</strong>
          {{ t('assessors.same', { count: pair.agreement.count, sheets: pair.sheets }) }}
          {{ t(`assessors.meaning.${pair.agreement.meaning}`) }}
        </p>
        <p v-if="apart(pair).length > 0" class="font-semibold text-supervised">
          ▲
          {{
            t('assessors.butNot', {
              what: apart(pair)
                .map(({ text }) => text)
                .join('; '),
            })
          }}
        </p>
        <p class="text-sm text-quiet">
          <template v-if="pair.agreement.kappa !== null">{{
            t('assessors.kappa', { kappa: number(pair.agreement.kappa, 2) })
          }}</template>
          {{ interval(pair.agreement) }}
        </p>
        <details class="mt-2">
          <summary class="flex min-h-12 cursor-pointer items-center font-semibold">{{ t('assessors.each') }}</summary>
          <div class="overflow-x-auto">
            <table class="w-full border-collapse">
              <thead>
                <tr class="border-b-2 border-ink text-left">
                  <th class="pr-3">{{ t('part.what') }}</th>
                  <th class="pr-3">{{ t('assessors.sheet') }}</th>
                  <th class="pr-3 text-right">{{ t('assessors.seen') }}</th>
                  <th class="pr-3 text-right">{{ t('assessors.alike') }}</th>
                  <th>{{ t('assessors.inWords') }}</th>
                </tr>
              </thead>
              <tbody>
                <tr
                  v-for="one in pair.criteria"
                  :key="`${one.sheet} ${one.text}`"
                  class="border-b border-hairline align-top"
                >
                  <td class="py-1 pr-3">{{ one.text }}</td>
                  <td class="pr-3">{{ one.sheet }}</td>
                  <td class="reading pr-3 text-right">{{ one.agreement.count }}</td>
                  <td class="reading pr-3 text-right">{{ number(one.agreement.percent, 0) }} %</td>
                  <td>{{ t(`assessors.meaning.${one.agreement.meaning}`) }} {{ interval(one.agreement) }}</td>
                </tr>
              </tbody>
            </table>
          </div>
        </details>
      </article>
    </section>
    <section class="mt-6">
      <h2>{{ t('assessors.year') }}</h2>
      <p class="text-quiet">{{ t('assessors.yearWords') }}</p>
      <p v-if="data.assessors.length === 0" class="sheet mt-2 p-6">{{ t('assessors.nobody') }}</p>
      <article v-for="one in data.assessors" :key="one.name" class="sheet mt-3 break-inside-avoid p-4">
        <h3 class="text-xl">{{ one.name }}</h3>
        <p>
          {{ t('assessors.said', { percent: number(one.percent, 0), of: one.of, shop: number(one.shop_percent, 0) }) }}
          <strong>{{ t(`assessors.leaning.${one.leaning}`) }}</strong>
        </p>
        <MonthsChart class="mt-2" :assessor="one" />
      </article>
    </section>
  </PageState>
</template>
