<script setup lang="ts">
import { useSay, type Words } from '@/language/useSay';

/** The cautions of an operation: they stand before it. */
defineProps<{ cautions: Words[] }>();
const { say } = useSay();
</script>

<template>
  <p
    v-for="(caution, index) in cautions"
    :key="index"
    class="border-b border-hairline bg-caution px-4 py-1.5 font-semibold text-on-caution"
  >
    ◇ {{ say(caution) }}
  </p>
</template>
