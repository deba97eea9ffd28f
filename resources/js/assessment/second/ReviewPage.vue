<script setup lang="ts">
import { api, must } from '@/api/client';
import { askMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import EndedCriterion from '@/assessment/outcome/EndedCriterion.vue';

/** One sheet before somebody from outside: read only, without a name, by a link whose own part stands behind the #. */
const { t, d } = useI18n();
const token = window.location.hash.slice(1);
const sheet = useQuery({
  queryKey: ['review'],
  queryFn: async () => {
    // Whoever comes for the first time has no cookie yet that lets a browser write.
    await askMe();
    return must(api.POST('/api/assessment/review', { body: { token } }));
  },
  retry: false,
  staleTime: Infinity,
  gcTime: 0,
});
const said = ref<{ agrees: boolean } | null>(null);
const says = ref('');
const say = useAction(
  (agrees: boolean) =>
    must(api.PUT('/api/assessment/review', { body: { token, agrees, says: says.value.trim() || null } })),
  (answer) => (said.value = answer.said),
);
const done = computed(() => said.value ?? sheet.data.value?.said ?? null);
/** Nobody's name is shown. */
const nobody = computed(() => ({
  photos: [],
  learner: { id: 0, name: t('review.learner') },
  assessor: t('review.assessor'),
  second: null,
}));
const whole = computed(() => (sheet.data.value?.photos ?? []).filter(({ criterion }) => criterion === null));
</script>

<template>
  <main class="mx-auto max-w-4xl p-4 sm:p-6">
    <p class="reading text-quiet">Mill Step</p>
    <h1>{{ sheet.data.value?.sheet.title ?? t('review.title') }}</h1>
    <p v-if="sheet.error.value" role="alert" class="sheet mt-4 p-6 font-semibold text-no">{{ t('review.gone') }}</p>
    <template v-if="sheet.data.value">
      <p class="mt-2 max-w-prose">
        {{
          t('review.hello', {
            name: sheet.data.value.name,
            until: d(sheet.data.value.expires_at, { dateStyle: 'medium' }),
          })
        }}
      </p>
      <p class="mt-2 text-quiet">
        {{ sheet.data.value.sheet.part }}, {{ sheet.data.value.sheet.machine }}.
        {{ t('sheet.version', { version: sheet.data.value.sheet.version }) }}.
        <span v-if="sheet.data.value.part_code" class="reading">{{ sheet.data.value.part_code }}</span>
      </p>
      <p class="mt-3 text-2xl font-bold">
        {{ t('review.outcome') }}: {{ t(`outcome.${sheet.data.value.outcome ?? 'incomplete'}`) }},
        <span class="reading">{{ sheet.data.value.score_percent.toFixed(1) }} %</span>
      </p>
      <ul class="sheet mt-3 divide-y divide-hairline">
        <EndedCriterion
          v-for="criterion in sheet.data.value.criteria"
          :key="criterion.id"
          :criterion="criterion"
          :attempt="nobody"
        >
          <img
            v-for="photo in sheet.data.value.photos.filter((one) => one.criterion === criterion.id)"
            :key="photo.id"
            :src="photo.data"
            :width="photo.width"
            :height="photo.height"
            :alt="criterion.text"
            class="mt-2 h-auto max-w-full"
          />
        </EndedCriterion>
      </ul>
      <img
        v-for="photo in whole"
        :key="photo.id"
        :src="photo.data"
        :width="photo.width"
        :height="photo.height"
        :alt="sheet.data.value.sheet.part"
        class="mt-3 h-auto max-w-full"
      />
      <section class="mt-5 border-t border-quiet pt-4">
        <p v-if="done" class="text-lg font-semibold" role="status">
          {{ done.agrees ? '✓' : '▲' }} {{ t('review.done') }}
        </p>
        <template v-else>
          <h2>{{ t('review.ask') }}</h2>
          <TextField v-model="says" class="mt-2" maxlength="600" :label="t('review.says')" />
          <div class="mt-3 flex flex-wrap gap-3">
            <BigButton tone="main" :busy="say.busy.value" @click="say.run(true)">{{ t('review.agree') }}</BigButton>
            <BigButton tone="no" :busy="say.busy.value" @click="say.run(false)">{{ t('review.disagree') }}</BigButton>
          </div>
          <ErrorNote class="mt-2" :error="say.error.value" />
        </template>
      </section>
    </template>
    <PrecedenceNote class="mt-6" />
  </main>
</template>
