<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useScope } from '@/competency/useScope';
import { useUnits } from '@/measure/useUnits';
import BigButton from '@/ui/BigButton.vue';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** The signature has limits: two taps say what is to be made, of what and how large. Nothing is chosen beforehand. */
const props = defineProps<{ read: Schemas['GateAnswer']; busy: boolean }>();
const emit = defineEmits<{ say: [request: Schemas['GateRequest']]; cancel: [] }>();
const { t } = useI18n();
const { length } = useUnits();
const { material, words } = useScope();
const SIZES_MM = [4, 6, 8, 10, 13, 16, 20];

const asks = (what: string) => props.read.asks.includes(what as Schemas['GateAnswer']['asks'][number]);
const scopes = computed(() => props.read.scopes);
/** Several permits may be needed here; the narrowest limit is the one to offer. */
const narrowest = (pick: (scope: Schemas['Scope']) => number | undefined, least: boolean) => {
  const limits = scopes.value.map(pick).filter((limit): limit is number => limit !== undefined);
  return limits.length === 0 ? undefined : least ? Math.max(...limits) : Math.min(...limits);
};
const operations = computed(() => props.read.choices?.operations ?? []);
/** What the needed permits cover together, then each further one: work is within one of them. */
const within = computed<Schemas['Scope'][]>(() => [
  {
    materials: scopes.value.find((scope) => scope.materials)?.materials,
    operations: scopes.value.find((scope) => scope.operations)?.operations,
    min_thickness_mm: narrowest((scope) => scope.min_thickness_mm, true),
    max_diameter_mm: narrowest((scope) => scope.max_diameter_mm, false),
  },
  ...props.read.further,
]);
const covered = computed(() => [...new Set(within.value.flatMap((scope) => scope.materials ?? []))]);
const others = computed(() =>
  (props.read.choices?.materials ?? []).filter((each) => !covered.value.includes(each.key)),
);
const holds = (scope: Schemas['Scope'], key: string | null) =>
  key === null || !scope.materials || scope.materials.includes(key);
/** The least that one of them asks for this material; nothing where one asks for none. */
const thicknessOf = (key: string | null) => within.value.find((scope) => holds(scope, key))?.min_thickness_mm ?? null;
/** What covers the work comes with its sizes, each operation once; what none covers is one press, and will be refused. */
const jobs = computed(() => {
  const { material: key = null, thickness_mm: thick } = stuff.value ?? {};
  const found = new Map<string, number | null>();
  for (const scope of within.value) {
    if (!holds(scope, key ?? null) || (thick != null && thick < (scope.min_thickness_mm ?? 0))) continue;
    for (const operation of scope.operations ?? operations.value)
      if (!found.has(operation)) found.set(operation, scope.max_diameter_mm ?? null);
  }
  // Of something that is covered nowhere there is still to say what: it is refused with its reasons.
  const [needed] = within.value;
  return found.size > 0
    ? [...found]
    : (needed?.operations ?? operations.value).map(
        (each) => [each, needed?.max_diameter_mm ?? null] as [string, number | null],
      );
});
const beyond = computed(() =>
  operations.value.filter((operation) => !jobs.value.some(([known]) => known === operation)),
);
const sizes = (most: number | null) =>
  most === null ? [] : [...SIZES_MM.filter((size) => size < most).slice(-2), most];

const stuff = ref<Schemas['GateRequest'] | null>(null);
const something = ref('');
const other = ref('');
/** What lies outside is asked for at the least size: it is not the size that it fails by. */
const smallest = computed(() => sizes(jobs.value[0]?.[1] ?? null)[0] ?? null);
const needsStuff = computed(() => asks('material') || asks('thickness'));
const step = computed(() => (needsStuff.value && stuff.value === null ? 'stuff' : 'job'));
/** Thinner than the least is said as half of it: anything under the limit is outside. */
const THINNER = 0.5;

function of(key: string | null, thin: boolean) {
  stuff.value = {
    ...(key === null ? {} : { material: key }),
    ...(thicknessOf(key) === null ? {} : { thickness_mm: (thicknessOf(key) ?? 0) * (thin ? THINNER : 1) }),
  };
  if (!asks('operation') && !asks('diameter')) say({});
}
function say(job: Schemas['GateRequest']) {
  emit('say', { ...stuff.value, ...job });
}
function make(operation: string, size: number | null) {
  say({ ...(operation ? { operation } : {}), ...(size === null ? {} : { diameter_mm: size }) });
}
/** Larger than the largest that is covered, by as much as no scale hides. */
const larger = (most: number | null) => (most ?? 0) + 1;
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-8 py-4" data-testid="ask">
    <p class="text-4xl font-bold">{{ t(`gate.ask.${step}`, { name: read.person ?? '' }) }}</p>
    <p class="mt-1 text-2xl text-quiet">
      {{ t('gate.ask.covers') }}
      <span v-for="(scope, place) in [...scopes, ...read.further]" :key="place"
        >{{ place > 0 ? '; ' : '' }}{{ words(scope) }}</span
      >
    </p>
    <div v-if="step === 'stuff'" class="mt-4 grid grid-cols-2 gap-3 lg:grid-cols-3">
      <template v-for="key in covered.length > 0 ? covered : [null]" :key="key ?? 'any'">
        <button
          type="button"
          class="min-h-24 border-2 border-ink bg-sheet px-4 text-2xl font-semibold"
          @click="of(key, false)"
        >
          {{ key === null ? t('gate.ask.anyMaterial') : material(key) }}
          <span v-if="thicknessOf(key) !== null" class="block text-xl font-normal">{{
            t('scope.from', { length: length(thicknessOf(key) ?? 0) })
          }}</span>
        </button>
        <button
          v-if="thicknessOf(key) !== null"
          type="button"
          class="min-h-24 border border-quiet bg-sheet px-4 text-2xl"
          @click="of(key, true)"
        >
          {{ key === null ? t('gate.ask.anyMaterial') : material(key) }}
          <span class="block text-xl">{{ t('gate.ask.thinner', { length: length(thicknessOf(key) ?? 0) }) }}</span>
        </button>
      </template>
      <label v-if="others.length > 0" class="flex min-h-24 flex-col justify-center border border-quiet bg-sheet px-4">
        <span class="text-xl">{{ t('gate.ask.something') }}</span>
        <select v-model="something" class="field text-xl" @change="of(something, false)">
          <option value="" disabled>{{ t('practice.choose') }}</option>
          <option v-for="each in others" :key="each.key" :value="each.key">{{ each.name }}</option>
        </select>
      </label>
    </div>
    <div v-else class="mt-4 space-y-3">
      <div
        v-for="[operation, most] in asks('operation')
          ? jobs
          : ([['', jobs[0]?.[1] ?? null]] as [string, number | null][])"
        :key="operation"
        class="flex flex-wrap items-center gap-3"
      >
        <p v-if="operation" class="w-56 text-2xl font-semibold">{{ t(`operation.${operation}`) }}</p>
        <template v-if="asks('diameter')">
          <button
            v-for="size in sizes(most)"
            :key="size"
            type="button"
            class="min-h-20 border-2 border-ink bg-sheet px-5 text-2xl font-semibold"
            :disabled="busy"
            @click="make(operation, size)"
          >
            {{ t('scope.upTo', { length: length(size) }) }}
          </button>
          <button
            type="button"
            class="min-h-20 border border-quiet bg-sheet px-5 text-2xl"
            :disabled="busy"
            @click="make(operation, larger(most))"
          >
            {{ t('gate.ask.larger') }}
          </button>
        </template>
        <button
          v-else
          type="button"
          class="min-h-20 border-2 border-ink bg-sheet px-5 text-2xl font-semibold"
          :disabled="busy"
          @click="make(operation, null)"
        >
          {{ t('gate.ask.this') }}
        </button>
      </div>
      <label v-if="asks('operation') && beyond.length > 0" class="flex min-h-20 max-w-xl flex-col justify-center">
        <span class="text-2xl">{{ t('gate.ask.something') }}</span>
        <select v-model="other" class="field text-xl" :disabled="busy" @change="make(other, smallest)">
          <option value="" disabled>{{ t('practice.choose') }}</option>
          <option v-for="operation in beyond" :key="operation" :value="operation">
            {{ t(`operation.${operation}`) }}
          </option>
        </select>
      </label>
    </div>
    <BigButton class="mt-5" @click="emit('cancel')">{{ t('gate.ask.cancel') }}</BigButton>
  </section>
</template>
