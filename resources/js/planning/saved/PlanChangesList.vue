<script setup lang="ts">
import { useSay } from '@/language/useSay';
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** What differs between two plans, operation by operation. */
const props = defineProps<{ changes: Schemas['PlanChanges']; all?: boolean }>();
type Change = Schemas['PlanChanges']['operations'][number]['changes'][number];
const { t } = useI18n();
const { say, sayAll } = useSay();
const { length, number } = useUnits();
/** Where a figure changes, the sentence about it need not be read too; nor a reading twice, once as the scale shows it. */
function told(changes: Change[]): Change[] {
  const scale = changes.some((change) => change.field === 'scale_reading');
  return changes.filter(({ field }) => !(field === 'why' && changes.length > 1) && !(field === 'reading_mm' && scale));
}
const lines = computed(() =>
  props.changes.operations
    .filter((line) => props.all || line.state !== 'same')
    .map((line) => ({ ...line, changes: told(line.changes) })),
);
type Value = Schemas['Said'];
function shown(field: string, value: Value): string {
  if (value === null) return '—';
  if (typeof value === 'number' && field.endsWith('_mm')) return length(value, 2);
  if (typeof value === 'number' && field === 'feed_mm_rev') return t('planning.aTurn', { length: length(value, 3) });
  if (typeof value === 'number' && field === 'rpm') return `${Math.round(value)} rpm`;
  return saying(value);
}
/** One sentence or several. */
function saying(value: Value): string {
  if (Array.isArray(value)) return sayAll(value);
  return typeof value === 'number' ? number(value) : say(value);
}
const SIGNS = { same: '=', changed: '≠', added: '+', removed: '−' };
</script>

<template>
  <div>
    <table v-if="lines.length > 0" class="sheet w-full text-left">
      <tbody>
        <tr v-for="(line, index) in lines" :key="index" class="border-t border-hairline align-top first:border-t-0">
          <th class="p-2 whitespace-nowrap" scope="row">
            <span class="reading mr-1 text-bronze" :title="t(`planning.state.${line.state}`)">{{
              SIGNS[line.state]
            }}</span>
            {{ t(`planning.kind.${line.kind}`) }}
          </th>
          <td v-if="line.state === 'added'" class="p-2">{{ t('planning.comesIn', { tool: say(line.after) }) }}</td>
          <td v-else-if="line.state === 'removed'" class="p-2">
            {{ t('planning.goesOut', { tool: say(line.before) }) }}
          </td>
          <td v-else-if="line.state === 'same'" class="p-2 text-quiet">{{ say(line.after) }}</td>
          <td v-else class="p-2">
            <p v-for="change in line.changes" :key="change.field">
              <span class="mr-2 text-quiet">{{ t(`planning.field.${change.field}`) }}:</span>
              <template v-if="change.field === 'why'">
                <span class="block text-sm text-quiet">− {{ saying(change.before) }}</span>
                <span class="block text-sm">+ {{ saying(change.after) }}</span>
              </template>
              <template v-else>
                <span class="reading line-through decoration-quiet">{{ shown(change.field, change.before) }}</span> →
                <span class="reading font-semibold">{{ shown(change.field, change.after) }}</span>
              </template>
            </p>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-for="(words, index) in changes.missing_after" :key="index" class="mt-1 text-no">■ {{ say(words) }}</p>
    <p v-for="(words, index) in changes.missing_before" :key="index" class="mt-1 text-alone">
      ● {{ t('planning.noLonger', { words: say(words) }) }}
    </p>
  </div>
</template>
