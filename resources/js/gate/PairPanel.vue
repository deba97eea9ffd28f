<script setup lang="ts">
import { api, must, speakFor } from '@/api/client';
import { queryClient } from '@/api/queries';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useMutation, useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
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
/** Whoever may pair it sees what it would be paired with; nobody else is told what the shop has. */
const machines = useQuery({
  queryKey: ['machines'],
  queryFn: () => must(api.GET('/api/workshop/machines')),
  enabled: teaches,
});
const found = computed(() => machines.data.value?.find(({ slug }) => slug === props.machine));
const unknown = computed(() => machines.data.value !== undefined && found.value === undefined);
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
    <template v-if="unknown">
      <p class="mt-3 font-semibold text-no" role="alert">✕ {{ t('gate.noMachine', { machine }) }}</p>
      <RouterLink :to="{ name: 'workshop' }" class="inline-flex min-h-12 items-center font-semibold">{{
        t('workshop.tabs.machines')
      }}</RouterLink>
    </template>
    <template v-else-if="teaches">
      <p v-if="found" class="mt-3 text-2xl font-bold">{{ found.name }}</p>
      <p v-if="found && found.permits.length === 0" class="mt-2 border-2 border-supervised p-3 font-semibold">
        ▲ {{ t('gate.noPermit') }}
      </p>
      <p class="mt-2 font-semibold">{{ t('gate.pairSignsOut', { name: person?.name ?? '' }) }}</p>
      <BigButton class="mt-4" tone="main" :busy="pair.isPending.value" @click="pair.mutate()">{{
        t('gate.pair')
      }}</BigButton>
      <RouterLink :to="{ name: 'workshop' }" class="ml-5 inline-flex min-h-12 items-center">{{
        t('gate.leave')
      }}</RouterLink>
    </template>
    <RouterLink
      v-else
      :to="{ name: 'sign-in', query: { next: `/gate/${machine}` } }"
      class="mt-4 inline-flex min-h-12 items-center font-semibold"
      >{{ t('gate.pairSignIn') }}</RouterLink
    >
    <ErrorNote class="mt-3" :error="pair.error.value" @retry="pair.mutate()" />
  </div>
</template>
