<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import { useAction } from '@/ui/useAction';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import TextDiff from './TextDiff.vue';
import { withFront } from './lessonText';
import { asGiven, type Language } from './useLessonDraft';

/** Before a version goes out: what changed, who is in the one before, and whether that one still counts. */
const props = defineProps<{
  code: string;
  texts: Partial<Record<Language, string>>;
  taught: Partial<Record<Language, string>>;
  lesson: Schemas['LessonWritten'] | null;
  basedOn: number;
}>();
const emit = defineEmits<{ close: []; published: [] }>();
const { t } = useI18n();
const { say } = useSay();
const counts = ref(true);
/** The oldest version that counts now: it goes on counting with those after it. */
const oldest = computed(() =>
  Math.min(...(props.lesson?.versions ?? []).filter((version) => version.counts).map(({ version }) => version)),
);
const before = computed(() => props.lesson?.versions[0]);
const given = computed(() =>
  asGiven(props.texts).map(({ language, text }) => ({
    language,
    text: withFront(text, 'accepted_from', props.basedOn > 0 && counts.value ? oldest.value : null),
  })),
);
const publish = useAction(
  () =>
    must(
      api.PUT('/api/content/lessons/{code}', {
        params: { path: { code: props.code } },
        body: { texts: given.value, based_on: props.basedOn },
      }),
    ),
  (answer) => {
    if (answer.faults.length === 0) emit('published');
    faults.value = answer.faults;
  },
);
const faults = ref<Schemas['ContentFault'][]>([]);
</script>

<template>
  <SheetDialog open wide kept :title="t('writing.publishTitle', { code, version: basedOn + 1 })" @close="emit('close')">
    <form class="mt-3 space-y-4" @submit.prevent="publish.run(undefined)">
      <template v-if="before">
        <p v-if="before.under_way.length > 0">
          {{ t('writing.underWay', before.under_way.length) }}
          <strong>{{ before.under_way.join(', ') }}</strong>
        </p>
        <fieldset class="space-y-1">
          <legend class="font-semibold">{{ t('writing.countsTitle', { version: basedOn }) }}</legend>
          <label class="flex min-h-12 items-center gap-3"
            ><input v-model="counts" type="radio" class="size-5" :value="true" /> {{ t('writing.counts') }}</label
          >
          <label class="flex min-h-12 items-center gap-3"
            ><input v-model="counts" type="radio" class="size-5" :value="false" />
            {{ t('writing.countsNot', before.completed.length) }}</label
          >
        </fieldset>
        <section v-for="{ language, text } in given" :key="language">
          <h3 class="font-semibold">{{ t(`content.language.${language}`) }}</h3>
          <TextDiff
            :before="taught[language] ?? ''"
            :after="text"
            :before-label="t('writing.version', { version: basedOn })"
            :after-label="t('writing.version', { version: basedOn + 1 })"
          />
        </section>
      </template>
      <p v-else>{{ t('writing.firstVersion') }}</p>
      <ul v-if="faults.length > 0" class="border-2 border-no p-3" role="alert">
        <li v-for="(fault, place) in faults" :key="place">
          <span class="reading">{{ fault.file }}:{{ fault.line }}</span> {{ say(fault.what) }}
        </li>
      </ul>
      <ErrorNote :error="publish.error.value" @retry="publish.run(undefined)" />
      <DialogButtons :label="t('writing.publish')" tone="main" :busy="publish.busy.value" @cancel="emit('close')" />
    </form>
  </SheetDialog>
</template>
