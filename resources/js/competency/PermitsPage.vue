<script setup lang="ts">
import { api, must } from '@/api/client';
import { useMe } from '@/api/useMe';
import PageState from '@/ui/PageState.vue';
import WorkshopTabs from '@/workshop/WorkshopTabs.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';

/** The permits of the shop: what each asks for, where it lets one run, who signs. */
const { t } = useI18n();
const { leads } = useMe();
const permits = useQuery({ queryKey: ['permits'], queryFn: () => must(api.GET('/api/competency/permits')) });
</script>

<template>
  <WorkshopTabs current="permits" />
  <div class="mt-4 flex flex-wrap items-end gap-4">
    <h1>{{ t('permits.title') }}</h1>
    <p class="w-full text-quiet sm:w-auto sm:flex-1">{{ t('permits.words') }}</p>
    <RouterLink
      v-if="leads"
      :to="{ name: 'permit', params: { code: 'new' } }"
      class="inline-flex min-h-12 items-center border border-quiet px-5 font-semibold no-underline"
      >{{ t('permits.add') }}</RouterLink
    >
  </div>
  <PageState v-slot="{ data }" :data="permits.data.value" :error="permits.error.value" @retry="permits.refetch()">
    <p v-if="data.length === 0" class="sheet mt-4 p-6">{{ t('permits.none') }}</p>
    <ul v-else class="sheet mt-4">
      <li
        v-for="permit in data"
        :key="permit.code"
        class="flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-hairline px-4 py-3 first:border-t-0"
      >
        <div class="min-w-64 flex-1">
          <RouterLink
            :to="{ name: 'permit', params: { code: permit.code } }"
            class="inline-flex min-h-12 items-center font-bold"
            >{{ permit.title }}</RouterLink
          >
          <p class="text-sm text-quiet">
            {{
              t('permits.asks', {
                lessons: permit.requirement.lessons.length + permit.requirement.guided.length,
                checks: permit.requirement.checks.length,
                sheets: permit.requirement.assessments.length,
              })
            }}
          </p>
        </div>
        <p class="min-w-48 text-sm">
          <span :class="permit.machines.length > 0 ? '' : 'text-no'" class="block">{{
            t('permits.machines', permit.machines.length)
          }}</span>
          <span :class="permit.signers.length > 0 ? '' : 'text-no'" class="block">{{
            t('permits.signers', permit.signers.length)
          }}</span>
        </p>
      </li>
    </ul>
  </PageState>
</template>
