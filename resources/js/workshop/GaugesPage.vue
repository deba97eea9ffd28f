<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import { useUnits } from '@/measure/useUnits';
import BigButton from '@/ui/BigButton.vue';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import GaugeCheckDialog from './GaugeCheckDialog.vue';
import GaugeDialog from './GaugeDialog.vue';
import GaugeRepeats from './GaugeRepeats.vue';
import WorkshopTabs from './WorkshopTabs.vue';

/** The shop's measuring tools, each with its record: when it was checked, against what, what it showed, when it is due. */
const { t, d } = useI18n();
const { teaches } = useMe();
const { length } = useUnits();
const gauges = useQuery({ queryKey: ['gauges'], queryFn: () => must(api.GET('/api/workshop/gauges')) });
type Gauge = Schemas['Gauge'];
const editing = ref<Gauge | 'new' | null>(null);
const checking = ref<Gauge | null>(null);
const shown = computed(() =>
  [...(gauges.data.value ?? [])].sort(
    (a, b) =>
      Number(a.retired) - Number(b.retired) || Number(b.past_due) - Number(a.past_due) || a.name.localeCompare(b.name),
  ),
);
const day = (date: string) => d(new Date(`${date}T12:00:00Z`), { dateStyle: 'medium' });
</script>

<template>
  <WorkshopTabs current="gauges" />
  <div class="mt-4 flex flex-wrap items-center gap-4">
    <h1>{{ t('gauges.title') }}</h1>
    <BigButton v-if="teaches" class="ml-auto" tone="main" @click="editing = 'new'">{{ t('gauges.add') }}</BigButton>
  </div>
  <p class="text-quiet">{{ t('gauges.words') }}</p>
  <PageState v-slot="{ data }" :data="gauges.data.value" :error="gauges.error.value" @retry="gauges.refetch()">
    <p v-if="data.length === 0" class="sheet mt-4 p-6">{{ t('gauges.none') }}</p>
    <ul class="mt-4 grid gap-4 lg:grid-cols-2">
      <li v-for="gauge in shown" :key="gauge.slug" class="sheet p-4" :class="{ 'opacity-70': gauge.retired }">
        <h2 class="text-xl">{{ gauge.name }}</h2>
        <p class="text-quiet">
          {{ t(`gauges.kind.${gauge.kind}`) }} ·
          {{
            t('gauges.reads', {
              resolution: length(gauge.resolution_mm, 4),
              uncertainty: length(gauge.uncertainty_mm, 4),
            })
          }}
        </p>
        <p v-if="gauge.retired" class="font-semibold">○ {{ t('gauges.retired') }}</p>
        <p v-else-if="gauge.past_due" class="font-semibold text-supervised">
          ▲ {{ gauge.due_on ? t('gauges.late', { date: day(gauge.due_on) }) : t('gauges.never') }}
        </p>
        <p v-else-if="gauge.due_on" class="text-alone">✓ {{ t('gauges.due', { date: day(gauge.due_on) }) }}</p>
        <p v-if="gauge.tip_mm != null">{{ t('gauges.tipIs', { tip: length(gauge.tip_mm, 3) }) }}</p>
        <p v-if="gauge.zero_error_mm !== 0">{{ t('gauges.zero', { zero: length(gauge.zero_error_mm, 4) }) }}</p>
        <GaugeRepeats v-if="teaches" :slug="gauge.slug" />
        <details v-if="gauge.checks.length > 0">
          <summary class="flex min-h-12 cursor-pointer items-center font-semibold">{{ t('gauges.record') }}</summary>
          <ul>
            <li v-for="check in gauge.checks" :key="check.id">
              {{
                t('gauges.check', {
                  date: day(check.checked_on),
                  against: check.against,
                  zero: length(check.zero_error_mm, 4),
                  by: check.by,
                })
              }}
            </li>
          </ul>
        </details>
        <div v-if="teaches" class="mt-2 flex flex-wrap gap-3 print:hidden">
          <BigButton v-if="!gauge.retired" @click="checking = gauge">{{ t('gauges.checkIt') }}</BigButton>
          <BigButton @click="editing = gauge">{{ t('gauges.change') }}</BigButton>
        </div>
      </li>
    </ul>
  </PageState>
  <GaugeDialog v-if="editing" :gauge="editing === 'new' ? null : editing" @close="editing = null" />
  <GaugeCheckDialog v-if="checking" :gauge="checking" @close="checking = null" />
</template>
