<script setup lang="ts">
import { api, must, Refused, type Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import AskDialog from '@/ui/AskDialog.vue';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useAction } from '@/ui/useAction';
import WorkshopTabs from '@/workshop/WorkshopTabs.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** What this version brings to teach from, and what of it the shop has taken in. */
const { t, d } = useI18n();
const { say } = useSay();
const packs = useQuery({ queryKey: ['packs'], queryFn: () => must(api.GET('/api/content/packs')) });
/** Bytes; the server takes no more. */
const MOST = 4_000_000;
const tooLarge = ref(false);
const brought = ref<{ name: string; answer: Schemas['PackBrought'] } | null>(null);
const bring = useAction(
  (given: Schemas['PackGiven']) => must(api.POST('/api/content/packs', { body: given })),
  (answer, { name }) => {
    brought.value = { name, answer };
  },
);
const given = ref<Schemas['PackGiven'] | null>(null);
/** One that ships is called so: it is asked about first. */
const asks = computed(() => bring.error.value instanceof Refused && bring.error.value.code === 'pack_ships');
async function bringFile(event: Event) {
  const field = event.target as HTMLInputElement;
  const file = field.files?.[0];
  brought.value = null;
  tooLarge.value = (file?.size ?? 0) > MOST;
  if (!file || tooLarge.value) return;
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  given.value = { name: file.name, zip: btoa(text) };
  bring.run(given.value);
  // The same file again is a file again.
  field.value = '';
}
const take = useAction((code: string) => must(api.POST('/api/content/packs/{code}', { params: { path: { code } } })));
</script>

<template>
  <WorkshopTabs current="content" />
  <h1 class="mt-4">{{ t('content.title') }}</h1>
  <p class="mt-1 max-w-3xl text-quiet">{{ t('content.words') }}</p>
  <ErrorNote
    class="mt-3"
    :error="take.error.value ?? (asks ? null : bring.error.value)"
    @retry="(take.reset(), bring.reset())"
  />
  <div class="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1">
    <label class="inline-flex min-h-12 items-center border border-quiet bg-sheet px-5 font-semibold">
      {{ t('content.bring') }}
      <input type="file" accept=".zip,application/zip" class="sr-only" data-testid="bring" @change="bringFile" />
    </label>
    <p class="min-w-64 flex-1 text-sm text-quiet">{{ t('content.bringWords') }}</p>
  </div>
  <AskDialog
    v-if="asks && given"
    :title="t('content.instead.title')"
    :label="t('content.instead.act')"
    :busy="bring.busy.value"
    @yes="bring.run({ ...given, instead: true })"
    @close="bring.reset()"
  >
    <p>{{ t('content.instead.words', { file: given.name }) }}</p>
  </AskDialog>
  <p v-if="tooLarge" role="alert" class="mt-2 text-no">✕ {{ t('content.tooLarge') }}</p>
  <p v-if="brought?.answer.pack" role="status" class="mt-2 text-alone">
    ✓ {{ t('content.brought', { title: brought.answer.pack.title }) }}
  </p>
  <div v-if="brought && brought.answer.faults.length > 0" role="alert" class="mt-2 border-2 border-no bg-sheet p-3">
    <p class="font-semibold text-no">✕ {{ t('content.broughtFaults', { name: brought.name }) }}</p>
    <ul>
      <li v-for="(fault, index) in brought.answer.faults" :key="index">
        <span class="reading">{{ fault.file }}:{{ fault.line }}</span> {{ say(fault.what) }}
      </li>
    </ul>
  </div>
  <PageState v-slot="{ data }" :data="packs.data.value" :error="packs.error.value" @retry="packs.refetch()">
    <p v-if="data.length === 0" class="sheet mt-4 p-6">{{ t('content.none') }}</p>
    <ul class="mt-4 space-y-4">
      <li v-for="pack in data" :key="pack.code" class="sheet p-4">
        <div class="flex flex-wrap items-start gap-4">
          <div class="min-w-64 flex-1">
            <h2>{{ pack.own ? t('content.ownPack') : pack.title }}</h2>
            <p class="mt-1">{{ pack.about }}</p>
            <p class="mt-1 text-sm text-quiet">
              {{
                [
                  t('content.lessons', pack.lessons),
                  t('content.checks', pack.checks),
                  t('content.sheets', pack.sheets),
                  t('content.permits', pack.permits),
                  t('content.version', { version: pack.version }),
                  pack.languages.map((language) => t(`content.language.${language}`)).join(', '),
                ].join(' · ')
              }}
            </p>
          </div>
          <p v-if="pack.needs.length > 0 && !pack.taken_at" class="basis-full text-sm text-quiet">
            {{ t('content.needs', { packs: pack.needs.join('; ') }) }}
          </p>
          <div>
            <p v-if="pack.taken_at" class="mb-2 text-alone">
              ✓ {{ t('content.takenOn', { day: d(pack.taken_at, { dateStyle: 'medium' }) }) }}
            </p>
            <a
              :href="`/api/content/packs/${pack.code}/file`"
              :download="`${pack.code}.zip`"
              class="mr-4 inline-flex min-h-12 items-center"
              >{{ t('content.zip') }}</a
            >
            <BigButton
              v-if="pack.taken_version !== pack.version && !pack.own"
              tone="main"
              :busy="take.busy.value"
              @click="take.run(pack.code)"
              >{{ t(pack.taken_version === null ? 'content.take' : 'content.update') }}</BigButton
            >
          </div>
        </div>
        <ul v-if="pack.faults.length > 0" class="mt-3 border-2 border-no p-3">
          <li v-for="(fault, index) in pack.faults" :key="index">
            <span class="reading">{{ fault.file }}:{{ fault.line }}</span> {{ say(fault.what) }}
          </li>
        </ul>
      </li>
    </ul>
  </PageState>
</template>
