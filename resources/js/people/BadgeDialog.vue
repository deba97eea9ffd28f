<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** Hands a badge out, replaces it, or says that it is lost or was given back. */
const props = defineProps<{ person: Schemas['Somebody'] }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const code = ref('');
const path = { person: String(props.person.id) };
const issue = useAction(
  () => must(api.PUT('/api/people/everybody/{person}/badge', { params: { path }, body: { code: code.value } })),
  () => emit('close'),
);
const end = useAction(
  (because: 'lost' | 'returned') =>
    must(api.DELETE('/api/people/everybody/{person}/badge', { params: { path }, body: { because } })),
  () => emit('close'),
);
</script>

<template>
  <SheetDialog open :title="t('people.badge.of', { name: person.name })" @close="emit('close')">
    <div v-if="person.badge" class="mt-3 flex flex-wrap items-center gap-3 border-b border-hairline pb-4">
      <p class="flex-1">{{ t('people.badge.has') }}</p>
      <BigButton tone="no" :busy="end.busy.value" @click="end.run('lost')">{{ t('people.badge.lost') }}</BigButton>
      <BigButton :busy="end.busy.value" @click="end.run('returned')">{{ t('people.badge.returned') }}</BigButton>
    </div>
    <form class="mt-3 space-y-4" @submit.prevent="issue.run(undefined)">
      <TextField
        v-model="code"
        reading
        required
        :label="t('people.badge.code')"
        :hint="t(person.badge ? 'people.badge.replaceHint' : 'people.badge.codeHint')"
        :error="issue.fieldErrors.value.code?.[0]"
      />
      <ErrorNote
        v-if="!issue.fieldErrors.value.code"
        :error="issue.error.value ?? end.error.value"
        @retry="(issue.reset(), end.reset())"
      />
      <DialogButtons
        :label="t(person.badge ? 'people.badge.replace' : 'people.badge.issue')"
        :busy="issue.busy.value"
        @cancel="emit('close')"
      />
    </form>
  </SheetDialog>
</template>
