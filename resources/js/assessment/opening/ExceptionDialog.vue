<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import AskDialog from '@/ui/AskDialog.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { useIntent } from '@/ui/useIntent';
import { useLocalStorage } from '@vueuse/core';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** Allows a learner one try at a sheet before supervised practice here; somebody else assesses. */
const props = defineProps<{ learner: { id: number; name: string }; sheet: { code: string; title: string } }>();
const emit = defineEmits<{ done: []; close: [] }>();
const { t } = useI18n();
const LEAST = 10;
const KINDS: readonly Schemas['ExceptionWanted']['kind'][] = ['transfer', 'repeat', 'other'];
const kind = ref<Schemas['ExceptionWanted']['kind']>('transfer');
const words = useLocalStorage(`millstep.exception.${props.learner.id}.${props.sheet.code}`, '');
const intent = useIntent(`exception.${props.learner.id}.${props.sheet.code}`);
const grant = useAction(
  () =>
    must(
      api.POST('/api/assessment/exceptions', {
        body: {
          id: intent.id.value,
          sheet: props.sheet.code,
          learner_id: props.learner.id,
          kind: kind.value,
          words: words.value.trim(),
        },
      }),
    ),
  () => {
    intent.done();
    words.value = '';
    emit('done');
  },
);
</script>

<template>
  <AskDialog
    :title="t('exception.title', { name: learner.name, sheet: sheet.title })"
    :label="t('exception.act')"
    :busy="grant.busy.value"
    :disabled="words.trim().length < LEAST"
    :error="grant.error.value"
    @yes="grant.run(undefined)"
    @close="emit('close')"
  >
    <p>{{ t('exception.words') }}</p>
    <SelectField
      v-model="kind"
      :label="t('exception.kind')"
      :options="KINDS.map((value) => ({ value, label: t(`exception.${value}`) }))"
    />
    <TextField
      v-model="words"
      required
      maxlength="600"
      :label="t(kind === 'transfer' ? 'exception.evidence' : 'exception.said')"
      :hint="t('sheet.putAwayWhyNote')"
      :error="grant.fieldErrors.value.words?.[0]"
    />
  </AskDialog>
</template>
