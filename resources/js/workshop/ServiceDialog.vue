<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { v7 as uuid } from 'uuid';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** Takes a machine out of service, or puts it back, with the reason. */
const props = defineProps<{ machine: Schemas['Machine'] }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const reason = ref('');
const id = uuid();
const change = useAction(
  () =>
    must(
      api.POST('/api/workshop/machines/{machine}/service', {
        params: { path: { machine: props.machine.slug } },
        body: { id, in_service: !props.machine.in_service, reason: reason.value },
      }),
    ),
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
