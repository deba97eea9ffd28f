<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';

/** What holds at every such step: one quiet line of signs with their words. */
defineProps<{ standing: Schemas['StandingCaution'][] }>();
const { say } = useSay();

/** Drawn in a square of 16, in lines. */
const SIGNS: Record<Schemas['StandingCaution'], string> = {
  eyes: 'M1 6h14M2 6v3a3 3 0 0 0 5 1l1-2 1 2a3 3 0 0 0 5-1V6',
  key_out: 'M8 15V7M4 4h8M5 7h6M4 2v4M12 2v4',
  held: 'M2 14h12M3 14V6h3v8M10 14V6h3v8M6 9h4M6 12h4',
  standstill: 'M5 2h6l3 3v6l-3 3H5l-3-3V5zM6 6v4M10 6v4',
  brush: 'M11 2l3 3-5 5-3-3zM6 7l3 3-3 4H2v-4z',
};
</script>

<template>
  <ul v-if="standing.length > 0" class="flex flex-wrap gap-x-4 gap-y-0.5 px-4 pt-2 text-sm text-quiet">
    <li v-for="each in standing" :key="each" class="flex items-center gap-1.5">
      <svg viewBox="0 0 16 16" class="size-4 shrink-0" aria-hidden="true">
        <path :d="SIGNS[each]" fill="none" stroke="currentColor" stroke-width="1.4" stroke-linejoin="round" />
      </svg>
      {{ say({ code: `planning.standing.${each}`, terms: {} }) }}
    </li>
  </ul>
</template>
