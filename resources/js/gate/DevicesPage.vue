<script setup lang="ts">
import { api, must } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import PageState from '@/ui/PageState.vue';
import { useCommand } from '@/ui/useCommand';
import WorkshopTabs from '@/workshop/WorkshopTabs.vue';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';

/** All screens and readers: at which machine, who paired them, when they were last seen, until when they carry. */
const { t, d } = useI18n();
const REFRESH_MS = 30_000;
const devices = useQuery({
  queryKey: ['devices'],
  queryFn: () => must(api.GET('/api/gate/devices')),
  refetchInterval: REFRESH_MS,
});
const revoke = useCommand(({ id, name }: { id: number; name: string }) => ({
  about: `device:${id}`,
  method: 'DELETE',
  path: `/api/gate/devices/${id}`,
  label: { key: 'outbox.device', words: { what: name } },
}));
const when = (at: string | null) =>
  at === null ? t('gate.device.never') : d(at, { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <WorkshopTabs current="devices" />
  <div class="mt-4">
    <h1>{{ t('gate.device.title') }}</h1>
    <p class="text-quiet">{{ t('gate.device.words') }}</p>
  </div>
  <ErrorNote class="mt-3" :error="revoke.error.value" @retry="revoke.reset()" />
  <PageState v-slot="{ data }" :data="devices.data.value" :error="devices.error.value" @retry="devices.refetch()">
    <p v-if="data.length === 0" class="sheet mt-4 p-6">
      {{ t('gate.device.none') }}
      <RouterLink :to="{ name: 'workshop' }" class="inline-flex min-h-12 items-center underline">{{
        t('workshop.tabs.machines')
      }}</RouterLink>
    </p>
    <ul v-else class="sheet mt-4">
      <li
        v-for="device in data"
        :key="device.id"
        class="flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-hairline px-4 py-3 first:border-t-0"
      >
        <div class="min-w-64 flex-1">
          <strong>{{ device.machine.name }}</strong>
          <span class="block text-sm">{{ device.name }}</span>
        </div>
        <p
          class="font-semibold"
          :class="{ 'text-alone': device.state === 'paired', 'text-no': device.state !== 'paired' }"
        >
          {{ device.state === 'paired' ? '●' : '■' }} {{ t(`gate.device.state.${device.state}`) }}
        </p>
        <p class="min-w-72 text-sm text-quiet">
          {{ t('gate.device.pairedBy', { name: device.paired_by ?? '–', at: when(device.paired_at) }) }}<br />
          {{ t('gate.device.seen', { at: when(device.last_seen_at) }) }}
          <template v-if="device.expires_at">{{ t('gate.device.until', { at: when(device.expires_at) }) }}</template>
        </p>
        <BigButton
          v-if="device.state !== 'revoked' && device.may_revoke"
          tone="no"
          :busy="revoke.busy.value"
          :aria-label="t('gate.device.revokeNamed', { name: device.machine.name })"
          @click="revoke.run({ id: device.id, name: device.machine.name })"
          >{{ t('gate.device.revoke') }}</BigButton
        >
      </li>
    </ul>
  </PageState>
</template>
