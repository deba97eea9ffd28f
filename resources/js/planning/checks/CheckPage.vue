<script setup lang="ts">
import { api, must, Refused } from '@/api/client';
import SizeField from '@/measure/SizeField.vue';
import { useUnits } from '@/measure/useUnits';
import PlannerTabs from '@/planning/PlannerTabs.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useShop } from '@/workshop/useShop';
import { useQuery } from '@tanstack/vue-query';
import { refDebounced, useSessionStorage } from '@vueuse/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import CheckLinks from './CheckLinks.vue';
import { CHECKS, KEPT, TONES, type CheckKind } from './checks';
import KeepCheck from './KeepCheck.vue';

/** One check with a gauge in the hand: what was read, and what it comes to at once. */
const props = defineProps<{ kind: CheckKind }>();
const { t } = useI18n();
const { units, length } = useUnits();
const { turning } = useShop();
const typed = useSessionStorage<Record<string, Record<string, string>>>('millstep.checks', {});
const fields = computed(() => CHECKS[props.kind]);
const form = computed(() => ({
  of: 'over',
  ...typed.value[props.kind],
}));
function set(key: string, value: string) {
  typed.value = { ...typed.value, [props.kind]: { ...typed.value[props.kind], [key]: value } };
}
const asked = computed(() =>
  Object.fromEntries(fields.value.map(({ key }) => [key, (form.value as Record<string, string>)[key] ?? ''])),
);
const settled = refDebounced(
  computed(() => ({ kind: props.kind, asked: asked.value })),
  300,
);
const whole = computed(() =>
  fields.value.every((field) => field.optional || (settled.value.asked[field.key] ?? '') !== ''),
);
const answer = useQuery({
  queryKey: ['check', settled, units],
  queryFn: () =>
    must(
      api.POST('/api/workshop/checks/{kind}', {
        params: { path: { kind: settled.value.kind } },
        body: settled.value.asked,
      }),
    ),
  enabled: computed(() => whole.value && settled.value.kind === props.kind),
  retry: (failures: number, error: Error) => !(error instanceof Refused) && failures < 4,
});
const faults = computed<Record<string, string[]>>(() =>
  answer.error.value instanceof Refused ? answer.error.value.errors : {},
);
const found = computed(() => (whole.value && !answer.error.value ? answer.data.value : undefined));
const verdict = computed(() => (typeof found.value?.verdict === 'string' ? found.value.verdict : null));
/** Lengths that it comes to, each in the reader's units. */
const lengths = computed(() =>
  Object.entries(found.value ?? {}).flatMap(([key, value]) =>
    key.endsWith('_mm') && typeof value === 'number'
      ? [{ key, label: t(`planning.checks.found.${key}`), value: length(value, 3) }]
      : [],
  ),
);
const machines = computed(() =>
  turning.value
    .filter(
      (machine) =>
        machine.kind !== 'hand_drill' &&
        (props.kind !== 'tailstock_check' || machine.kind === 'lathe') &&
        (props.kind !== 'taper_fit_check' || machine.taper !== null),
    )
    .map((machine) => ({ value: machine.slug, label: machine.name })),
);
</script>

<template>
  <PlannerTabs current="checks" />
  <CheckLinks />
  <div class="mt-4 flex flex-wrap items-end gap-x-5">
    <h1>{{ t(`planning.checks.kind.${kind}.name`) }}</h1>
    <p class="text-quiet">{{ t(`planning.checks.kind.${kind}.words`) }}</p>
  </div>
  <p
    v-if="['run_out_check', 'tram_check', 'taper_fit_check'].includes(kind)"
    class="mt-3 border-l-8 border-caution bg-sheet px-4 py-2 font-semibold"
  >
    ▲ {{ t(kind === 'taper_fit_check' ? 'planning.checks.isolated_taper' : 'planning.checks.isolated') }}
  </p>
  <div class="mt-3 grid items-start gap-5 lg:grid-cols-[1fr_440px]">
    <section class="sheet grid items-start gap-4 p-4 sm:grid-cols-2">
      <template v-for="field in fields" :key="`${kind}.${field.key}`">
        <SelectField
          v-if="field.as === 'over_or_between'"
          class="sm:col-span-2"
          :model-value="asked[field.key] || 'over'"
          :label="t(`planning.checks.field.${field.key}`)"
          :options="['over', 'between'].map((way) => ({ value: way, label: t(`planning.checks.way.${way}`) }))"
          @update:model-value="set(field.key, $event)"
        />
        <SizeField
          v-else-if="field.as === 'length'"
          as="length"
          :model-value="asked[field.key] ?? ''"
          :label="t(`planning.checks.field.${field.key}`) + (field.optional ? ` ${t('planning.checks.perhaps')}` : '')"
          :error="faults[field.key]?.[0]"
          @update:model-value="set(field.key, String($event))"
        />
        <TextField
          v-else
          reading
          inputmode="text"
          :model-value="asked[field.key] ?? ''"
          :label="t(`planning.checks.field.${field.key}`)"
          :hint="t('planning.checks.readingHint')"
          :error="faults[field.key]?.[0]"
          @update:model-value="set(field.key, String($event))"
        />
      </template>
    </section>
    <div class="grid gap-4">
      <ErrorNote
        v-if="answer.error.value && Object.keys(faults).length === 0"
        :error="answer.error.value"
        @retry="answer.refetch()"
      />
      <p v-if="!whole" class="text-quiet">{{ t('planning.checks.empty') }}</p>
      <section v-if="found" role="status">
        <template v-if="verdict">
          <p class="text-2xl font-bold" :class="TONES[verdict]?.tone">
            {{ TONES[verdict]?.sign }} {{ t(`planning.checks.verdict.${verdict}`) }}
          </p>
          <p class="mt-1 text-lg">{{ t(`planning.checks.because.${verdict}`) }}</p>
        </template>
        <dl class="mt-3 grid max-w-md grid-cols-[1fr_auto] gap-x-6 gap-y-1 text-lg">
          <template v-for="line in lengths" :key="line.key">
            <dt>{{ line.label }}</dt>
            <dd class="reading text-right">{{ line.value }}</dd>
          </template>
        </dl>
      </section>
      <KeepCheck
        v-if="KEPT.includes(kind)"
        :kind="kind"
        :given="asked"
        :whole="found !== undefined"
        of="machine"
        :options="machines"
      />
    </div>
  </div>
</template>
