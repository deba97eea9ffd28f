<script setup lang="ts">
import { api, must } from '@/api/client';
import { useMe } from '@/api/useMe';
import TeachingTabs from '@/learning/TeachingTabs.vue';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';
import LessonPreview from './LessonPreview.vue';
import LessonVersions from './LessonVersions.vue';
import NewLessonDialog from './NewLessonDialog.vue';
import PublishDialog from './PublishDialog.vue';
import StepOrder from './StepOrder.vue';
import { front, sectionAt, startOfLine, withStep } from './lessonText';
import { languageOf, useLessonDraft, type Language } from './useLessonDraft';

/** A lesson is written on the left and read on the right, step by step, as a learner will. */
const props = defineProps<{ code: string }>();
const { t, locale } = useI18n();
const { leads } = useMe();
const draft = useLessonDraft(props.code);
const shelf = useQuery({ queryKey: ['lessons'], queryFn: () => must(api.GET('/api/content/lessons')) });
const LANGUAGES = ['en', 'es'] as const;
const chosen = ref<Language | null>(null);
/** The reader's own language, where the lesson has it. */
const language = computed<Language>(() => {
  const first = LANGUAGES.find((each) => draft.texts.value[each] !== undefined) ?? 'en';
  const own = languageOf(locale.value);
  return chosen.value ?? (draft.texts.value[own] === undefined ? first : own);
});
const text = computed(() => draft.texts.value[language.value] ?? '');
const title = computed(() => front(text.value, 'title') ?? draft.lesson.value?.title ?? '');
const field = useTemplateRef<HTMLTextAreaElement>('field');
const caret = ref(0);
const step = computed(() => sectionAt(text.value, caret.value)?.key ?? null);
const note = () => (caret.value = field.value?.selectionStart ?? 0);

/** Puts the caret there, and brings it into sight. */
async function look(place: number) {
  caret.value = place;
  await nextTick();
  if (!field.value) return;
  // A field brings its caret into sight when it is entered: from the end, so that the place stands near the top.
  field.value.blur();
  field.value.setSelectionRange(text.value.length, text.value.length);
  field.value.focus();
  field.value.blur();
  field.value.setSelectionRange(place, place);
  field.value.focus();
}
async function lookAtFault(fault: { language: Language; line: number }) {
  chosen.value = fault.language;
  await nextTick();
  await look(startOfLine(text.value, fault.line));
}
function addStep() {
  const words = { step: t('writing.blank.step'), do: t('writing.blank.do'), why: t('writing.blank.why') };
  draft.write(language.value, withStep(text.value, words));
  void look(text.value.length);
}
const publishing = ref(false);
const copying = ref(false);
const discarding = ref(false);
const retire = useAction((on: boolean) => {
  const params = { params: { path: { code: props.code } } };
  return on
    ? must(api.POST('/api/content/lessons/{code}/retirement', params))
    : must(api.DELETE('/api/content/lessons/{code}/retirement', params));
});
</script>

<template>
  <TeachingTabs current="lessons" />
  <PageState
    v-slot="{}"
    :data="draft.written.data.value === undefined ? undefined : true"
    :error="draft.written.error.value"
    @retry="draft.written.refetch()"
  >
    <div class="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2">
      <div class="min-w-64 flex-1">
        <h1>
          <span class="reading mr-2 text-bronze">{{ code }}</span>{{ title }}
        </h1>
        <p class="text-quiet" role="status">
          <template v-if="draft.lesson.value">{{
            t('writing.taught', { version: draft.lesson.value.version })
          }}</template>
          <template v-if="draft.changed.value">
            <strong>{{ t('writing.kept', { version: draft.basedOn.value + 1 }) }}</strong>
          </template>
          <strong v-if="draft.lesson.value?.retired" class="text-supervised">▲ {{ t('writing.retiredNow') }}</strong>
        </p>
      </div>
      <template v-if="leads">
        <BigButton v-if="draft.changed.value" @click="discarding = true">{{ t('writing.discard') }}</BigButton>
        <BigButton v-if="draft.lesson.value" @click="copying = true">{{ t('writing.copy') }}</BigButton>
        <BigButton tone="main" :disabled="!draft.changed.value || draft.overtaken.value" @click="publishing = true"
          >{{ t('writing.publish') }} …</BigButton
        >
      </template>
    </div>
    <div
      v-if="discarding"
      role="alert"
      class="mt-2 flex flex-wrap items-center gap-4 border-2 border-supervised bg-sheet p-3"
    >
      <p class="flex-1">{{ t('writing.discardSure') }}</p>
      <BigButton @click="discarding = false">{{ t('ui.cancel') }}</BigButton>
      <BigButton tone="no" @click="((discarding = false), draft.throwAway())">{{ t('writing.discard') }}</BigButton>
    </div>
    <p
      v-if="draft.overtaken.value"
      role="alert"
      class="mt-2 flex flex-wrap items-center gap-4 border-2 border-supervised bg-sheet p-3"
    >
      <span class="flex-1">▲ {{ t('writing.overtaken', { version: draft.lesson.value?.version }) }}</span>
      <BigButton @click="draft.catchUp()">{{ t('writing.catchUp') }}</BigButton>
    </p>
    <p
      v-if="draft.lesson.value && draft.lesson.value.texts.length === 0 && !draft.changed.value"
      class="sheet mt-4 p-6"
    >
      {{ t('writing.noTexts') }}
    </p>
    <div class="mt-4 grid grid-cols-[minmax(0,1fr)] items-start gap-6 lg:grid-cols-2">
      <div>
        <div class="flex" role="group" :aria-label="t('writing.language')">
          <button
            v-for="each in LANGUAGES"
            :key="each"
            type="button"
            class="min-h-12 border border-quiet px-4"
            :class="each === language ? 'bg-ink text-paper' : 'bg-sheet'"
            :aria-pressed="each === language"
            @click="chosen = each"
          >
            {{ t(`content.language.${each}`)
            }}<span v-if="draft.texts.value[each] === undefined" class="text-sm"> ({{ t('writing.missing') }})</span>
          </button>
        </div>
        <label class="sr-only" for="lesson-text">{{ t('writing.text') }}</label>
        <textarea
          id="lesson-text"
          ref="field"
          class="field min-h-[32rem] font-mono text-sm leading-relaxed"
          spellcheck="true"
          :lang="language"
          :readonly="!leads"
          :value="text"
          @input="(draft.write(language, ($event.target as HTMLTextAreaElement).value), note())"
          @click="note"
          @keyup="note"
        />
        <StepOrder
          class="mt-4"
          :text="text"
          :current="step"
          :readonly="!leads"
          @move="draft.write(language, $event)"
          @look="look"
          @add="addStep"
        />
        <details class="mt-3">
          <summary class="min-h-12 cursor-pointer py-3 font-semibold">▸ {{ t('writing.how') }}</summary>
          <div class="space-y-2 text-sm">
            <p>{{ t('writing.howFront') }}</p>
            <p>{{ t('writing.howStep') }}</p>
            <p>{{ t('writing.howAsk') }}</p>
            <p>{{ t('writing.howSame') }}</p>
            <p>
              {{ t('writing.howReadings') }} <code class="reading">{{ shelf.data.value?.readings.join(' ') }}</code>
            </p>
            <p>
              {{ t('writing.howDrawings') }} <code class="reading">{{ shelf.data.value?.drawings.join(' ') }}</code>
            </p>
          </div>
        </details>
      </div>
      <LessonPreview
        class="lg:sticky lg:top-2"
        :code="code"
        :texts="draft.texts.value"
        :language="language"
        :step="step"
        @look="lookAtFault"
      />
    </div>
    <template v-if="draft.lesson.value">
      <LessonVersions
        class="mt-8"
        :lesson="draft.lesson.value"
        :texts="draft.texts.value"
        :may-write="leads"
        @bring="draft.bring($event)"
      />
      <section v-if="leads" class="mt-6">
        <ErrorNote :error="retire.error.value" @retry="retire.reset()" />
        <p v-if="draft.lesson.value.permits.length > 0" class="text-quiet">
          {{ t('writing.askedFor', { permits: draft.lesson.value.permits.map((permit) => permit.title).join('; ') }) }}
        </p>
        <BigButton
          v-else
          class="mt-2"
          :tone="draft.lesson.value.retired ? 'plain' : 'no'"
          :busy="retire.busy.value"
          @click="retire.run(!draft.lesson.value.retired)"
          >{{ t(draft.lesson.value.retired ? 'writing.restore' : 'writing.retire') }}</BigButton
        >
      </section>
    </template>
    <PublishDialog
      v-if="publishing"
      :code="code"
      :texts="draft.texts.value"
      :taught="draft.taught.value"
      :lesson="draft.lesson.value"
      :based-on="draft.basedOn.value"
      @close="publishing = false"
      @published="((publishing = false), draft.throwAway())"
    />
    <NewLessonDialog
      v-if="copying"
      :codes="(shelf.data.value?.lessons ?? []).map((each) => each.code)"
      :from="{ title, texts: draft.texts.value }"
      @close="copying = false"
    />
  </PageState>
</template>
