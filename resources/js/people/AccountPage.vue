<script setup lang="ts">
import BigButton from '@/ui/BigButton.vue';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import PinDialog from './PinDialog.vue';
import SecondFactorPanel from './SecondFactorPanel.vue';
import SessionList from './SessionList.vue';
import { useMe } from './useMe';

/** One's own account: signing PIN, second factor, where one is signed in. */
const { t } = useI18n();
const { person, teaches } = useMe();
const pin = ref(false);
</script>

<template>
  <div class="mx-auto max-w-3xl space-y-8">
    <header>
      <h1>{{ t('people.account') }}</h1>
      <p v-if="person" class="text-quiet">{{ person.name }}, {{ person.email }}</p>
    </header>
    <section v-if="teaches && person" class="flex flex-wrap items-center gap-4 border-t border-hairline pt-4">
      <div class="flex-1">
        <h2>{{ t('people.pin.title') }}</h2>
        <p>{{ t(`people.pin.${person.pin}`) }}</p>
      </div>
      <BigButton @click="pin = true">{{ t('people.pin.set_it') }}</BigButton>
    </section>
    <SecondFactorPanel v-if="person" :state="person.second_factor" />
    <SessionList />
    <PinDialog v-if="pin" @close="pin = false" />
  </div>
</template>
