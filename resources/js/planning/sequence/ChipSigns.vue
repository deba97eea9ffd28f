<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import { useI18n } from 'vue-i18n';

/** What one sees and hears while it runs, what it comes from and what to do: first what is to be stopped for. */
defineProps<{ signs: Schemas['ChipSign'][] }>();
const { t } = useI18n();
const { say } = useSay();
</script>

<template>
  <details class="mt-1 print:hidden">
    <summary class="inline-flex min-h-12 cursor-pointer items-center font-semibold">
      ▸ {{ t('planning.signs') }}
    </summary>
    <dl class="mb-2 grid gap-y-2 border-l-4 border-hairline pl-3">
      <div v-for="sign in signs" :key="sign.sign">
        <dt class="font-semibold">{{ say(sign.sees) }}</dt>
        <dd>
          <span class="text-quiet">{{ say(sign.cause) }}</span> {{ say(sign.remedy) }}
        </dd>
      </div>
    </dl>
  </details>
</template>
