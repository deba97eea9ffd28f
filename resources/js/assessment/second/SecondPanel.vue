<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { useQueryClient } from '@tanstack/vue-query';
import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** A second instructor: takes the seat beside the assessor, and says in the end what they saw. */
const props = defineProps<{ attempt: Schemas['AssessmentAttempt']; queryKey: string[] }>();
const { t } = useI18n();
const { person, teaches } = useMe();
const client = useQueryClient();
const path = { attempt: props.attempt.id };
const says = useLocalStorage(`millstep.second.${props.attempt.id}`, '');
const keep = (attempt: Schemas['AssessmentAttempt']) => client.setQueryData(props.queryKey, attempt);
const take = useAction(() => must(api.PUT('/api/assessment/attempts/{attempt}/second', { params: { path } })), keep);
const say = useAction(
  (agrees: boolean) =>
    must(
      api.POST('/api/assessment/attempts/{attempt}/second', {
        params: { path },
        body: { agrees, says: says.value.trim() || null },
      }),
    ),
  (attempt) => {
    says.value = '';
    keep(attempt);
  },
);
const second = computed(() => props.attempt.second);
const mayTake = computed(
  () =>
    teaches.value &&
    second.value === null &&
    person.value?.name !== props.attempt.assessor &&
    props.attempt.cancelled_at === null,
);
</script>

<template>
  <section v-if="second || mayTake" class="mt-5 border-t border-hairline pt-3">
    <p v-if="second?.done" class="font-semibold">
      {{ second.agrees ? '✓' : '▲' }}
      {{ t(second.agrees ? 'sheet.secondAgrees' : 'sheet.secondDisagrees', { name: second.name }) }}
      <q v-if="second.says" class="font-normal">{{ second.says }}</q>
    </p>
    <template v-else-if="attempt.viewer === 'second'">
      <p class="font-semibold">{{ t('sheet.youWatch') }}</p>
      <p class="text-quiet">{{ t('sheet.youWatchWords') }}</p>
      <div v-if="attempt.concluded_at" class="mt-2 space-y-3">
        <TextField v-model="says" :label="t('sheet.secondSays')" :error="say.fieldErrors.value.says?.[0]" />
        <div class="flex flex-wrap gap-3">
          <BigButton tone="main" :busy="say.busy.value" @click="say.run(true)">{{ t('sheet.agree') }}</BigButton>
          <BigButton tone="no" :busy="say.busy.value" @click="say.run(false)">{{ t('sheet.disagree') }}</BigButton>
        </div>
        <ErrorNote :error="say.error.value" />
      </div>
    </template>
    <p v-else-if="second" class="text-quiet">{{ t('sheet.watched', { name: second.name }) }}</p>
    <template v-else>
      <BigButton :busy="take.busy.value" class="print:hidden" @click="take.run(undefined)">{{
        t('sheet.watch')
      }}</BigButton>
      <p class="mt-1 text-sm text-quiet print:hidden">{{ t('sheet.watchWords') }}</p>
      <ErrorNote :error="take.error.value" />
    </template>
  </section>
</template>
