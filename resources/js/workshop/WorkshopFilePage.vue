<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import WorkshopTabs from './WorkshopTabs.vue';

/** The workshop as one file: out, and back in after a look at what it would change. */
const { t } = useI18n();
const { leads } = useMe();
const name = ref('');
const text = ref('');
const outcome = ref<Schemas['WorkshopOutcome'] | null>(null);
const bring = useAction(
  (apply: boolean) => must(api.POST('/api/workshop/file', { body: { text: text.value, apply } })),
  (said) => (outcome.value = said),
);
async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  name.value = file.name;
  text.value = await file.text();
  outcome.value = null;
  bring.run(false);
}
</script>

<template>
  <WorkshopTabs current="file" />
  <h1 class="mt-4">{{ t('workshop.file') }}</h1>
  <div class="mt-4 grid items-start gap-6 md:grid-cols-2">
    <section class="sheet p-5">
      <h2>{{ t('workshop.export') }}</h2>
      <p class="mt-1">{{ t('workshop.exportWords') }}</p>
      <a
        class="mt-3 inline-flex min-h-12 items-center border border-blue bg-blue px-5 font-semibold text-on-blue no-underline"
        href="/api/workshop/file"
        download="workshop.json"
        >{{ t('workshop.exportButton') }}</a
      >
      <p class="mt-3 text-sm">
        <a href="/schemas/workshop-1.json">{{ t('workshop.schema') }}</a>
      </p>
    </section>
    <section class="sheet p-5">
      <h2>{{ t('workshop.import') }}</h2>
      <p class="mt-1">{{ t('workshop.importWords') }}</p>
      <p v-if="!leads" class="mt-2 text-quiet">{{ t('workshop.importLead') }}</p>
      <template v-else>
        <label
          class="mt-3 inline-flex min-h-12 cursor-pointer items-center border border-quiet px-5 font-semibold focus-within:outline-3 focus-within:outline-blue"
        >
          {{ t('workshop.chooseFile') }}
          <input type="file" accept="application/json,.json" class="sr-only" @change="choose" />
        </label>
        <span class="reading ml-3">{{ name }}</span>
        <ErrorNote class="mt-3" :error="bring.error.value" @retry="bring.run(false)" />
        <div v-if="outcome" class="mt-4" role="status">
          <template v-if="outcome.faults.length > 0">
            <p class="font-semibold text-no">■ {{ t('workshop.faults', outcome.faults.length) }}</p>
            <ul class="mt-2 max-h-96 overflow-y-auto border border-hairline">
              <li
                v-for="fault in outcome.faults"
                :key="fault.where + fault.what"
                class="border-t border-hairline p-2 first:border-t-0"
              >
                <span class="reading block text-sm text-quiet">{{ fault.where }}</span>{{ fault.what }}
              </li>
            </ul>
          </template>
          <template v-else>
            <p class="font-semibold" :class="{ 'text-alone': outcome.applied }">
              {{ outcome.applied ? `● ${t('workshop.broughtIn')}` : t('workshop.wouldChange') }}
            </p>
            <ul class="mt-2 ml-5 list-disc">
              <li v-for="each in outcome.added" :key="`+${each}`">+ {{ each }}</li>
              <li v-for="each in outcome.changed" :key="`≠${each}`">≠ {{ each }}</li>
              <li>= {{ t('workshop.same', outcome.same) }}</li>
            </ul>
            <BigButton
              v-if="!outcome.applied"
              class="mt-3"
              tone="main"
              :busy="bring.busy.value"
              :disabled="outcome.added.length + outcome.changed.length === 0"
              @click="bring.run(true)"
              >{{ t('workshop.bringIn') }}</BigButton
            >
          </template>
        </div>
      </template>
    </section>
  </div>
</template>
