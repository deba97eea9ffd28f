<script setup lang="ts">
import { useMe } from '@/api/useMe';
import AskDialog from '@/ui/AskDialog.vue';
import TextField from '@/ui/TextField.vue';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { blank, withFront } from './lessonText';
import { beginDraft, languageOf, type Language } from './useLessonDraft';

/** A lesson of one's own: from nothing, or a copy of another. */
const props = defineProps<{ codes: string[]; from?: { title: string; texts: Partial<Record<Language, string>> } }>();
const emit = defineEmits<{ close: [] }>();
const { t, locale } = useI18n();
const { person } = useMe();
const router = useRouter();
const code = ref('');
const title = ref(props.from ? t('writing.copyOf', { title: props.from.title }) : '');
const tried = ref(false);
const fault = computed(() => {
  const typed = code.value.trim();
  if (!/^[A-Za-z0-9][A-Za-z0-9-]{0,19}$/.test(typed)) return t('writing.codeFault');
  return props.codes.some((each) => each.toLowerCase() === typed.toLowerCase()) ? t('writing.codeTaken') : undefined;
});

async function begin() {
  tried.value = true;
  if (fault.value !== undefined || title.value.trim() === '') return;
  const named = (text: string, own: boolean) =>
    [
      ['code', code.value.trim()],
      ['version', 1],
      ['accepted_from', null],
      ...(own ? [['title', JSON.stringify(title.value.trim())] as const] : []),
    ].reduce((said, [key, value]) => withFront(said, key as string, value as string), text);
  const texts = props.from
    ? Object.fromEntries(
        Object.entries(props.from.texts).map(([language, text], place) => [language, named(text, place === 0)]),
      )
    : {
        [languageOf(locale.value)]: blank(code.value.trim(), title.value.trim(), {
          step: t('writing.blank.step'),
          do: t('writing.blank.do'),
          why: t('writing.blank.why'),
        }),
      };
  beginDraft(person.value?.id, code.value.trim(), texts);
  emit('close');
  await router.push({ name: 'write-lesson', params: { code: code.value.trim() } });
}
</script>

<template>
  <AskDialog
    :title="t(from ? 'writing.copy' : 'writing.add')"
    :label="t('writing.begin')"
    @yes="begin"
    @close="emit('close')"
  >
    <TextField
      v-model="code"
      reading
      required
      :label="t('writing.code')"
      :hint="t('writing.codeHint')"
      :error="tried ? fault : undefined"
    />
    <TextField v-model="title" required :label="t('writing.titleField')" />
  </AskDialog>
</template>
