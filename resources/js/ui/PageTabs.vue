<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router';

/** The pages of one room. */
defineProps<{ tabs: { key: string; label: string; to: RouteLocationRaw }[]; current: string; label: string }>();
</script>

<template>
  <nav :aria-label="label" class="print:hidden">
    <ul class="flex flex-wrap gap-x-1 border-b border-quiet">
      <li v-for="tab in tabs" :key="tab.key">
        <RouterLink
          :to="tab.to"
          class="-mb-px inline-flex min-h-12 items-center border-b-4 px-4 no-underline"
          :class="
            tab.key === current
              ? 'border-blue font-bold text-blue'
              : 'border-transparent text-ink hover:border-hairline'
          "
          :aria-current="tab.key === current ? 'page' : undefined"
          >{{ tab.label }}</RouterLink
        >
      </li>
    </ul>
  </nav>
</template>
