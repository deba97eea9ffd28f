<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** Who may assess and sign for a permit: since when, by whom, on what ground, until when, at which machines. */
const props = defineProps<{
  authorisations: Schemas['PermitDefinition']['authorisations'];
  people: Schemas['PersonName'][];
  machines: { id: number; name: string }[];
  signers: number[];
}>();
const { t, d } = useI18n();
const named = (all: { id: number; name: string }[], id: number) => all.find((one) => one.id === id)?.name ?? '';
const day = (at: string | null) => (at ? d(at, { dateStyle: 'medium' }) : '');
const lines = computed(() =>
  props.authorisations
    .filter((one) => props.signers.includes(one.person_id))
    .map((one) => ({
      id: one.person_id,
      words: [
        one.ground === null
          ? t('permits.authorisedOld', { name: named(props.people, one.person_id) })
          : t('permits.authorised', {
              name: named(props.people, one.person_id),
              from: day(one.from),
              by: one.by ?? '',
              ground: one.ground,
            }),
        one.until ? t('permits.authorisedEnds', { until: day(one.until) }) : '',
        one.machines
          ? t('permits.authorisedAt', { machines: one.machines.map((id) => named(props.machines, id)).join(', ') })
          : '',
      ]
        .filter(Boolean)
        .join(', '),
    })),
);
</script>

<template>
  <ul v-if="lines.length > 0" class="text-sm text-quiet" data-testid="authorisations">
    <li v-for="line in lines" :key="line.id">{{ line.words }}</li>
  </ul>
</template>
