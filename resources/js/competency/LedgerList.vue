<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import CorrectionDialog from './CorrectionDialog.vue';
import { useScope } from './useScope';

/** What happened, newest first, with the hash that ties each line to the one before it. */
defineProps<{ lines: Schemas['LedgerLine'][]; chain: Schemas['ChainProof']; learnerId: number; mayCorrect: boolean }>();
const { t, d, te } = useI18n();
const { words: scopeWords } = useScope();
const correcting = ref<Schemas['LedgerLine'] | null>(null);

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
  if (line.type === 'signed_off') said.push(scopeWords((details.scope ?? {}) as Schemas['Scope']));
  if (typeof details.ended === 'string' && te(`ledger.ended.${details.ended}`))
    said.push(t(`ledger.ended.${details.ended}`));
  if (line.type === 'sheet_put_away' && typeof details.because === 'string')
    said.push(t(`sheet.putAwayKind.${details.because}`));
  if (line.type === 'familiarised' && typeof details.because === 'string')
    said.push(t(`known.because.${details.because}`));
  if (line.type === 'shown' && Array.isArray(details.what))
    said.push(details.what.map((one) => t(`sign.place.${String(one)}`)).join(', '));
  if (typeof details.agrees === 'boolean') said.push(t(details.agrees ? 'ledger.agrees' : 'ledger.disagrees'));
  if (typeof details.answer === 'string') said.push(t(`sheet.word.${details.answer}`));
  if (typeof details.words === 'string') said.push(`“${details.words}”`);
  if (Array.isArray(details.second_view_open)) said.push(t('ledger.secondOpen'));
  if (details.one_alone === true) said.push(t('ledger.oneAlone'));
  if (line.type === 'exception_granted' && typeof details.kind === 'string') said.push(t(`exception.${details.kind}`));
  for (const text of [details.ground, details.evidence]) if (typeof text === 'string') said.push(`“${text}”`);
  if (details.confirmed === false) said.push(t('ledger.notConfirmed'));
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
          <tr
            v-for="line in lines"
            :key="line.id"
            class="border-t border-hairline align-top"
            :class="{ 'text-quiet': line.corrected }"
          >
            <td class="p-2 whitespace-nowrap">
              {{ d(line.happened_at, { dateStyle: 'medium', timeStyle: 'short' }) }}
            </td>
            <td class="p-2">
              <span :class="{ 'line-through': line.corrected }"
                ><strong>{{ te(`ledger.${line.type}`) ? t(`ledger.${line.type}`) : line.type }}</strong>
                {{ words(line) }}</span
              >
              <em v-if="line.corrected" class="ml-2">{{ t('ledger.takenBack') }}</em>
              <button
                v-else-if="mayCorrect"
                type="button"
                class="ml-2 min-h-12 px-2 underline underline-offset-4 print:hidden"
                @click="correcting = line"
              >
                {{ t('ledger.correct') }}
              </button>
            </td>
            <td class="p-2 whitespace-nowrap">{{ line.recorded_by }}</td>
            <td class="reading p-2 text-quiet" :title="line.hash">{{ line.hash.slice(0, 10) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mt-2 text-sm break-all text-quiet">
      {{ t('ledger.head', { count: chain.count, at: d(chain.at, { dateStyle: 'medium', timeStyle: 'short' }) }) }}
      <span class="reading">{{ chain.hash }}</span>
      <span class="hidden print:block"
        >{{ t('ledger.signature') }} <span class="reading">{{ chain.signature }}</span></span
      >
    </p>
    <CorrectionDialog
      v-if="correcting"
      :line="correcting"
      :what="`${t(`ledger.${correcting.type}`)} ${words(correcting)}`"
      :learner-id="learnerId"
      @close="correcting = null"
    />
  </section>
</template>
