<script setup lang="ts">
import { api, must, speakFor } from '@/api/client';
import { queryClient } from '@/api/queries';
import { useMe } from '@/people/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useMutation } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';
import { v7 as uuid } from 'uuid';

/**
 * Pairs this screen with its machine. Whoever does it is signed out here by the same press, so that nobody's session stays
 * behind on a screen that everybody touches; Back leads to the door.
 */
const props = defineProps<{ machine: string }>();
const emit = defineEmits<{ paired: [token: string] }>();
const { t } = useI18n();
const { person, teaches } = useMe();
const id = uuid();
const pair = useMutation({
  mutationFn: () =>
    must(
      api.POST('/api/gate/machines/{machine}/devices', {
        params: { path: { machine: props.machine } },
        body: { id, name: t('gate.screenName'), here: true },
      }),
    ),
  onSuccess: (paired) => {
    speakFor(null);
    emit('paired', paired.token);
    queryClient.clear();
    // What this tab remembers of the shop goes too.
    window.location.replace(`/gate/${props.machine}`);
  },
});
</script>

<template>
  <div class="m-auto max-w-xl p-8">
    <h1>{{ t('gate.pairTitle') }}</h1>
    <p class="mt-2">{{ t('gate.pairWords') }}</p>
    <template v-if="teaches">
      <p class="mt-2 font-semibold">{{ t('gate.pairSignsOut', { name: person?.name ?? '' }) }}</p>
      <BigButton class="mt-4" tone="main" :busy="pair.isPending.value" @click="pair.mutate()">{{
        t('gate.pair')
      }}</BigButton>
      <RouterLink :to="{ name: 'workshop' }" class="ml-5 inline-block py-3">{{ t('gate.leave') }}</RouterLink>
    </template>
    <RouterLink
      v-else
      :to="{ name: 'sign-in', query: { next: `/gate/${machine}` } }"
      class="mt-4 inline-block py-3 font-semibold"
      >{{ t('gate.pairSignIn') }}</RouterLink
    >
    <ErrorNote class="mt-3" :error="pair.error.value" @retry="pair.mutate()" />
  </div>
</template>
