<script setup lang="ts">
import { api, must } from '@/api/client';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';
import LessonBinding from './LessonBinding.vue';

/** For whoever teaches: which part, machine and crib a lesson is about for each of their classes. */
const props = defineProps<{ code: string }>();
const { t } = useI18n();
const bindings = useQuery({
  queryKey: ['bindings', () => props.code],
  queryFn: () => must(api.GET('/api/learning/lessons/{code}/bindings', { params: { path: { code: props.code } } })),
});
</script>

<template>
  <PageState v-slot="{ data }" :data="bindings.data.value" :error="bindings.error.value" @retry="bindings.refetch()">
    <section v-if="data.bound && data.cohorts.length > 0" class="mt-6 border-t border-hairline pt-4">
      <h2>{{ t('lesson.bind.title') }}</h2>
      <p class="mt-1 max-w-3xl text-quiet">{{ t('lesson.bind.words') }}</p>
      <LessonBinding
        v-for="cohort in data.cohorts"
        :key="cohort.id"
        class="mt-3"
        :code="code"
        :cohort="cohort"
        :choices="data"
        @kept="bindings.refetch()"
      />
    </section>
  </PageState>
</template>
