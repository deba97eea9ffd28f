<script setup lang="ts">
import { api, must } from '@/api/client';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SecretField from '@/ui/SecretField.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** One's own password: the old one is said first, and everywhere else one is signed out. */
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const old = ref('');
const fresh = ref('');
const change = useAction(
  () => must(api.PUT('/api/people/me/password', { body: { password: old.value, new_password: fresh.value } })),
  () => emit('close'),
);
</script>

<template>
  <SheetDialog open :title="t('people.changePassword')" :kept="old !== '' || fresh !== ''" @close="emit('close')">
    <form class="mt-3 space-y-4" @submit.prevent="change.run(undefined)">
      <SecretField
        v-model="old"
        kind="password"
        :label="t('people.oldPassword')"
        :error="change.fieldErrors.value.password?.[0]"
      />
      <SecretField
        v-model="fresh"
        kind="new-password"
        :label="t('people.newPassword')"
        :hint="t('people.passwordHint')"
        :error="change.fieldErrors.value.new_password?.[0]"
      />
      <p class="text-quiet">{{ t('people.passwordEnds') }}</p>
      <ErrorNote
        :error="Object.keys(change.fieldErrors.value).length > 0 ? null : change.error.value"
        @retry="change.run(undefined)"
      />
      <DialogButtons :label="t('people.setPassword')" :busy="change.busy.value" @cancel="emit('close')" />
    </form>
  </SheetDialog>
</template>
