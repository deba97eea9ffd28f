<script setup lang="ts">
import { flush, throwAway, tryAgain, useOutbox } from '@/api/outbox';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** What is not with the server: on its way, or refused and kept. Nothing to say when all is saved. */
const { t } = useI18n();
const { commands, refused, stuck } = useOutbox();
const waiting = computed(() => commands.value.filter((command) => command.refused === null));
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
