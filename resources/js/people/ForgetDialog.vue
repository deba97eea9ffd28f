<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import CautionNote from '@/ui/CautionNote.vue';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SecretField from '@/ui/SecretField.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** What goes and what stays of somebody who is no longer here, before the lead signs that they are forgotten. */
const props = defineProps<{ person: Schemas['Somebody'] }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const pin = ref('');
const forget = useAction(
  () =>
    must(
      api.POST('/api/people/everybody/{person}/forgetting', {
        params: { path: { person: String(props.person.id) } },
        body: { pin: pin.value },
      }),
    ),
  () => emit('close'),
);
</script>

<template>
  <SheetDialog open :title="t('people.forgotten.title', { name: person.name })" @close="emit('close')">
    <form class="mt-3 space-y-4" @submit.prevent="forget.run(undefined)">
      <CautionNote>{{ t('people.forgotten.caution') }}</CautionNote>
      <p>{{ t('people.forgotten.goes') }}</p>
      <p>{{ t('people.forgotten.stays') }}</p>
      <SecretField
        v-model="pin"
        kind="pin"
        class="max-w-56"
        :label="t('sign.pin')"
        :error="forget.fieldErrors.value.pin?.[0]"
      />
      <ErrorNote :error="forget.error.value" @retry="forget.run(undefined)" />
      <DialogButtons
        :label="t('people.forgotten.act')"
        :busy="forget.busy.value"
        :disabled="pin === ''"
        tone="no"
        @cancel="emit('close')"
      />
    </form>
  </SheetDialog>
</template>
