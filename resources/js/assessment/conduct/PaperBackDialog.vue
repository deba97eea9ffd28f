<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import AskDialog from '@/ui/AskDialog.vue';
import FormField from '@/ui/FormField.vue';
import { useAction } from '@/ui/useAction';
import { useIntent } from '@/ui/useIntent';
import { useLocalStorage } from '@vueuse/core';
import { useI18n } from 'vue-i18n';

/** A printed sheet that was filled in by hand, read back by the numbers of its lines: all of it or nothing. */
const props = defineProps<{ attempt: Schemas['AssessmentAttempt'] }>();
const emit = defineEmits<{ done: [attempt: Schemas['AssessmentAttempt']]; close: [] }>();
const { t } = useI18n();
const text = useLocalStorage(`millstep.paper.${props.attempt.id}`, '');
const intent = useIntent(`paper.${props.attempt.id}`);
const read = useAction(
  () =>
    must(
      api.POST('/api/assessment/attempts/{attempt}/paper', {
        params: { path: { attempt: props.attempt.id } },
        body: { id: intent.id.value, text: text.value, why: t('sheet.paper.why') },
      }),
    ),
  (attempt) => {
    intent.done();
    text.value = '';
    emit('done', attempt);
  },
);
</script>

<template>
  <AskDialog
    :title="t('sheet.paper.backTitle')"
    :label="t('sheet.paper.backAct')"
    :busy="read.busy.value"
    :disabled="text.trim() === ''"
    :error="read.fieldErrors.value.text ? null : read.error.value"
    @yes="read.run(undefined)"
    @close="emit('close')"
  >
    <p>{{ t('sheet.paper.legend') }}</p>
    <p class="text-sm text-quiet">{{ t('sheet.paper.backWords') }}</p>
    <FormField
      v-slot="field"
      :label="t('sheet.paper.backLabel')"
      :hint="t('sheet.paper.backHint')"
      :error="read.fieldErrors.value.text?.[0]"
    >
      <textarea
        :id="field.id"
        v-model="text"
        rows="6"
        class="reading w-full border border-quiet bg-sheet p-3"
        :aria-describedby="field.described"
        @input="intent.done()"
      />
    </FormField>
  </AskDialog>
</template>
