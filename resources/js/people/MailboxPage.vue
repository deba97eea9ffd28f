<script setup lang="ts">
import { api, must } from '@/api/client';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';
import DoorPage from './DoorPage.vue';

/** The stand-in for a mail server: letters that would have been sent. */
const { t, d } = useI18n();
const letters = useQuery({ queryKey: ['mailbox'], queryFn: () => must(api.GET('/api/people/mailbox')) });
/** Splits a letter so that its addresses can be pressed. */
const parts = (body: string) => body.split(/(https?:\/\/[^\s)"']+)/);
</script>

<template>
  <DoorPage :title="t('people.mailbox.title')" wide>
    <p class="mb-4 text-quiet">{{ t('people.mailbox.words') }}</p>
    <PageState v-slot="{ data }" :data="letters.data.value" :error="letters.error.value" @retry="letters.refetch()">
      <p v-if="data.length === 0" class="sheet p-6">{{ t('people.mailbox.empty') }}</p>
      <article v-for="letter in data" :key="letter.id" class="sheet mb-4 p-4">
        <h2>{{ letter.subject }}</h2>
        <p class="text-sm text-quiet">
          {{ letter.recipient }} · {{ d(letter.sent_at, { dateStyle: 'medium', timeStyle: 'short' }) }}
        </p>
        <p class="mt-3 break-words whitespace-pre-line">
          <template v-for="(part, index) in parts(letter.body)" :key="index">
            <a v-if="part.startsWith('http')" :href="part">{{ part }}</a>
            <template v-else>{{ part }}</template>
          </template>
        </p>
      </article>
    </PageState>
    <RouterLink :to="{ name: 'sign-in' }" class="inline-block py-3">{{ t('people.backToSignIn') }}</RouterLink>
  </DoorPage>
</template>
