<script setup lang="ts">
import { api, must } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';

/** Where one is signed in, and out again: one by one, or everywhere but here. */
const { t, d } = useI18n();
const sessions = useQuery({ queryKey: ['sessions'], queryFn: () => must(api.GET('/api/people/me/sessions')) });
const end = useAction((name: string) =>
  must(api.DELETE('/api/people/me/sessions/{name}', { params: { path: { name } } })),
);
/** The browser's own long name for itself, shortened to what a person would call it. */
function called(agent: string): string {
  const browser = /(Firefox|Edg|OPR|Chrome|Safari)\/(\d+)/.exec(agent);
  const system = /Android|iPhone|iPad|Windows|Macintosh|CrOS|Linux/.exec(agent);
  return [browser ? `${browser[1]} ${browser[2]}` : agent.slice(0, 40), system?.[0]].filter(Boolean).join(', ');
}
</script>

<template>
  <section class="border-t border-hairline pt-4">
    <div class="flex flex-wrap items-center gap-4">
      <div class="flex-1">
        <h2>{{ t('people.sessions.title') }}</h2>
        <p>{{ t('people.sessions.words') }}</p>
      </div>
      <BigButton
        v-if="(sessions.data.value?.length ?? 0) > 1"
        tone="no"
        :busy="end.busy.value"
        @click="end.run('others')"
        >{{ t('people.sessions.others') }}</BigButton
      >
    </div>
    <ErrorNote class="mt-3" :error="end.error.value" @retry="end.reset()" />
    <PageState v-slot="{ data }" :data="sessions.data.value" :error="sessions.error.value" @retry="sessions.refetch()">
      <ul class="sheet mt-3">
        <li
          v-for="each in data"
          :key="each.id"
          class="flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-hairline px-4 py-2 first:border-t-0"
        >
          <p class="min-w-64 flex-1">
            <strong>{{ called(each.browser) }}</strong>
            <span v-if="each.this_one" class="ml-2 text-alone">● {{ t('people.sessions.here') }}</span>
            <span class="block text-sm text-quiet"
              >{{ t('people.sessions.address', { address: each.address }) }},
              {{
                t('people.sessions.last', { at: d(each.last_used_at, { dateStyle: 'medium', timeStyle: 'short' }) })
              }}</span
            >
          </p>
          <BigButton v-if="!each.this_one" :busy="end.busy.value" @click="end.run(each.id)">{{
            t('people.sessions.end')
          }}</BigButton>
        </li>
      </ul>
    </PageState>
  </section>
</template>
