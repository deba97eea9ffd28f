<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';

/** What a signature rests on: who assessed what, and what nobody else has seen. */
defineProps<{ restsOn: Schemas['SignOffProposal']['rests_on'] }>();
const { t, d } = useI18n();
</script>

<template>
  <section v-if="restsOn.sheets.length > 0 || restsOn.one_alone" class="mt-4 border-t border-hairline pt-3">
    <h3 class="font-semibold">{{ t('sign.rests') }}</h3>
    <p v-for="sheet in restsOn.sheets" :key="sheet.attempt">
      <RouterLink
        :to="{ name: 'sheet', params: { id: sheet.attempt } }"
        class="inline-flex min-h-12 items-center print:min-h-0"
        >{{
          t('sign.assessedBy', { sheet: sheet.code, by: sheet.by, at: d(sheet.at, { dateStyle: 'medium' }) })
        }}</RouterLink
      >
      <span v-if="sheet.second_open" class="block font-semibold text-supervised">‖ {{ t('sign.secondOpen') }}</span>
    </p>
    <p v-if="restsOn.places">
      {{
        t('sign.places', {
          what: restsOn.places.what.map((one) => t(`sign.place.${one}`)).join(', '),
          place: restsOn.places.place,
          by: restsOn.places.by,
          at: d(restsOn.places.at, { dateStyle: 'medium' }),
        })
      }}
    </p>
    <p v-else-if="restsOn.sheets.length > 0" class="font-semibold text-supervised">▲ {{ t('sign.noPlaces') }}</p>
    <p v-if="restsOn.one_alone" class="font-semibold text-supervised" data-testid="one-alone">
      ▲ {{ t('sign.oneAlone', { name: restsOn.one_alone }) }}
    </p>
  </section>
</template>
