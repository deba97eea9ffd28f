<script setup lang="ts">
import ShopFrame from './people/ShopFrame.vue';
</script>

<template>
  <RouterView v-slot="{ Component, route }">
    <component :is="Component" v-if="route.meta.bare" :key="route.path" />
    <ShopFrame v-else>
      <component :is="Component" :key="route.path" />
    </ShopFrame>
  </RouterView>
</template>
