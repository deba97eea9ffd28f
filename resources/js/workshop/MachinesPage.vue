<script setup lang="ts">
import { api, must } from '@/api/client';
import PageState from '@/ui/PageState.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';

const { t } = useI18n();
const machines = useQuery({ queryKey: ['machines'], queryFn: () => must(api.GET('/api/workshop/machines')) });
</script>

<template>
  <h1>{{ t('gate.machines') }}</h1>
  <p class="mt-1 text-quiet">{{ t('gate.machinesWords') }}</p>
  <PageState v-slot="{ data }" :data="machines.data.value" :error="machines.error.value" @retry="machines.refetch()">
    <ul class="sheet mt-4">
      <li
        v-for="machine in data"
        :key="machine.slug"
        class="flex flex-wrap items-center gap-4 border-t border-hairline p-4 first:border-t-0"
      >
        <p class="flex-1">
          <strong class="text-lg">{{ machine.name }}</strong><br />
          <span class="text-sm text-quiet">{{
            machine.permits.map((permit) => permit.name).join(', ') || t('gate.noPermit')
          }}</span>
        </p>
        <p class="font-semibold" :class="machine.in_service ? 'text-alone' : 'text-no'">
          {{
            machine.in_service
              ? `● ${t('gate.inService')}`
              : `■ ${t('gate.outOfService')}: ${machine.service_note ?? ''}`
          }}
        </p>
        <RouterLink
          :to="{ name: 'gate-screen', params: { machine: machine.slug } }"
          class="inline-flex min-h-12 items-center border border-quiet px-5 font-semibold no-underline"
          >{{ t('gate.openScreen') }}</RouterLink
        >
      </li>
    </ul>
  </PageState>
</template>
