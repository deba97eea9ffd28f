<script setup lang="ts">
import type { Schemas } from '@/api/client';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useCommand } from '@/ui/useCommand';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import FoundBadDialog from './FoundBadDialog.vue';

/** What is looked at at a machine before it first turns that day: one tap each, and another one where something is wrong. */
type Part = Schemas['DayPart'];
const props = defineProps<{ machine: { slug: string; name: string; checked_today: Schemas['CheckedToday'] } }>();
const { t, d } = useI18n();
const PARTS: Part[] = ['guards', 'stop'];
const bad = ref<Part | null>(null);
const say = useCommand((part: Part, id) => ({
  about: `day:${id}`,
  method: 'POST',
  path: `/api/workshop/machines/${props.machine.slug}/day-checks`,
  body: { id, part, good: true },
  label: { key: 'outbox.day', words: { what: props.machine.name } },
}));
const found = (part: Part) => props.machine.checked_today[part];
const when = ({ at, by }: NonNullable<Schemas['DayChecked']>) =>
  t('day.at', { time: d(at, { timeStyle: 'short' }), by });
</script>

<template>
  <div class="text-sm">
    <p class="font-semibold">{{ t('day.title') }}</p>
    <p v-if="!found('stop')?.good" class="text-supervised">▲ {{ t('day.caution') }}</p>
    <ul>
      <li v-for="part in PARTS" :key="part" class="flex min-h-12 flex-wrap items-center gap-x-3">
        <template v-if="found(part)?.good">
          <span class="text-alone">✓ {{ t(`day.${part}`) }}: {{ t('day.good') }}</span>
          <span class="text-quiet">{{ when(found(part)!) }}</span>
        </template>
        <template v-else>
          <span class="basis-full">○ {{ t(`day.${part}`) }}: {{ found(part) ? t('day.bad') : t('day.notYet') }}</span>
          <button
            type="button"
            class="min-h-12 border border-quiet px-4 font-semibold"
            :disabled="say.busy.value"
            @click="say.run(part)"
          >
            <span class="sr-only">{{ machine.name }}, {{ t(`day.${part}`) }}: </span>✓ {{ t('day.sayGood') }}
          </button>
          <button
            type="button"
            class="min-h-12 px-2 text-no underline underline-offset-4"
            :aria-label="`${machine.name}: ${t(`day.${part}`)}, ${t('day.sayBad')}`"
            @click="bad = part"
          >
            {{ t('day.sayBad') }}
          </button>
        </template>
      </li>
    </ul>
    <ErrorNote :error="say.error.value" />
    <FoundBadDialog v-if="bad" :machine="machine" :part="bad" @close="bad = null" />
  </div>
</template>
