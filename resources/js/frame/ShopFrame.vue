<script setup lang="ts">
import { api, must, speakFor } from '@/api/client';
import { useWaiting } from '@/competency/useWaiting';
import WaitingNote from '@/competency/WaitingNote.vue';
import { useLive } from '@/live/useLive';
import { queryClient } from '@/api/queries';
import { forgetOpened } from '@/api/worker';
import type { RuleMark } from '@/ui/rule';
import SteelRule from '@/ui/SteelRule.vue';
import { useTheme } from '@/ui/useTheme';
import { useAction } from '@/ui/useAction';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import OutboxBar from '@/people/OutboxBar.vue';
import LeftAlone from '@/people/LeftAlone.vue';
import { meQuery, useMe } from '@/api/useMe';

/** The frame round every page: whose it is, and the rule with the rooms as its long graduations. */
const { me, person, teaches, leads, audits } = useMe();
/** Whoever teaches or audits hears of the whole shop, a learner of their own record. */
useLive(
  computed(() => (person.value === null ? null : teaches.value || audits.value ? 'shop' : `person-${person.value.id}`)),
);
const waiting = useWaiting();
const { t } = useI18n();
const { chosen, shown } = useTheme();
const route = useRoute();
const router = useRouter();

const rooms = computed<RuleMark[]>(() =>
  teaches.value
    ? [
        { key: 'today', label: t('room.today'), to: { name: 'today' }, count: waiting.look.value },
        { key: 'teaching', label: t('room.teaching'), to: { name: 'warm-up' } },
        { key: 'planner', label: t('room.planner'), to: { name: 'planner' } },
        { key: 'workshop', label: t('room.workshop'), to: { name: 'workshop' } },
        ...(leads.value ? [{ key: 'records', label: t('room.records'), to: { name: 'changes' } }] : []),
      ]
    : audits.value
      ? [{ key: 'records', label: t('room.records'), to: { name: 'changes' } }]
      : [
          { key: 'path', label: t('room.path'), to: { name: 'path' } },
          { key: 'logbook', label: t('room.logbook'), to: { name: 'logbook' } },
          { key: 'planner', label: t('room.planner'), to: { name: 'planner' } },
        ],
);
/** Every page of a room lies under the room's own path. */
const current = computed(() => {
  const first = route.path.split('/')[1] ?? '';
  return rooms.value.some((room) => room.key === first) ? first : null;
});

const changeUnits = useAction(
  (units: 'mm' | 'in') => must(api.PATCH('/api/people/me', { body: { units } })),
  () => queryClient.invalidateQueries({ queryKey: meQuery.queryKey }),
);
const signOut = useAction(
  () => {
    // Also where the server cannot be told: what was kept here is gone.
    forgetOpened();
    return must(api.DELETE('/api/people/session'));
  },
  async () => {
    speakFor(null);
    queryClient.clear();
    await router.push({ name: 'sign-in' });
  },
);
</script>

<template>
  <div class="min-h-screen">
    <a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-sheet focus:p-3">{{
      t('ui.skip')
    }}</a>
    <header class="print:hidden">
      <div class="mx-auto flex max-w-[1400px] flex-wrap items-center gap-x-5 gap-y-1 px-5 pt-2">
        <RouterLink :to="{ name: 'home' }" class="flex min-h-12 items-center gap-2 text-ink no-underline">
          <img :src="'/icon.svg'" alt="" width="28" height="28" />
          <span class="text-lg font-bold" style="font-stretch: 80%">Mill Step</span>
        </RouterLink>
        <RouterLink
          :to="{ name: 'account' }"
          class="ml-auto inline-flex min-h-12 items-center px-1 font-semibold text-ink underline underline-offset-4"
          >{{ person?.name }}</RouterLink
        >
        <span class="text-sm text-quiet">{{ person ? t(`role.${person.role}`) : '' }}</span>
        <div class="flex" role="group" :aria-label="t('ui.units')">
          <button
            v-for="unit in ['mm', 'in'] as const"
            :key="unit"
            type="button"
            class="min-h-12 min-w-12 border border-quiet px-3 font-mono first:border-r-0"
            :class="person?.units === unit ? 'bg-ink text-paper' : 'bg-sheet'"
            :aria-pressed="person?.units === unit"
            @click="changeUnits.run(unit)"
          >
            {{ unit }}
          </button>
        </div>
        <button
          type="button"
          class="min-h-12 px-3 underline underline-offset-4"
          @click="chosen = shown === 'dark' ? 'light' : 'dark'"
        >
          {{ shown === 'dark' ? t('ui.light') : t('ui.dark') }}
        </button>
        <button type="button" class="min-h-12 px-3 underline underline-offset-4" @click="signOut.run(undefined)">
          {{ t('people.signOut') }}
        </button>
      </div>
      <SteelRule class="mt-1" :marks="rooms" :current="current" :label="t('ui.rooms')" />
    </header>
    <main id="main" tabindex="-1" class="outline-none mx-auto max-w-[1400px] px-5 py-6 print:p-0"><slot /></main>
    <WaitingNote v-if="teaches" />
    <OutboxBar />
    <LeftAlone v-if="me?.idle_minutes" :minutes="me.idle_minutes" @leave="signOut.run(undefined)" />
  </div>
</template>
