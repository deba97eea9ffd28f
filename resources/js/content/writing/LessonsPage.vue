<script setup lang="ts">
import { api, must } from '@/api/client';
import { useMe } from '@/api/useMe';
import TeachingTabs from '@/learning/TeachingTabs.vue';
import BigButton from '@/ui/BigButton.vue';
import { finds } from '@/ui/find';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import NewLessonDialog from './NewLessonDialog.vue';

/** All lessons of the shop: what is taught, in which version, and who asks for it. */
const { t } = useI18n();
const { leads } = useMe();
const shelf = useQuery({ queryKey: ['lessons'], queryFn: () => must(api.GET('/api/content/lessons')) });
const search = ref('');
const all = computed(() => shelf.data.value?.lessons ?? []);
const lessons = computed(() =>
  all.value.filter((lesson) => finds(search.value, lesson.code, lesson.title, lesson.place, ...lesson.permits)),
);
const own = computed(() => all.value.some((lesson) => lesson.own && !lesson.retired));
const adding = ref(false);
</script>

<template>
  <TeachingTabs current="lessons" />
  <div class="mt-4 flex flex-wrap items-end gap-x-6 gap-y-2">
    <div class="min-w-64 flex-1">
      <h1>{{ t('writing.title') }}</h1>
      <p class="text-quiet">{{ t('writing.words') }}</p>
    </div>
    <label class="flex items-center gap-2 text-sm"
      >{{ t('ui.find') }} <input v-model="search" type="search" class="field w-56"
    /></label>
    <a
      v-if="leads && own"
      href="/api/content/packs/own/file"
      download="own.zip"
      class="inline-flex min-h-12 items-center px-2"
      >{{ t('writing.ownZip') }}</a
    >
    <BigButton v-if="leads" tone="main" @click="adding = true">{{ t('writing.add') }}</BigButton>
  </div>
  <PageState v-slot="{}" :data="shelf.data.value" :error="shelf.error.value" @retry="shelf.refetch()">
    <p v-if="lessons.length === 0" class="sheet mt-4 p-6">
      {{ t(all.length === 0 ? 'writing.none' : 'writing.noMatch') }}
    </p>
    <ul v-else class="sheet mt-4">
      <li
        v-for="lesson in lessons"
        :key="lesson.code"
        class="flex flex-wrap items-center gap-x-6 border-t border-hairline px-4 py-1 first:border-t-0"
      >
        <RouterLink
          :to="{ name: 'write-lesson', params: { code: lesson.code } }"
          class="inline-flex min-h-12 min-w-72 flex-1 items-center gap-3"
          ><span class="reading w-12 text-bronze">{{ lesson.code }}</span> {{ lesson.title }}</RouterLink
        >
        <p class="w-44 text-sm text-quiet">
          {{ t('writing.version', { version: lesson.version }) }}
          <span class="block">
            <strong v-if="lesson.retired" class="text-supervised">{{ t('writing.retired') }}</strong>
            <template v-else>{{ t(lesson.own ? 'writing.own' : 'writing.fromPack') }}</template>
          </span>
        </p>
        <p class="w-full text-sm text-quiet md:w-72">{{ lesson.permits.join('; ') || t('writing.noPermit') }}</p>
      </li>
    </ul>
    <NewLessonDialog v-if="adding" :codes="all.map(({ code }) => code)" @close="adding = false" />
  </PageState>
</template>
