<script setup lang="ts">
import { computed } from 'vue';
import { usePageTitle } from './ui/usePageTitle';
import ShopFrame from './people/ShopFrame.vue';
import SignInAgain from './people/SignInAgain.vue';
import { useMe } from './people/useMe';
import { sessionLost, watchSession } from './people/useSession';

watchSession();
const { me } = useMe();
usePageTitle(computed(() => me.value?.shop.name));
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
