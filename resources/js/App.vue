<script setup lang="ts">
import { computed } from 'vue';
import { usePageTitle } from './ui/usePageTitle';
import NotYours from './people/NotYours.vue';
import ShopFrame from './frame/ShopFrame.vue';
import SignInAgain from './people/SignInAgain.vue';
import { useMe } from './api/useMe';
import { mayOpen } from './people/mayOpen';
import { watchOffline } from './people/useOffline';
import { sessionLost, watchSession } from './people/useSession';

watchSession();
watchOffline();
const { me, person } = useMe();
usePageTitle(computed(() => me.value?.shop.name));
</script>

<template>
  <RouterView v-slot="{ Component, route }">
    <component :is="Component" v-if="route.meta.bare" :key="route.path" />
    <ShopFrame v-else>
      <NotYours v-if="person && !mayOpen(route.meta, person.role)" :roles="route.meta.roles ?? []" />
      <component :is="Component" v-else :key="route.path" />
    </ShopFrame>
    <SignInAgain v-if="sessionLost && !route.meta.bare" />
  </RouterView>
</template>
