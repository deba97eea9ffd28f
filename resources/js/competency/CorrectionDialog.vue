<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import TextField from '@/ui/TextField.vue';
import SecretField from '@/ui/SecretField.vue';
import { useAction } from '@/ui/useAction';
import { useIntent } from '@/ui/useIntent';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** Takes a line of the ledger back: by a new line that names it, says why and carries a signer's PIN. */
const props = defineProps<{ line: Schemas['LedgerLine']; what: string; learnerId: number }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const reason = ref('');
const pin = ref('');
const intent = useIntent(`correction.${props.line.id}`);
const correct = useAction(
  () =>
    must(
      api.POST('/api/competency/learners/{learner}/ledger/{entry}/correction', {
        params: { path: { learner: String(props.learnerId), entry: props.line.id } },
        body: { id: intent.id.value, reason: reason.value, pin: pin.value },
      }),
    ),
  () => {
    intent.done();
    emit('close');
  },
);
</script>

<template>
  <SheetDialog open :title="t('ledger.correctTitle')" @close="emit('close')">
    <form class="mt-3 space-y-4" @submit.prevent="correct.run(undefined)">
      <p class="border-l-4 border-bronze pl-3">{{ what }}</p>
      <p>{{ t('ledger.correctWords') }}</p>
      <TextField
        v-model="reason"
        :label="t('hold.reason')"
        required
        :error="correct.fieldErrors.value.reason?.[0]"
        @update:model-value="intent.done()"
      />
      <SecretField
        v-model="pin"
        kind="pin"
        class="w-56"
        :label="t('sign.pin')"
        :error="correct.fieldErrors.value.pin?.[0]"
      />
      <ErrorNote
        :error="Object.keys(correct.fieldErrors.value).length > 0 ? null : correct.error.value"
        @retry="correct.run(undefined)"
      />
      <DialogButtons :label="t('ledger.correctAct')" tone="no" :busy="correct.busy.value" @cancel="emit('close')" />
    </form>
  </SheetDialog>
</template>
