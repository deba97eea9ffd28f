<script setup lang="ts">
import { api, must } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import PlanLinks from '@/planning/saved/PlanLinks.vue';
import BigButton from '@/ui/BigButton.vue';
import PageState from '@/ui/PageState.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';
import FoundNote from '@/assessment/measuring/FoundNote.vue';
import { useWanted } from '@/assessment/measuring/useWanted';

/** A part's own card: who made it, what was measured on it, whether it goes into a mast; printed with a code that opens it. */
const props = defineProps<{ code: string }>();
const { t, d } = useI18n();
const { length } = useUnits();
const card = useQuery({
  queryKey: ['part', props.code],
  queryFn: () => must(api.GET('/api/assessment/parts/{code}', { params: { path: { code: props.code } } })),
});
const shapes = { fits: '✓', to_finish: '▲', can_be_saved: '▲', rejected: '✕', not_measured: '○' } as const;
const tones = {
  fits: 'text-alone',
  to_finish: 'text-supervised',
  can_be_saved: 'text-supervised',
  rejected: 'text-no',
  not_measured: 'text-quiet',
} as const;
const wanted = useWanted();
const print = () => window.print();
</script>

<template>
  <PageState v-slot="{ data }" :data="card.data.value" :error="card.error.value" @retry="card.refetch()">
    <article class="sheet max-w-4xl p-6 print:border-2 print:border-ink">
      <div class="flex flex-wrap items-start gap-6">
        <div class="min-w-64 flex-1">
          <h1>
            {{ data.part }} <span class="reading">{{ data.code }}</span>
          </h1>
          <p class="text-quiet">{{ data.stock }}</p>
          <p class="mt-2 text-3xl font-bold" :class="tones[data.verdict]">
            {{ shapes[data.verdict] }} {{ t(`part.verdict.${data.verdict}`) }}
          </p>
          <p class="mt-2">
            {{
              t('part.made', {
                maker: data.maker,
                date: data.concluded_at ? d(data.concluded_at, { dateStyle: 'long' }) : '',
              })
            }}
          </p>
          <p>
            {{ t('part.assessed', { assessor: data.assessor, sheet: data.sheet.title, version: data.sheet.version }) }}
          </p>
          <p v-for="dimension in data.dimensions" :key="dimension.name">
            {{ dimension.name }}: <strong class="reading">{{ length(dimension.mm) }}</strong>
          </p>
        </div>
        <img :src="data.square" :alt="t('part.square', { code: data.code })" class="size-36 bg-white p-2" />
      </div>
      <PlanLinks :plans="data.plans" class="print:hidden" />
      <table class="mt-4 w-full border-collapse">
        <thead>
          <tr class="border-b-2 border-ink text-left">
            <th class="pr-3">{{ t('part.what') }}</th>
            <th class="pr-3">{{ t('part.wanted') }}</th>
            <th class="pr-3 text-right">{{ t('part.makerRead') }}</th>
            <th>{{ t('part.found') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in data.lines" :key="line.id" class="break-inside-avoid border-b border-hairline align-top">
            <td class="py-1 pr-3">{{ line.text }}</td>
            <td class="reading py-1 pr-3">{{ wanted(line) }}</td>
            <td class="reading py-1 pr-3 text-right whitespace-nowrap">
              {{ line.learner_mm === null ? '–' : length(line.learner_mm) }}
            </td>
            <td class="py-1">
              <FoundNote v-if="line.found" :found="line.found" /><span v-else class="text-quiet">{{
                t('sheet.notMeasured')
              }}</span>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="data.lines.length === 0" class="mt-3 text-quiet">{{ t('part.nothing') }}</p>
    </article>
    <div class="mt-4 flex flex-wrap gap-4 print:hidden">
      <BigButton @click="print">{{ t('part.print') }}</BigButton>
      <RouterLink
        :to="{ name: 'sheet', params: { id: data.attempt } }"
        class="inline-flex min-h-12 items-center font-semibold"
        >{{ t('part.sheet') }}</RouterLink
      >
    </div>
    <PrecedenceNote class="mt-6" />
  </PageState>
</template>
