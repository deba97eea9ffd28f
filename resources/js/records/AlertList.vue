<script setup lang="ts">
import { api, must } from '@/api/client';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import type { Schemas } from '@/api/client';
import { useSay, type Words } from '@/language/useSay';
import { useI18n } from 'vue-i18n';

/** What lead and auditor must see, until one of them says that they have. */
const { t, d } = useI18n();
const { say } = useSay();
const facts = (alert: Schemas['Alerts'][number]) =>
  Object.fromEntries(
    Object.entries(alert.facts).map(([name, fact]) => [name, typeof fact === 'number' ? fact : say(fact as Words)]),
  );
const { audits } = useMe();
const REFRESH_MS = 15_000;
const alerts = useQuery({
  queryKey: ['alerts'],
  queryFn: () => must(api.GET('/api/records/alerts')),
  enabled: audits,
  refetchInterval: REFRESH_MS,
});
const seen = useAction((alert: number) =>
  must(api.POST('/api/records/alerts/{alert}/seen', { params: { path: { alert: String(alert) } } })),
);
</script>

<template>
  <div v-if="(alerts.data.value ?? []).length > 0" role="alert" class="border-2 border-no bg-sheet">
    <ul>
      <li
        v-for="alert in alerts.data.value"
        :key="alert.id"
        class="flex flex-wrap items-center gap-4 border-t border-hairline px-4 py-2 first:border-t-0"
      >
        <p class="flex-1">
          <strong class="text-no">■ {{ t(`records.alert.${alert.kind}.title`) }}</strong>
          {{ t(`records.alert.${alert.kind}.words`, facts(alert)) }}
          <span class="text-sm text-quiet">{{ d(alert.raised_at, { dateStyle: 'medium', timeStyle: 'short' }) }}</span>
        </p>
        <BigButton :busy="seen.busy.value" @click="seen.run(alert.id)">{{ t('records.alert.seen') }}</BigButton>
      </li>
    </ul>
  </div>
</template>
