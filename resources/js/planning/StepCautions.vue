<script setup lang="ts">
/** The cautions of an operation: they stand before it. */
defineProps<{ cautions: string[] }>();
</script>

<template>
  <p
    v-for="caution in cautions"
    :key="caution"
    class="border-b border-hairline bg-caution px-4 py-1.5 font-semibold text-on-caution"
  >
    ◇ {{ caution }}
  </p>
</template>
