<script setup lang="ts">
import type { Schemas } from '@/api/client';
import HoleGlyph from '@/ui/HoleGlyph.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useI18n } from 'vue-i18n';
import { useScope } from './useScope';

/** A permit on paper, the size of a card: whose, what the signature covers, until when, and where it stands in the ledger. */
defineProps<{ permit: Schemas['PermitRecord']; name: string; chain: Schemas['ChainProof'] }>();
const { t, d } = useI18n();
const { words } = useScope();
const SHOWN = 16;
</script>

<template>
  <article
    v-if="permit.signed_off"
    class="w-[92mm] border-2 border-ink p-3 text-[3.2mm] leading-snug"
    data-testid="card"
  >
    <div class="flex items-start gap-3">
      <HoleGlyph :stage="5" :held="false" :lapsed="null" :size="44" />
      <div>
        <p class="text-[4.4mm] leading-tight font-bold">{{ name }}</p>
        <p class="font-semibold">{{ permit.name }}</p>
      </div>
    </div>
    <p class="mt-2">
      <strong>{{ t('card.holder') }}</strong>
      {{ t('card.until', { until: d(permit.signed_off.valid_until, { dateStyle: 'medium' }) }) }}.
      {{ words(permit.signed_off.covers) }}.
    </p>
    <p class="mt-1">
      {{ t('card.signed', { by: permit.signed_off.by, at: d(permit.signed_off.at, { dateStyle: 'medium' }) }) }}
    </p>
    <p class="reading text-[2.6mm]">
      {{ t('card.proof', { count: chain.count, hash: chain.hash.slice(0, SHOWN) }) }} ·
      {{ chain.signature.slice(0, SHOWN) }}
    </p>
    <PrecedenceNote class="mt-1 text-[2.6mm]" />
  </article>
</template>
