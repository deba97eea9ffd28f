<script setup lang="ts">
import { api, deviceApi, must, Refused, type Schemas } from '@/api/client';
import { useMe } from '@/people/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { useLocalStorage, useNow } from '@vueuse/core';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import BadgeTray from './BadgeTray.vue';
import GateAnswer from './GateAnswer.vue';

/** The screen at the machine. Readable at two metres: one word, one shape, why, and what next. */
const props = defineProps<{ machine: string }>();
const { t } = useI18n();
const { me, teaches } = useMe();
const REFRESH_MS = 1_500;
const SHOWN_MS = 30_000;

const token = useLocalStorage(`millstep.gate.${props.machine}`, '');
const device = computed(() => deviceApi(token.value));
const screen = useQuery({
  queryKey: ['gate', props.machine, token],
  queryFn: () => must(device.value.GET('/api/gate/screen')),
  enabled: computed(() => token.value !== ''),
  refetchInterval: REFRESH_MS,
  retry: false,
});
const pair = useAction(
  () =>
    must(
      api.POST('/api/gate/machines/{machine}/devices', {
        params: { path: { machine: props.machine } },
        body: { name: t('gate.screenName') },
      }),
    ),
  (paired) => (token.value = paired.token),
);

const read = useAction((badge: string) =>
  must(device.value.POST('/api/gate/reads', { body: { id: uuid(), badge, companion_badge: companion.value || null } })),
);
const companion = ref('');
const now = useNow({ interval: 1_000 });
const lastRead = computed<Schemas['GateAnswer'] | null>(() => {
  const last = screen.data.value?.last_read ?? null;
  return last && now.value.getTime() - Date.parse(last.read_at) < SHOWN_MS ? last : null;
});
const revoked = computed(() => screen.error.value instanceof Refused && screen.error.value.status === 401);
/** What cannot be asked is a no: the gate never fails open. */
const unreachable = computed(() => screen.error.value !== null && !revoked.value);
</script>

<template>
  <main class="gate flex min-h-screen flex-col bg-paper">
    <template v-if="token === '' || revoked">
      <div class="m-auto max-w-xl p-8">
        <h1>{{ t('gate.pairTitle') }}</h1>
        <p class="mt-2">{{ t('gate.pairWords') }}</p>
        <BigButton v-if="teaches" class="mt-4" tone="main" :busy="pair.busy.value" @click="pair.run(undefined)">{{
          t('gate.pair')
        }}</BigButton>
        <RouterLink
          v-else
          :to="{ name: 'sign-in', query: { next: `/gate/${machine}` } }"
          class="mt-4 inline-block py-3 font-semibold"
          >{{ t('gate.pairSignIn') }}</RouterLink
        >
        <ErrorNote class="mt-3" :error="pair.error.value" @retry="pair.run(undefined)" />
      </div>
    </template>
    <template v-else>
      <header class="flex items-baseline gap-6 border-b border-quiet px-8 py-3 text-2xl">
        <strong>{{ screen.data.value?.machine.name ?? machine }}</strong>
        <span class="text-lg text-quiet">{{ screen.data.value?.machine.permits.join(', ') }}</span>
        <RouterLink v-if="teaches" :to="{ name: 'workshop' }" class="ml-auto text-base">{{
          t('gate.leave')
        }}</RouterLink>
      </header>
      <GateAnswer class="flex-1" :screen="screen.data.value" :read="lastRead" :unreachable="unreachable" />
      <BadgeTray
        v-if="me?.demo"
        v-model:companion="companion"
        :token="token"
        :busy="read.busy.value"
        @badge="read.run($event)"
      />
      <p class="px-8 py-2 text-quiet">{{ t('ui.precedence') }}</p>
    </template>
  </main>
</template>
