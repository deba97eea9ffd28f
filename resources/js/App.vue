<script setup lang="ts">
import ShopFrame from './people/ShopFrame.vue';
import SignInAgain from './people/SignInAgain.vue';
import { sessionLost, watchSession } from './people/useSession';

watchSession();
</script>

<template>
  <RouterView v-slot="{ Component, route }">
    <component :is="Component" v-if="route.meta.bare" :key="route.path" />
    <ShopFrame v-else>
      <component :is="Component" :key="route.path" />
    </ShopFrame>
    <SignInAgain v-if="sessionLost && !route.meta.bare" />
  </RouterView>
</template>
