<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** A crib's name and note; the shop lead may also do away with it. */
const props = defineProps<{ crib: Schemas['Crib'] }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const { leads } = useMe();
const name = ref(props.crib.name);
const note = ref(props.crib.note ?? '');
const sure = ref(false);
const path = computed(() => ({ params: { path: { crib: props.crib.slug } } }));
const save = useAction(
  () =>
    must(
      api.PUT('/api/workshop/cribs/{crib}', { ...path.value, body: { name: name.value, note: note.value || null } }),
    ),
  () => emit('close'),
);
const remove = useAction(
  () => must(api.DELETE('/api/workshop/cribs/{crib}', path.value)),
  () => emit('close'),
);
</script>

<template>
  <SheetDialog open :title="t('workshop.changeCrib')" @close="emit('close')">
    <form class="mt-3 space-y-4" @submit.prevent="save.run(undefined)">
      <TextField v-model="name" :label="t('workshop.name')" required :error="save.fieldErrors.value.name?.[0]" />
      <TextField v-model="note" :label="t('workshop.cribNote')" :error="save.fieldErrors.value.note?.[0]" />
      <ErrorNote
        :error="Object.keys(save.fieldErrors.value).length > 0 ? null : save.error.value"
        @retry="save.run(undefined)"
      />
      <DialogButtons :label="t('ui.save')" :busy="save.busy.value" @cancel="emit('close')" />
    </form>
    <div v-if="leads" class="mt-6 border-t border-hairline pt-4">
      <label class="flex min-h-12 items-center gap-2">
        <input v-model="sure" type="checkbox" class="size-5" />
        {{ t('workshop.removeCribWords', crib.tools.length) }}
      </label>
      <BigButton tone="no" :disabled="!sure" :busy="remove.busy.value" @click="remove.run(undefined)">{{
        t('workshop.removeCrib')
      }}</BigButton>
      <ErrorNote :error="remove.error.value" @retry="remove.run(undefined)" />
    </div>
  </SheetDialog>
</template>
