<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import AskDialog from '@/ui/AskDialog.vue';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import CriterionEditor from './CriterionEditor.vue';
import { useSheetDraft, type Line } from './useSheetDraft';

/** A sheet is changed line by line and published as its next version; what is open keeps the one that it has. */
const props = defineProps<{ sheet: Schemas['WrittenSheet'] }>();
const emit = defineEmits<{ done: [] }>();
const { t } = useI18n();
const { say } = useSay();
const { draft, changed, move, remove, add, body, discard } = useSheetDraft(props.sheet);
const asking = ref(false);
const change = ref('');
const faults = ref<Schemas['SheetPublished']['faults']>([]);
const publish = useAction(
  () =>
    must(
      api.PUT('/api/assessment/sheets/{code}', {
        params: { path: { code: props.sheet.code } },
        body: body(change.value),
      }),
    ),
  (answer) => {
    asking.value = false;
    faults.value = answer.faults;
    if (answer.sheet) emit('done');
  },
);
/** What the door found wrong, by the line's place. */
const refused = computed(() =>
  Object.entries(publish.fieldErrors.value).map(([field, words]) => `${field}: ${words[0]}`),
);
const faultsOf = (line: Line) =>
  faults.value.filter(({ criterion }) => criterion === line.id).map(({ what }) => say(what));
const elsewhere = computed(() =>
  faults.value.filter(({ criterion }) => !draft.value.lines.some(({ id }) => id === criterion)),
);
const weights = computed(() => {
  const sum = (kind: (line: Line) => boolean) =>
    draft.value.lines.filter(kind).reduce((all, line) => all + Number(line.weight), 0);
  return { seen: sum(({ kind }) => kind !== 'measured'), measured: sum(({ kind }) => kind === 'measured') };
});
</script>

<template>
  <div class="mt-4 space-y-4">
    <p class="text-quiet">{{ t('sheets.editWords') }}</p>
    <ul v-if="elsewhere.length > 0" role="alert" class="border-2 border-no bg-sheet p-3">
      <li v-for="(fault, index) in elsewhere" :key="index">
        ✕ {{ say(fault.what) }} <span class="text-quiet">{{ fault.file }}</span>
      </li>
    </ul>
    <div class="grid gap-4 md:grid-cols-3">
      <TextField v-model="draft.title" required :label="t('sheets.titleEn')" />
      <TextField v-model="draft.other.title" required :label="t('sheets.titleEs')" />
      <TextField
        :model-value="String(draft.pass)"
        required
        reading
        mode="numeric"
        :label="t('sheets.passMark')"
        @update:model-value="draft.pass = Number($event)"
      />
    </div>
    <p :class="weights.seen === weights.measured ? 'text-quiet' : 'font-semibold text-supervised'">
      {{ t('sheets.weights', weights) }}
    </p>
    <ol class="space-y-3">
      <CriterionEditor
        v-for="(line, index) in draft.lines"
        :key="line.id"
        v-model:line="draft.lines[index]!"
        v-model:said="draft.other.said[line.id]"
        :place="index + 1"
        :first="index === 0"
        :last="index === draft.lines.length - 1"
        :faults="faultsOf(line)"
        @move="move(index, $event)"
        @remove="remove(index)"
      />
    </ol>
    <div class="flex flex-wrap gap-3">
      <BigButton @click="add('observed')">{{ t('sheets.addObserved') }}</BigButton>
      <BigButton @click="add('judged')">{{ t('sheets.addJudged') }}</BigButton>
      <BigButton @click="add('measured')">{{ t('sheets.addMeasured') }}</BigButton>
    </div>
    <ErrorNote :error="refused.length === 0 ? publish.error.value : null" />
    <ul v-if="refused.length > 0" role="alert" class="font-semibold text-no">
      <li v-for="words in refused" :key="words">✕ {{ words }}</li>
    </ul>
    <div class="flex flex-wrap justify-end gap-3">
      <BigButton v-if="changed" @click="(discard(), emit('done'))">{{ t('sheets.discard') }}</BigButton>
      <BigButton v-else @click="emit('done')">{{ t('ui.cancel') }}</BigButton>
      <BigButton tone="main" :disabled="!changed" @click="asking = true">{{ t('sheets.publish') }} …</BigButton>
    </div>
    <AskDialog
      v-if="asking"
      :title="t('sheets.publishTitle', { version: sheet.version + 1 })"
      :label="t('sheets.publish')"
      :busy="publish.busy.value"
      :disabled="change.trim().length < 3"
      @yes="publish.run(undefined)"
      @close="asking = false"
    >
      <p>{{ t('sheets.publishWords') }}</p>
      <TextField v-model="change" required :label="t('sheets.changeNote')" />
    </AskDialog>
  </div>
</template>
