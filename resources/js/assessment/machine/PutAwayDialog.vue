<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import AskDialog from '@/ui/AskDialog.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { useLocalStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { BECAUSE, isMarked } from '@/assessment/results';

/** Puts a sheet away: with any mark on it that was a try, and says so before it is done. */
const props = defineProps<{ attempt: Schemas['AssessmentAttempt'] }>();
const emit = defineEmits<{ done: [attempt: Schemas['AssessmentAttempt']]; close: [] }>();
const { t } = useI18n();
const LEAST = 10;
const marked = computed(() => isMarked(props.attempt));
const because = ref<Schemas['PutAwayBecause'] | ''>('');
const words = useLocalStorage(`millstep.putAway.${props.attempt.id}`, '');
const wanted = computed(() => marked.value || because.value === 'other');
const putAway = useAction(
  () =>
    must(
      api.POST('/api/assessment/attempts/{attempt}/cancellation', {
        params: { path: { attempt: props.attempt.id } },
        body: { because: because.value as Schemas['PutAwayBecause'], words: words.value.trim() || null },
      }),
    ),
  (attempt) => {
    words.value = '';
    emit('done', attempt);
  },
);
</script>

<template>
  <AskDialog
    :title="t('sheet.putAwayTitle', { name: attempt.learner.name })"
    :label="t('sheet.putAwayAct')"
    tone="no"
    :busy="putAway.busy.value"
    :disabled="because === '' || (wanted && words.trim().length < LEAST)"
    :error="putAway.error.value"
    @yes="putAway.run(undefined)"
    @close="emit('close')"
  >
    <p>{{ t(marked ? 'sheet.putAwayTry' : 'sheet.putAwayWords', { name: attempt.learner.name }) }}</p>
    <SelectField
      v-model="because"
      :label="t('sheet.putAwayBecause')"
      :options="BECAUSE.map((value) => ({ value, label: t(`sheet.putAwayKind.${value}`) }))"
    />
    <TextField
      v-model="words"
      :required="wanted"
      maxlength="300"
      :label="t('sheet.putAwayWhy')"
      :hint="wanted ? t('sheet.putAwayWhyNote') : undefined"
      :error="putAway.fieldErrors.value.words?.[0]"
    />
  </AskDialog>
</template>
