<script setup lang="ts">
import type { Schemas } from '@/api/client';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import TextField from '@/ui/TextField.vue';
import { useCommand } from '@/ui/useCommand';
import { v7 as uuid } from 'uuid';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** Takes a machine out of service, or puts it back, with the reason. */
const props = defineProps<{ machine: Schemas['Machine'] }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const reason = ref('');
const id = uuid();
const change = useCommand(
  () => ({
    about: `service:${id}`,
    method: 'POST',
    path: `/api/workshop/machines/${props.machine.slug}/service`,
    body: { id, in_service: !props.machine.in_service, reason: reason.value },
    label: { key: 'outbox.service', words: { what: props.machine.name } },
  }),
  () => emit('close'),
);
</script>

<template>
  <SheetDialog
    open
    :title="t(machine.in_service ? 'workshop.takeOutTitle' : 'workshop.putBackTitle', { name: machine.name })"
    @close="emit('close')"
  >
    <form class="mt-3 space-y-4" @submit.prevent="change.run(undefined)">
      <p>{{ t(machine.in_service ? 'workshop.takeOutWords' : 'workshop.putBackWords') }}</p>
      <TextField
        v-model="reason"
        :label="t('workshop.reason')"
        required
        :error="change.fieldErrors.value.reason?.[0]"
      />
      <ErrorNote :error="change.fieldErrors.value.reason ? null : change.error.value" @retry="change.run(undefined)" />
      <DialogButtons
        :label="t(machine.in_service ? 'workshop.takeOut' : 'workshop.putBack')"
        :tone="machine.in_service ? 'no' : 'main'"
        :busy="change.busy.value"
        @cancel="emit('close')"
      />
    </form>
  </SheetDialog>
</template>
