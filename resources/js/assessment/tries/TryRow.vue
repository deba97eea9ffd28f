<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { TRY_SHAPE } from '@/assessment/results';

/** One try: what it came to, and whatever happened on the way there. */
const props = defineProps<{ tried: Schemas['Tries']['tries'][number] }>();
const { t, d } = useI18n();
const MINUTE = 60;
const HOUR = 3600;
const DAY = 86_400;
function span(seconds: number): string {
  if (seconds < MINUTE) return t('tries.seconds', { n: seconds });
  if (seconds < HOUR) return t('tries.minutes', { n: Math.round(seconds / MINUTE) });
  return seconds < DAY
    ? t('tries.hours', { n: Math.round(seconds / HOUR) })
    : t('tries.days', { n: Math.round(seconds / DAY) });
}
const when = (at: string) => d(at, { dateStyle: 'medium', timeStyle: 'short' });
const way = computed(() => {
  const one = props.tried;
  return [
    one.opened_by === one.assessor ? '' : t('tries.opened', { by: one.opened_by }),
    one.stopped > 0 ? t('tries.stoppedTimes', one.stopped) : '',
    one.undone > 0 ? t('tries.undone', one.undone) : '',
    ...one.reopened.map(({ at, by }) => t('tries.reopened', { at: when(at), by })),
    one.clock_s > 0 ? t('tries.clock', { time: span(one.clock_s) }) : '',
    one.second ? t('tries.watched', { by: one.second }) : '',
    one.answered === null ? '' : t(one.answered ? 'tries.agrees' : 'tries.disagrees'),
    one.appeal === null ? '' : t(`tries.appeal.${one.appeal}`),
  ].filter(Boolean);
});
</script>

<template>
  <tr class="border-t border-hairline">
    <td class="p-2 whitespace-nowrap">{{ when(tried.started_at) }}</td>
    <td class="p-2">
      <RouterLink
        :to="{ name: 'learner', params: { id: tried.learner.id } }"
        class="inline-flex min-h-12 items-center font-semibold"
        >{{ tried.learner.name }}</RouterLink
      >
    </td>
    <td class="p-2">
      <RouterLink :to="{ name: 'sheet', params: { id: tried.id } }" class="inline-flex min-h-12 items-center">{{
        tried.sheet.title
      }}</RouterLink>
      <span class="block text-sm text-quiet">{{ tried.sheet.material }}</span>
      <span class="block text-sm text-quiet">{{ [tried.assessor, tried.machine].filter(Boolean).join(', ') }}</span>
    </td>
    <td class="p-2">
      <strong :class="TRY_SHAPE[tried.ended].tone"
        >{{ TRY_SHAPE[tried.ended].shape }} {{ t(`tries.end.${tried.ended}`) }}</strong
      >
      <span v-if="tried.score_percent !== null" class="reading ml-2">{{ tried.score_percent.toFixed(1) }} %</span>
      <template v-if="tried.ended === 'put_away'">
        <span class="block text-sm">
          {{ tried.because ? t(`sheet.putAwayKind.${tried.because}`) : t('tries.from') }}
          <q v-if="tried.words">{{ tried.words }}</q>
        </span>
        <span class="block text-sm text-quiet">
          {{ tried.counts ? t('tries.marks', tried.marks) : t('tries.noTry')
          }}<template v-if="tried.put_away_by">, {{ t('tries.putAwayBy', { by: tried.put_away_by }) }}</template>
        </span>
      </template>
    </td>
    <td class="p-2 text-sm">
      <span v-for="line in way" :key="line" class="block">{{ line }}</span>
    </td>
  </tr>
</template>
