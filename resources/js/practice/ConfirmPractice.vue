<script setup lang="ts">
import AskDialog from '@/ui/AskDialog.vue';
import { useCommand } from '@/ui/useCommand';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** Practice that is about to be confirmed: one entry, or those that are ticked of many. It goes into the record. */
export interface WaitingPractice {
  id: string;
  learner: string;
  what: string;
  facts: string;
}
const props = defineProps<{ entries: WaitingPractice[] }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const several = computed(() => props.entries.length > 1);
const ticked = ref<string[]>(props.entries.length === 1 ? props.entries.map(({ id }) => id) : []);
const all = computed({
  get: () => ticked.value.length === props.entries.length,
  set: (on) => (ticked.value = on ? props.entries.map(({ id }) => id) : []),
});

const confirm = useCommand((entry: WaitingPractice) => ({
  about: `decision:${entry.id}`,
  method: 'POST',
  path: `/api/practice/entries/${entry.id}/decision`,
  body: { confirm: true },
  label: { key: 'outbox.decision', words: { what: entry.what } },
}));
async function confirmTicked() {
  const chosen = props.entries.filter(({ id }) => ticked.value.includes(id));
  await Promise.all(chosen.map((entry) => confirm.run(entry)));
  if (confirm.error.value === null) emit('close');
}
</script>

<template>
  <AskDialog
    :title="t('practice.confirmTitle', entries.length)"
    :label="t('practice.confirmTicked', ticked.length)"
    :busy="confirm.busy.value"
    :disabled="ticked.length === 0"
    :error="confirm.error.value"
    @yes="confirmTicked"
    @close="emit('close')"
  >
    <p class="text-quiet">{{ t('practice.confirmWords') }}</p>
    <label v-if="several" class="flex min-h-12 items-center gap-3 font-semibold"
      ><input v-model="all" type="checkbox" class="size-6" /> {{ t('practice.tickAll') }}</label
    >
    <ul class="max-h-[50vh] overflow-y-auto border border-hairline">
      <li v-for="entry in entries" :key="entry.id" class="border-t border-hairline first:border-t-0">
        <label class="flex min-h-14 items-center gap-3 px-3 py-1">
          <input v-if="several" v-model="ticked" type="checkbox" class="size-6 shrink-0" :value="entry.id" />
          <span class="min-w-0 break-words">
            <strong>{{ entry.learner }}</strong>: {{ entry.what }}
            <span class="block text-sm text-quiet">{{ entry.facts }}</span>
          </span>
        </label>
      </li>
    </ul>
  </AskDialog>
</template>
