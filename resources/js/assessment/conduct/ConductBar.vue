<script setup lang="ts">
import type { Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useCommand } from '@/ui/useCommand';
import { useNow } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import MaySay from './MaySay.vue';
import { useConduct } from './useConduct';

/** How a sheet goes by the clock: one tap each, the next of them in the middle; a pause is nobody's fault. */
const props = defineProps<{ attempt: Schemas['AssessmentAttempt'] }>();
const { t } = useI18n();
const { time, times } = useConduct();
const reads = ref(false);
const SECOND = 1000;
const now = useNow({ interval: SECOND });
/** The answer's seconds are of when it came. */
const answered = ref(Date.now());
watch(
  () => props.attempt.conduct,
  () => (answered.value = Date.now()),
);
const conduct = computed(() => props.attempt.conduct);
const runs = computed(
  () =>
    conduct.value.said.length > 0 && !conduct.value.paused && !conduct.value.said.some((one) => one.moment === 'ended'),
);
const worked = computed(
  () =>
    conduct.value.worked_s +
    (runs.value ? Math.max(0, Math.floor((now.value.getTime() - answered.value) / SECOND)) : 0),
);
const say = useCommand((moment: Schemas['Moment'], id) => ({
  about: `conduct:${id}`,
  method: 'POST',
  path: `/api/assessment/attempts/${props.attempt.id}/conduct`,
  body: { id, moment, made_at: new Date().toISOString() },
  label: { key: 'outbox.conduct', words: { what: t(`sheet.moment.${moment}`) } },
}));
</script>

<template>
  <section class="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 print:hidden" :aria-label="t('sheet.conduct')">
    <p v-if="conduct.said.length === 0" class="min-w-0 grow basis-64 text-quiet">{{ t('sheet.notBegun') }}</p>
    <p v-else class="min-w-0 grow basis-64" :class="{ 'font-semibold text-supervised': conduct.paused }">
      <span v-if="conduct.paused" class="mr-3">▲ {{ t('sheet.pausedNow') }}</span>
      <span class="reading">{{ t('sheet.worked', { time: time(worked) }) }}</span>
      <span class="ml-3 text-sm text-quiet">{{ times(conduct.said) }}</span>
    </p>
    <button
      type="button"
      class="min-h-12 px-2 underline underline-offset-4"
      :aria-expanded="reads"
      @click="reads = !reads"
    >
      {{ t('sheet.maySay.title') }}
    </button>
    <BigButton
      v-for="(moment, index) in conduct.next"
      :key="moment"
      :tone="index === 0 && moment !== 'ended' ? 'main' : undefined"
      :busy="say.busy.value"
      @click="say.run(moment)"
      >{{ t(`sheet.say.${moment}`) }}</BigButton
    >
    <MaySay v-if="reads" class="basis-full" :gates="attempt.sheet.gates" />
    <ErrorNote class="basis-full" :error="say.error.value" />
  </section>
</template>
