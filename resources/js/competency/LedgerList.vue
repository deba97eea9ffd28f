<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';

/** What happened, newest first, with the hash that ties each line to the one before it. */
defineProps<{ lines: Schemas['LedgerLine'][] }>();
const { t, d, te } = useI18n();

function words(line: Schemas['LedgerLine']): string {
  const details = line.details as Record<string, unknown>;
  const said = ['lesson', 'check', 'assessment', 'exercise', 'machine', 'reason'].flatMap((key) =>
    typeof details[key] === 'string' ? [details[key]] : [],
  );
  if (typeof details.minutes === 'number') said.push(`${details.minutes} min`);
  if (typeof details.passed === 'boolean') said.push(t(details.passed ? 'outcome.passed' : 'outcome.not_yet'));
  if (typeof details.outcome === 'string') said.push(t(`outcome.${details.outcome}`));
  if (typeof details.score_percent === 'number') said.push(`${details.score_percent} %`);
  if (typeof details.valid_until === 'string')
    said.push(t('ledger.until', { until: d(details.valid_until, { dateStyle: 'medium' }) }));
  return said.join(', ');
}
</script>

<template>
  <section>
    <h2>{{ t('ledger.title') }}</h2>
    <p class="text-sm text-quiet">{{ t('ledger.words') }}</p>
    <p v-if="lines.length === 0" class="mt-2">{{ t('ledger.empty') }}</p>
    <div v-else class="mt-2 overflow-x-auto">
      <table class="sheet w-full text-sm">
        <thead class="text-left">
          <tr>
            <th class="p-2">{{ t('ledger.when') }}</th>
            <th class="p-2">{{ t('ledger.what') }}</th>
            <th class="p-2">{{ t('ledger.by') }}</th>
            <th class="p-2">{{ t('ledger.hash') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="line.id" class="border-t border-hairline align-top">
            <td class="p-2 whitespace-nowrap">
              {{ d(line.happened_at, { dateStyle: 'medium', timeStyle: 'short' }) }}
            </td>
            <td class="p-2">
              <strong>{{ te(`ledger.${line.type}`) ? t(`ledger.${line.type}`) : line.type }}</strong> {{ words(line) }}
            </td>
            <td class="p-2 whitespace-nowrap">{{ line.recorded_by }}</td>
            <td class="reading p-2 text-quiet" :title="line.hash">{{ line.hash.slice(0, 10) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
