<script setup lang="ts">
import { diffLines } from 'diff';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** Two texts side by side: what went and what came. What stayed is folded to a few lines around it. */
const props = defineProps<{ before: string; after: string; beforeLabel: string; afterLabel: string }>();
const { t } = useI18n();
const AROUND = 2;
interface Row {
  before: string | null;
  after: string | null;
  same: boolean;
}
const rows = computed<Row[]>(() => {
  const all: Row[] = [];
  let gone: string[] = [];
  const linesOf = (value: string) => value.replace(/\n$/, '').split('\n');
  const flush = (came: string[]) => {
    for (let place = 0; place < Math.max(gone.length, came.length); place++)
      all.push({ before: gone[place] ?? null, after: came[place] ?? null, same: false });
    gone = [];
  };
  for (const part of diffLines(props.before, props.after)) {
    if (part.removed) gone = linesOf(part.value);
    else if (part.added) flush(linesOf(part.value));
    else {
      flush([]);
      all.push(...linesOf(part.value).map((line) => ({ before: line, after: line, same: true })));
    }
  }
  flush([]);
  return all;
});
/** Whether a row is near enough to a change to be shown. */
const near = computed(() =>
  rows.value.map((_, place) =>
    rows.value.slice(Math.max(0, place - AROUND), place + AROUND + 1).some((row) => !row.same),
  ),
);
const shown = computed(() =>
  rows.value.flatMap((row, place) => {
    if (near.value[place]) return [row];
    // One sign for all that is left out in one place.
    return near.value[place - 1] || place === 0 ? [null] : [];
  }),
);
const none = computed(() => rows.value.every((row) => row.same));
</script>

<template>
  <p v-if="none" class="text-quiet">{{ t('writing.noDifference') }}</p>
  <div v-else class="overflow-x-auto" tabindex="0" :aria-label="t('writing.difference')" role="region">
    <table class="w-full min-w-[40rem] table-fixed text-sm">
      <thead>
        <tr>
          <th scope="col" class="w-1/2 pb-1 text-left">{{ beforeLabel }}</th>
          <th scope="col" class="w-1/2 pb-1 pl-3 text-left">{{ afterLabel }}</th>
        </tr>
      </thead>
      <tbody class="align-top">
        <tr v-for="(row, place) in shown" :key="place">
          <td v-if="row === null" colspan="2" class="text-quiet">⋮</td>
          <template v-else>
            <td :class="{ went: !row.same && row.before !== null }">
              <template v-if="!row.same && row.before !== null">− </template>{{ row.before }}
            </td>
            <td class="pl-3" :class="{ came: !row.same && row.after !== null }">
              <template v-if="!row.same && row.after !== null">+ </template>{{ row.after }}
            </td>
          </template>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
td {
  overflow-wrap: anywhere;
  white-space: pre-wrap;
}
.went {
  border-left: 3px solid var(--no);
  padding-left: 0.4rem;
  background: color-mix(in srgb, var(--no) 8%, transparent);
}
.came {
  border-left: 3px solid var(--alone);
  background: color-mix(in srgb, var(--alone) 10%, transparent);
}
</style>
