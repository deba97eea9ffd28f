<script setup lang="ts">
import { api, must, Refused, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import PlanChangesList from '@/planning/saved/PlanChangesList.vue';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import PolicyField from './PolicyField.vue';
import WorkshopTabs from '@/workshop/WorkshopTabs.vue';

/** The shop's schools, caps and limits: what each changes, and what a change would do to an example. */
const { t, d } = useI18n();
const { leads, teaches } = useMe();
const policy = useQuery({ queryKey: ['policy'], queryFn: () => must(api.GET('/api/workshop/policy')) });
type Settings = Record<string, unknown>;
const settings = ref<Settings>({});
const note = ref('');
watch(
  () => policy.data.value,
  (now) => {
    if (now) settings.value = { ...now.settings };
  },
  { immediate: true },
);
const groups = computed(() => {
  const catalogue = policy.data.value?.catalogue ?? [];
  return [...new Set(catalogue.map((setting) => setting.group))].map((group) => ({
    group,
    settings: catalogue.filter((setting) => setting.group === group),
  }));
});
const inForce = computed<Settings>(() => policy.data.value?.settings ?? {});
const changed = computed(() =>
  Object.keys({ ...settings.value, ...inForce.value }).filter(
    (key) => JSON.stringify(settings.value[key]) !== JSON.stringify(inForce.value[key]),
  ),
);

function set(setting: Schemas['PolicySetting'], value: unknown) {
  const others = Object.entries(settings.value).filter(([key]) => key !== setting.key);
  settings.value = Object.fromEntries(value === undefined ? others : [...others, [setting.key, value]]);
}

const example = ref<string | null>(null);
const tried = refDebounced(settings, 400);
const preview = useQuery({
  queryKey: ['policy-preview', example, tried],
  queryFn: () =>
    must(api.POST('/api/planning/policy-preview', { body: { plan: example.value, settings: tried.value } })),
  // What is shown is what is set, not what was set a moment ago.
  enabled: computed(() => teaches.value && changed.value.length > 0 && tried.value === settings.value),
  retry: false,
});
const faults = computed(() => (preview.error.value instanceof Refused ? preview.error.value.errors : {}));

/** The first rules of a shop are put in force as they are; what is at fault never is. */
const ready = computed(
  () => (changed.value.length > 0 || policy.data.value?.changes.length === 0) && Object.keys(faults.value).length === 0,
);
const save = useAction(
  () => must(api.PUT('/api/workshop/policy', { body: { settings: settings.value, note: note.value } })),
  () => (note.value = ''),
);
</script>

<template>
  <WorkshopTabs current="policy" />
  <div class="mt-4 flex flex-wrap items-end gap-x-5">
    <h1>{{ t('workshop.policy') }}</h1>
    <p class="text-quiet">{{ t('workshop.policyWords') }}</p>
  </div>
  <PageState v-slot="{ data }" :data="policy.data.value" :error="policy.error.value" @retry="policy.refetch()">
    <div class="mt-4 grid items-start gap-6 lg:grid-cols-[3fr_2fr]">
      <div class="space-y-6">
        <section v-for="{ group, settings: list } in groups" :key="group">
          <h2>{{ t(`workshop.policyGroup.${group}`) }}</h2>
          <ul class="sheet mt-2">
            <PolicyField
              v-for="setting in list"
              :key="setting.key"
              :setting="setting"
              :value="settings[setting.key]"
              :changed="changed.includes(setting.key)"
              :locked="!leads"
              :fault="(faults[setting.key] ?? save.fieldErrors.value[setting.key])?.[0]"
              @change="set(setting, $event)"
            />
          </ul>
        </section>
      </div>
      <div class="space-y-5 lg:sticky lg:top-4">
        <section v-if="teaches" class="sheet p-4">
          <h2>{{ t('workshop.preview') }}</h2>
          <p v-if="changed.length === 0" class="mt-2 text-quiet">{{ t('workshop.previewNothing') }}</p>
          <p v-else-if="preview.error.value" class="mt-2 text-no" role="alert">✕ {{ preview.error.value.message }}</p>
          <template v-else-if="preview.data.value">
            <p class="mt-2" role="status">
              {{
                preview.data.value.of === 0
                  ? t('workshop.noExample')
                  : t('workshop.affects', { n: preview.data.value.affected.length, of: preview.data.value.of })
              }}
            </p>
            <template v-if="preview.data.value.changes">
              <SelectField
                class="mt-2"
                :model-value="preview.data.value.shown ?? ''"
                :label="t('workshop.example')"
                :options="preview.data.value.affected.map((plan) => ({ value: plan.id, label: plan.name }))"
                @update:model-value="example = $event"
              />
              <PlanChangesList class="mt-3" :changes="preview.data.value.changes" />
            </template>
          </template>
        </section>
        <form v-if="leads" class="sheet space-y-3 p-4" @submit.prevent="save.run(undefined)">
          <h2>{{ t('workshop.putInForce') }}</h2>
          <p class="text-quiet">{{ t('workshop.changedSettings', changed.length) }}</p>
          <TextField v-model="note" required :label="t('workshop.why')" :error="save.fieldErrors.value.note?.[0]" />
          <ErrorNote
            :error="Object.keys(save.fieldErrors.value).length > 0 ? null : save.error.value"
            @retry="save.run(undefined)"
          />
          <div class="flex flex-wrap gap-3">
            <BigButton type="submit" tone="main" :busy="save.busy.value" :disabled="!ready">{{
              t('workshop.putInForce')
            }}</BigButton>
            <BigButton :disabled="changed.length === 0" @click="settings = { ...inForce }">{{
              t('workshop.asItWas')
            }}</BigButton>
          </div>
        </form>
        <section class="sheet p-4">
          <h2>{{ t('workshop.policyChanges') }}</h2>
          <ol class="mt-1 text-sm">
            <li
              v-for="change in data.changes"
              :key="change.in_force_from"
              class="border-t border-hairline py-1 first:border-t-0"
            >
              <span class="reading">{{ d(change.in_force_from, { dateStyle: 'medium' }) }}</span>
              {{ change.note ?? t('workshop.firstPolicy') }} <span class="text-quiet">{{ change.by ?? '' }}</span>
            </li>
          </ol>
        </section>
        <PrecedenceNote />
      </div>
    </div>
  </PageState>
</template>
