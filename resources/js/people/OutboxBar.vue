<script setup lang="ts">
import { flush, throwAway, tryAgain, useOutbox } from '@/api/outbox';
import { useNow } from '@vueuse/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** What is not with the server: on its way, or refused and kept. Nothing to say when all is saved. */
const { t } = useI18n();
const { commands, refused, stuck, nextTry } = useOutbox();
const waiting = computed(() => commands.value.filter((command) => command.refused === null));
const NAMED = 3;
/** What waits, by name: the first few, and how many more. */
const names = computed(() => {
  const said = waiting.value.slice(0, NAMED).map((command) => t(command.label.key, command.label.words ?? {}));
  const more = waiting.value.length - said.length;
  return [...said, ...(more > 0 ? [t('outbox.more', more)] : [])].join('; ');
});
const now = useNow({ interval: 1_000 });
const inSeconds = computed(() =>
  nextTry.value === null ? null : Math.max(1, Math.ceil((nextTry.value - now.value.getTime()) / 1_000)),
);
</script>

<template>
  <section
    v-if="refused.length > 0 || (waiting.length > 0 && stuck)"
    class="sticky bottom-0 z-20 border-t-2 border-no bg-sheet px-5 py-2 print:hidden"
    role="status"
    data-testid="outbox"
  >
    <div class="mx-auto flex max-w-[1400px] flex-wrap items-center gap-x-5 gap-y-2">
      <p v-if="waiting.length > 0" class="flex-1 font-semibold">
        ○ {{ t('outbox.waiting', waiting.length) }} {{ stuck ? t(`outbox.stuck.${stuck}`) : '' }}
        <span class="block text-sm font-normal text-quiet">
          {{ names }}<template v-if="inSeconds !== null">. {{ t('outbox.next', { seconds: inSeconds }) }}</template>
        </span>
        <button type="button" class="min-h-12 px-3 underline underline-offset-4" @click="flush()">
          {{ t('outbox.now') }}
        </button>
      </p>
      <ul v-if="refused.length > 0" class="w-full">
        <li v-for="command in refused" :key="command.id" class="flex flex-wrap items-center gap-x-4">
          <span class="flex-1">
            <strong class="text-no">✕ {{ t('outbox.notSaved') }}</strong>
            {{ t(command.label.key, command.label.words ?? {}) }}: {{ command.refused?.message }}
          </span>
          <button type="button" class="min-h-12 px-3 underline underline-offset-4" @click="tryAgain(command.id)">
            {{ t('ui.retry') }}
          </button>
          <button type="button" class="min-h-12 px-3 underline underline-offset-4" @click="throwAway(command.id)">
            {{ t('outbox.throwAway') }}
          </button>
        </li>
      </ul>
    </div>
  </section>
</template>
