<script setup lang="ts">
import { api, must } from '@/api/client';
import { useSay } from '@/language/useSay';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useAction } from '@/ui/useAction';
import WorkshopTabs from '@/workshop/WorkshopTabs.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';

/** What this version brings to teach from, and what of it the shop has taken in. */
const { t, d } = useI18n();
const { say } = useSay();
const packs = useQuery({ queryKey: ['packs'], queryFn: () => must(api.GET('/api/content/packs')) });
const take = useAction((code: string) => must(api.POST('/api/content/packs/{code}', { params: { path: { code } } })));
</script>

<template>
  <WorkshopTabs current="content" />
  <h1 class="mt-4">{{ t('content.title') }}</h1>
  <p class="mt-1 max-w-3xl text-quiet">{{ t('content.words') }}</p>
  <ErrorNote class="mt-3" :error="take.error.value" @retry="take.reset()" />
  <PageState v-slot="{ data }" :data="packs.data.value" :error="packs.error.value" @retry="packs.refetch()">
    <p v-if="data.length === 0" class="sheet mt-4 p-6">{{ t('content.none') }}</p>
    <ul class="mt-4 space-y-4">
      <li v-for="pack in data" :key="pack.code" class="sheet p-4">
        <div class="flex flex-wrap items-start gap-4">
          <div class="min-w-64 flex-1">
            <h2>{{ pack.title }}</h2>
            <p class="mt-1">{{ pack.about }}</p>
            <p class="mt-1 text-sm text-quiet">
              {{
                [
                  t('content.lessons', pack.lessons),
                  t('content.checks', pack.checks),
                  t('content.sheets', pack.sheets),
                  t('content.permits', pack.permits),
                  t('content.version', { version: pack.version }),
                  pack.languages.map((language) => t(`content.language.${language}`)).join(', '),
                ].join(' · ')
              }}
            </p>
          </div>
          <p v-if="pack.needs.length > 0 && !pack.taken_at" class="basis-full text-sm text-quiet">
            {{ t('content.needs', { packs: pack.needs.join('; ') }) }}
          </p>
          <div>
            <p v-if="pack.taken_at" class="mb-2 text-alone">
              ✓ {{ t('content.takenOn', { day: d(pack.taken_at, { dateStyle: 'medium' }) }) }}
            </p>
            <BigButton
              v-if="pack.taken_version !== pack.version"
              tone="main"
              :busy="take.busy.value"
              @click="take.run(pack.code)"
              >{{ t(pack.taken_version === null ? 'content.take' : 'content.update') }}</BigButton
            >
          </div>
        </div>
        <ul v-if="pack.faults.length > 0" class="mt-3 border-2 border-no p-3">
          <li v-for="(fault, index) in pack.faults" :key="index">
            <span class="reading">{{ fault.file }}:{{ fault.line }}</span> {{ say(fault.what) }}
          </li>
        </ul>
      </li>
    </ul>
  </PageState>
</template>
