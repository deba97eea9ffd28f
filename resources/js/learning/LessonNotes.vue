<script setup lang="ts">
import { Refused, type Schemas } from '@/api/client';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import { useCommand } from '@/ui/useCommand';
import { watchDebounced } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';

/** What a learner writes beside a lesson. Nothing typed is lost: neither here nor what another device wrote. */
const props = defineProps<{ lesson: Schemas['Lesson'] }>();
const { t } = useI18n();
const SETTLED_MS = 1_500;
const id = computed(() => props.lesson.progress?.id ?? '');
const there = computed(() => props.lesson.progress?.notes ?? '');
/** What the server had when this text was begun or kept last. */
const was = ref(there.value);
const text = ref(there.value);
const both = ref(false);
const sent = ref('');

const keep = useCommand(
  ({ notes, before }: { notes: string; before: string }) => ({
    about: `notes:${id.value}`,
    method: 'PUT',
    path: `/api/learning/progress/${id.value}/notes`,
    body: { notes, was: before },
    label: { key: 'outbox.notes', words: { what: props.lesson.code } },
  }),
  (_: unknown, { notes }) => {
    was.value = notes;
    sent.value = notes;
  },
);
function save() {
  if (text.value !== was.value && !keep.busy.value) void keep.run({ notes: text.value, before: was.value });
}
watchDebounced(text, save, { debounce: SETTLED_MS });
onBeforeUnmount(save);
watch(there, (theirs) => {
  if (theirs === was.value || theirs === text.value) {
    was.value = theirs;
    return;
  }
  if (text.value === was.value) text.value = theirs;
  else {
    // Written on two devices: both stand, and whoever wrote them keeps what is wanted.
    text.value = `${theirs}\n\n${text.value}`;
    both.value = true;
  }
  was.value = theirs;
});
const refusal = computed(() =>
  keep.error.value instanceof Refused && keep.error.value.code === 'notes_changed' ? null : keep.error.value,
);
</script>

<template>
  <section>
    <FormField v-slot="field" :label="t('lesson.notes.label')" :hint="t('lesson.notes.hint')">
      <textarea :id="field.id" v-model="text" class="field" rows="3" maxlength="4000" @blur="save" />
    </FormField>
    <p v-if="both" role="status" class="font-semibold text-supervised">◆ {{ t('lesson.notes.both') }}</p>
    <p v-else-if="sent !== '' && sent === text" role="status" class="text-quiet">✓ {{ t('lesson.notes.kept') }}</p>
    <ErrorNote class="mt-2" :error="refusal" @retry="save" />
  </section>
</template>
