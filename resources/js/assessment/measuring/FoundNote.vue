<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';
import { VERDICT_SHAPE } from '@/assessment/results';

/** What the readings of a criterion came to: the figure, the verdict, why, and what then. */
defineProps<{ found: Schemas['PartFound'] }>();
const { t } = useI18n();
const { say } = useSay();
const { length } = useUnits();
const tones = { in: 'text-alone', out: 'text-no', doubtful: 'text-supervised' } as const;
</script>

<template>
  <div>
    <p class="text-xl font-bold" :class="tones[found.verdict]">
      {{ VERDICT_SHAPE[found.verdict] }} {{ t(`sheet.judged.${found.verdict}`) }}
      <span v-if="found.value_mm !== null" class="reading font-normal">{{ length(found.value_mm, 3) }}</span>
    </p>
    <p class="text-sm">{{ say(found.why) }}</p>
    <p v-if="found.then" class="text-sm font-semibold">{{ say(found.then) }}</p>
  </div>
</template>
