<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useCommand } from '@/ui/useCommand';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useLocalStorage } from '@vueuse/core';
import { computed, ref, useId, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';
import PhotoStrip from './PhotoStrip.vue';
import { smallPicture } from './smallPicture';

/** Notes and photographs beside a criterion: typed, said to the tablet's own keyboard, or taken with its camera. */
const props = defineProps<{
  attempt: Schemas['AssessmentAttempt'];
  criterion: string;
  notes: Schemas['SheetNote'][];
  words: string;
  locked: boolean;
  /** What somebody answers is written down, in a few words: the field is there before it is asked for. */
  answer?: boolean;
}>();
const { t, d } = useI18n();
const id = useId();
const text = useLocalStorage(`millstep.note.${props.attempt.id}.${props.criterion}`, '');
const area = useTemplateRef<HTMLTextAreaElement>('area');
const open = ref(text.value !== '' || (props.answer && props.notes.length === 0));
const path = `/api/assessment/attempts/${props.attempt.id}`;
const photos = computed(() => props.attempt.photos.filter((photo) => (photo.criterion ?? 'sheet') === props.criterion));
const note = useCommand((said: string, command) => ({
  about: `note:${command}`,
  method: 'POST',
  path: `${path}/notes`,
  body: { id: command, criterion: props.criterion, text: said, made_at: new Date().toISOString() },
  label: { key: 'outbox.note', words: { what: props.words } },
}));
const photo = useCommand((image: string, command) => ({
  about: `photo:${command}`,
  method: 'POST',
  path: `${path}/photos`,
  body: {
    id: command,
    criterion: props.criterion === 'sheet' ? null : props.criterion,
    image,
    made_at: new Date().toISOString(),
  },
  label: { key: 'outbox.photo', words: { what: props.words } },
}));
const unread = ref(false);
function keep() {
  const said = text.value.trim();
  if (said.length < 2) return;
  text.value = '';
  open.value = false;
  void note.run(said);
}
async function take(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  unread.value = false;
  try {
    await photo.run(await smallPicture(file));
  } catch {
    unread.value = true;
  }
}
function write() {
  open.value = true;
  requestAnimationFrame(() => area.value?.focus());
}
defineExpose({ write, keep });
</script>

<template>
  <div class="space-y-2">
    <ul v-if="notes.length > 0" class="space-y-1">
      <li v-for="one in notes" :key="one.id">
        ✎ {{ one.text }}
        <span class="text-sm text-quiet">{{ one.by }}, {{ d(one.made_at, { timeStyle: 'short' }) }}</span>
      </li>
    </ul>
    <PhotoStrip :photos="photos" />
    <div v-if="!locked" class="flex flex-wrap gap-2 print:hidden">
      <button v-if="!open" type="button" class="min-h-12 border border-quiet px-4" @click="write">
        ✎ {{ t('sheet.note') }}
      </button>
      <label
        class="inline-flex min-h-12 cursor-pointer items-center border border-quiet px-4 focus-within:outline-2 focus-within:outline-blue"
      >
        ▣ {{ t('sheet.photo') }}
        <input type="file" accept="image/*" capture="environment" class="sr-only" @change="take" />
      </label>
    </div>
    <form v-if="open && !locked" class="space-y-2" @submit.prevent="keep">
      <label :for="id" class="block text-sm text-quiet">{{
        t(answer ? 'sheet.answerLabel' : 'sheet.noteLabel')
      }}</label>
      <textarea :id="id" ref="area" v-model="text" class="field" :rows="answer ? 1 : 2" maxlength="1000" />
      <BigButton type="submit" :disabled="text.trim().length < 2">{{
        t(answer ? 'sheet.answerAct' : 'sheet.noteAct')
      }}</BigButton>
    </form>
    <p v-if="unread" role="alert" class="font-semibold text-no">✕ {{ t('sheet.noPicture') }}</p>
    <ErrorNote :error="note.error.value ?? photo.error.value" />
  </div>
</template>
