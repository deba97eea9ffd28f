<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useSay, type Words } from '@/language/useSay';
import StandingLine from './StandingLine.vue';

/** What stands before an operation: what can maim first and strongest, what this step adds, what always holds. */
defineProps<{ cautions: Words[]; dangers?: Words[]; standing?: Schemas['StandingCaution'][] }>();
const { say } = useSay();
</script>

<template>
  <p
    v-for="(danger, index) in dangers ?? []"
    :key="`danger-${index}`"
    class="border-y-2 border-no bg-sheet px-4 py-1.5 font-bold text-no"
  >
    ■ {{ say(danger) }}
  </p>
  <p
    v-for="(caution, index) in cautions"
    :key="index"
    class="border-b border-hairline bg-caution px-4 py-1.5 font-semibold text-on-caution"
  >
    ◇ {{ say(caution) }}
  </p>
  <StandingLine :standing="standing ?? []" />
</template>
