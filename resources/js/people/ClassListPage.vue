<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import RecordsTabs from '@/people/RecordsTabs.vue';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useAction } from '@/ui/useAction';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** A class list in: first what it would change, line by line, then in one press all of it. */
const { t } = useI18n();
const { say, sayAll } = useSay();
const files = ref<Record<string, string>>({});
const seen = ref<Schemas['ClassListTaken'] | null>(null);
const send = useAction(
  (apply: boolean) => (apply ? takeIn() : must(api.POST('/api/people/class-list', { body: { files: files.value } }))),
  (answer) => (seen.value = { ...answer, lines: answer.lines.length > 0 ? answer.lines : (seen.value?.lines ?? []) }),
);
/** How many lines are in, of how many; null while nothing is being taken in. */
const progress = ref<{ done: number; of: number } | null>(null);
/** Some lines at a time, until all are in: cut off in the middle, the same press goes on where it was. */
async function takeIn() {
  for (;;) {
    const from = progress.value?.done ?? 0;
    const answer = await must(api.POST('/api/people/class-list', { body: { files: files.value, apply: true, from } }));
    if (answer.applied || answer.lines.length > 0) {
      progress.value = null;
      return answer;
    }
    progress.value = { done: answer.done, of: answer.of };
  }
}
const faulty = computed(() => seen.value?.lines.filter((line) => line.change === 'fault').length ?? 0);
const moving = computed(
  () => seen.value?.lines.filter((line) => line.change === 'new' || line.change === 'changed').length ?? 0,
);

/** Spreadsheets of yesterday do not write UTF-8. */
async function read(file: File): Promise<string> {
  const bytes = await file.arrayBuffer();
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

async function choose(event: Event) {
  const input = event.target as HTMLInputElement;
  const chosen = [...(input.files ?? [])];
  if (chosen.length === 0) return;
  files.value = Object.fromEntries(
    await Promise.all(chosen.map(async (file) => [file.name, await read(file)] as const)),
  );
  // The same file, mended, can be chosen again.
  input.value = '';
  progress.value = null;
  send.run(false);
}
</script>

<template>
  <RecordsTabs current="people" />
  <h1 class="mt-4">{{ t('people.list.title') }}</h1>
  <p class="mt-2 max-w-3xl">{{ t('people.list.words') }}</p>
  <p class="reading mt-2 border-l-4 border-blue pl-3 text-sm">{{ t('people.list.header') }}</p>
  <p class="mt-2 max-w-3xl text-quiet">{{ t('people.list.roster') }}</p>
  <div class="mt-4 flex flex-wrap items-center gap-4">
    <label
      class="inline-flex min-h-12 cursor-pointer items-center border border-blue bg-blue px-5 font-semibold text-on-blue"
    >
      {{ t('people.list.choose') }}
      <input type="file" class="sr-only" accept=".csv,text/csv" multiple @change="choose" />
    </label>
    <RouterLink class="inline-flex min-h-12 items-center" :to="{ name: 'people' }">{{
      t('people.list.back')
    }}</RouterLink>
    <a class="inline-flex min-h-12 items-center" href="/api/people/class-list" download>{{ t('people.list.out') }}</a>
  </div>
  <ErrorNote class="mt-4" :error="send.error.value" @retry="send.run(false)" />
  <template v-if="seen">
    <p v-for="fault in seen.faults" :key="fault.code" role="alert" class="mt-4 border-2 border-no p-3">
      <strong class="text-no">✕</strong> {{ say(fault) }}
    </p>
    <div v-if="progress" role="status" class="mt-4" data-testid="progress">
      <p>{{ t('people.list.progress', progress) }}</p>
      <progress class="h-4 w-full max-w-xl" :value="progress.done" :max="progress.of"></progress>
    </div>
    <p v-if="seen.applied" role="status" class="mt-4 border-2 border-alone p-3">
      <strong class="text-alone">✓</strong> {{ t('people.list.taken', seen.lines.length) }}
    </p>
    <div v-else-if="seen.faults.length === 0" class="mt-4 flex flex-wrap items-center gap-4">
      <p v-if="faulty > 0" role="alert" class="flex-1 border-2 border-no p-3">
        <strong class="text-no">✕</strong> {{ t('people.list.faulty', faulty) }}
      </p>
      <template v-else-if="moving > 0">
        <p class="flex-1">{{ t('people.list.moving', moving) }}</p>
        <BigButton tone="main" :busy="send.busy.value" @click="send.run(true)">{{ t('people.list.take') }}</BigButton>
      </template>
      <p v-else role="status">{{ t('people.list.nothing') }}</p>
    </div>
    <div v-if="seen.lines.length > 0" class="mt-4 overflow-x-auto">
      <table class="sheet w-full text-left">
        <thead>
          <tr>
            <th class="p-2">{{ t('people.list.line') }}</th>
            <th class="p-2">{{ t('people.name') }}</th>
            <th class="p-2">{{ t('people.list.what') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in seen.lines" :key="line.line" class="border-t border-hairline align-top">
            <td class="reading p-2">{{ line.line }}</td>
            <td class="p-2 break-words">
              {{ line.name }}<span class="block text-sm text-quiet">{{ line.email }}</span>
            </td>
            <td class="p-2">
              <strong :class="{ 'text-no': line.change === 'fault', 'text-alone': line.change === 'new' }">{{
                t(`people.list.change.${line.change}`)
              }}</strong>
              <span v-if="line.faults.length > 0" class="block">{{ sayAll(line.faults) }}</span>
              <span v-else-if="line.changes.length > 0" class="block text-quiet">{{
                line.changes.map((change) => say(change)).join('; ')
              }}</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </template>
</template>
