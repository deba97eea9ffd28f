<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import TextDiff from './TextDiff.vue';
import type { Language } from './useLessonDraft';

/** Every version of a lesson: who is in which, which still count, what differs, and the way back to one. */
const props = defineProps<{
  lesson: Schemas['LessonWritten'];
  texts: Partial<Record<Language, string>>;
  mayWrite: boolean;
}>();
const emit = defineEmits<{ bring: [texts: Schemas['LessonText'][]] }>();
const { t, d } = useI18n();
const read = (version: number) =>
  must(
    api.GET('/api/content/lessons/{code}/versions/{version}', {
      params: { path: { code: props.lesson.code, version: String(version) } },
    }),
  );
const compared = ref<{ version: number; texts: Schemas['LessonText'][] } | null>(null);
const compare = useAction(read, ({ texts }, version) => {
  compared.value = { version, texts };
});
const bring = useAction(read, ({ texts }) => emit('bring', texts));
</script>

<template>
  <section>
    <h2>{{ t('writing.versions') }}</h2>
    <ErrorNote :error="compare.error.value ?? bring.error.value" @retry="compare.reset()" />
    <ul class="sheet mt-2">
      <li
        v-for="version in lesson.versions"
        :key="version.version"
        class="border-t border-hairline px-4 py-2 first:border-t-0"
      >
        <div class="flex flex-wrap items-center gap-x-6 gap-y-1">
          <p class="min-w-56 flex-1">
            <strong>{{ t('writing.version', { version: version.version }) }}</strong>
            <span class="ml-2" :class="version.counts ? 'text-alone' : 'text-supervised'">{{
              version.counts ? `✓ ${t('writing.stillCounts')}` : `▲ ${t('writing.noLonger')}`
            }}</span>
            <span class="block text-sm text-quiet">
              <template v-if="version.published_at">{{ d(version.published_at, { dateStyle: 'medium' }) }}</template>
              <template v-if="version.published_by">, {{ version.published_by }}</template>
              <template v-else-if="!version.own">, {{ t('writing.fromPack') }}</template>
            </span>
          </p>
          <BigButton v-if="version.kept" :busy="compare.busy.value" @click="compare.run(version.version)">{{
            t('writing.compare')
          }}</BigButton>
          <BigButton
            v-if="mayWrite && version.kept && version.version !== lesson.version"
            :busy="bring.busy.value"
            @click="bring.run(version.version)"
            >{{ t('writing.bringBack') }}</BigButton
          >
        </div>
        <p v-if="version.under_way.length > 0" class="text-sm">
          {{ t('writing.inIt') }} {{ version.under_way.join(', ') }}
        </p>
        <p v-if="version.completed.length > 0" class="text-sm text-quiet">
          {{ t('writing.through') }} {{ version.completed.join(', ') }}
        </p>
        <div v-if="compared?.version === version.version" class="mt-2 space-y-3">
          <section v-for="{ language, text } in compared.texts" :key="language">
            <h3 class="font-semibold">{{ t(`content.language.${language}`) }}</h3>
            <TextDiff
              :before="text"
              :after="texts[language] ?? ''"
              :before-label="t('writing.version', { version: version.version })"
              :after-label="t('writing.here')"
            />
          </section>
        </div>
      </li>
    </ul>
  </section>
</template>
