<script setup lang="ts">
import { api, must } from '@/api/client';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import SecretField from '@/ui/SecretField.vue';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMe } from '@/api/useMe';

/** One's own signing PIN: set or changed by its owner alone, who says their password again. */
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const { person } = useMe();
const password = ref('');
const pin = ref('');
const change = useAction(
  () => must(api.PUT('/api/people/me/pin', { body: { password: password.value, pin: pin.value } })),
  () => emit('close'),
);
</script>

<template>
  <SheetDialog open :title="t('people.pin.title')" @close="emit('close')">
    <form class="mt-3 space-y-4" @submit.prevent="change.run(undefined)">
      <p>{{ t(`people.pin.${person?.pin ?? 'none'}`) }}</p>
      <SecretField
        v-model="password"
        kind="password"
        :label="t('people.password')"
        :error="change.fieldErrors.value.password?.[0]"
      />
      <SecretField
        v-model="pin"
        kind="pin"
        class="max-w-56"
        :label="t('people.pin.new')"
        :hint="t('people.pin.hint')"
        :error="change.fieldErrors.value.pin?.[0]"
      />
      <ErrorNote
        :error="Object.keys(change.fieldErrors.value).length > 0 ? null : change.error.value"
        @retry="change.run(undefined)"
      />
      <DialogButtons :label="t('people.pin.set_it')" :busy="change.busy.value" @cancel="emit('close')" />
    </form>
  </SheetDialog>
</template>
