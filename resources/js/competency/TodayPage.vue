<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import HoleGlyph from '@/ui/HoleGlyph.vue';
import PageState from '@/ui/PageState.vue';
import AlertList from '@/records/AlertList.vue';
import ClockNote from '@/records/ClockNote.vue';
import { useCommand } from '@/ui/useCommand';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import StageKey from './StageKey.vue';
import { useMe } from '@/api/useMe';
import SetUpPanel from '@/content/SetUpPanel.vue';
import LooksHere from '@/learning/LooksHere.vue';
import { finds } from '@/ui/find';
import { useNext } from '@/records/useNext';
import WaitingList from './WaitingList.vue';

const { t, d } = useI18n();
const { leads, me } = useMe();
const { all } = useNext();
const REFRESH_MS = 10_000;
const today = useQuery({
  queryKey: ['today'],
  queryFn: () => must(api.GET('/api/records/today')),
  refetchInterval: REFRESH_MS,
});
const presence = useCommand((present: boolean) => ({
  about: 'presence',
  method: 'PUT',
  path: '/api/gate/presence',
  body: { present },
  label: { key: 'outbox.presence' },
}));
const end = useCommand((turn: string) => ({
  about: `turn:${turn}`,
  method: 'POST',
  path: `/api/gate/turns/${turn}/end`,
  label: { key: 'outbox.turn' },
}));

const search = ref('');
const order = ref<'name' | 'stage'>('name');
const chosenPermit = ref('');
/** The permit that most learners are on their way to: the class is about that one. */
const busiest = computed(() => {
  const learners = today.data.value?.cohorts.flatMap((cohort) => cohort.learners) ?? [];
  const underWay = (code: string) =>
    learners.filter(({ standings }) => [2, 3, 4].includes(standings[code]?.stage ?? 0)).length;
  return [...(today.data.value?.permits ?? [])].sort((a, b) => underWay(b.code) - underWay(a.code))[0];
});
const permit = computed(
  () => today.data.value?.permits.find(({ code }) => code === chosenPermit.value) ?? busiest.value,
);
/** What is asked since a day only, of those who were known: each with who is still to do it. */
const due = computed(() => {
  const found = new Map<string, { key: string; need: Schemas['Need']; permit: string; names: string[] }>();
  for (const learner of today.data.value?.cohorts.flatMap((cohort) => cohort.learners) ?? [])
    for (const [code, standing] of Object.entries(learner.standings))
      for (const need of standing.due) {
        const key = `${code} ${need.kind} ${need.what} ${need.until}`;
        const name = today.data.value?.permits.find((one) => one.code === code)?.name ?? code;
        const one = found.get(key) ?? { key, need, permit: name, names: [] };
        one.names.push(learner.name);
        found.set(key, one);
      }
  return [...found.values()].sort((a, b) => (a.need.until ?? '').localeCompare(b.need.until ?? ''));
});
const cohorts = computed(() =>
  (today.data.value?.cohorts ?? []).map((cohort) => ({
    ...cohort,
    learners: cohort.learners
      .flatMap((learner) => {
        const standing = permit.value ? learner.standings[permit.value.code] : undefined;
        return standing && finds(search.value, learner.name, cohort.name, t(`stage.${standing.stage}`))
          ? [{ ...learner, standing }]
          : [];
      })
      .sort(
        (a, b) => (order.value === 'stage' ? b.standing.stage - a.standing.stage : 0) || a.name.localeCompare(b.name),
      ),
  })),
);
</script>

<template>
  <PageState v-slot="{ data }" :data="today.data.value" :error="today.error.value" @retry="today.refetch()">
    <div class="flex flex-wrap items-center gap-4">
      <h1>{{ t('today.title') }}</h1>
      <p class="text-quiet">{{ d(new Date(), { weekday: 'long', day: 'numeric', month: 'long' }) }}</p>
      <RouterLink :to="{ name: 'ready' }" class="inline-flex min-h-12 items-center font-semibold">{{
        t('ready.title')
      }}</RouterLink>
      <div class="ml-auto flex items-center gap-3">
        <p v-if="data.on_floor_until" class="font-semibold text-alone">
          ● {{ t('today.onFloorUntil', { time: d(data.on_floor_until, { timeStyle: 'short' }) }) }}
        </p>
        <p v-else class="text-quiet">○ {{ t('today.offFloor') }}</p>
        <BigButton :busy="presence.busy.value" @click="presence.run(!data.on_floor_until)">{{
          data.on_floor_until ? t('today.leaveFloor') : t('today.comeToFloor')
        }}</BigButton>
      </div>
    </div>
    <ErrorNote class="mt-3" :error="presence.error.value" @retry="presence.reset()" />
    <AlertList class="mt-3" />
    <ClockNote class="mt-3" />
    <p v-if="leads && data.unsealed_lines > 0" class="mt-3 border-l-4 border-supervised pl-3" data-testid="adopt">
      <strong>{{ t('today.adopt', data.unsealed_lines) }}</strong> {{ t('today.adoptDo') }}
      <code class="reading">bin/artisan competency:adopt …</code>
    </p>
    <SetUpPanel v-if="leads && me?.demo === false" class="mt-4" />

    <div class="mt-5 grid grid-cols-[minmax(0,1fr)] items-start gap-6 lg:grid-cols-[minmax(340px,2fr)_5fr]">
      <div class="space-y-6">
        <WaitingList :items="data.waiting" />
        <LooksHere />
        <section v-if="due.length > 0" data-testid="due">
          <h2>{{ t('today.due') }}</h2>
          <ul class="mt-2">
            <li v-for="each in due" :key="each.key" class="border-t border-hairline py-2 first:border-t-0">
              ‖ <strong>{{ all([each.need]) }}</strong>, {{ each.permit }}:
              {{
                t('today.dueBy', {
                  by: d(each.need.until ?? '', { dateStyle: 'medium' }),
                  names: each.names.join(', '),
                })
              }}
            </li>
          </ul>
        </section>
        <section>
          <h2>{{ t('today.onFloor') }}</h2>
          <p v-if="data.on_floor.length === 0" class="mt-2 text-quiet">{{ t('today.nobodyOnFloor') }}</p>
          <ul class="mt-2">
            <li v-for="each in data.on_floor" :key="each.name">
              <span class="text-alone" aria-hidden="true">●</span> {{ each.name }},
              {{ t('today.until', { time: d(each.until, { timeStyle: 'short' }) }) }}
            </li>
          </ul>
        </section>
        <section>
          <h2>{{ t('today.atMachines') }}</h2>
          <p v-if="data.at_machines.length === 0" class="mt-2 text-quiet">{{ t('today.nobodyAtMachines') }}</p>
          <ul class="mt-2">
            <li
              v-for="turn in data.at_machines"
              :key="turn.id"
              class="flex flex-wrap items-center gap-3 border-t border-hairline py-2"
            >
              <span class="flex-1">
                <span class="font-semibold">{{ turn.machine }}</span>: {{ turn.person }},
                {{ t(`gate.word.${turn.decision}`) }},
                <template v-if="turn.supervisor">{{ t('today.watchedBy', { name: turn.supervisor }) }}, </template>
                <template v-if="turn.companion">{{ t('today.with', { name: turn.companion }) }}, </template>
                {{ t('today.since', { time: d(turn.since, { timeStyle: 'short' }) }) }}
              </span>
              <BigButton
                tone="no"
                :busy="end.busy.value"
                :aria-label="t('today.endTurnOf', { name: turn.person })"
                @click="end.run(turn.id)"
                >{{ t('today.endTurn') }}</BigButton
              >
            </li>
          </ul>
        </section>
      </div>

      <section>
        <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
          <h2 class="mr-auto">{{ permit?.name ?? t('today.noPermit') }}</h2>
          <label v-if="data.permits.length > 1" class="flex items-center gap-2 text-sm">
            {{ t('today.permit') }}
            <select
              :value="permit?.code"
              class="field w-56"
              @change="chosenPermit = ($event.target as HTMLSelectElement).value"
            >
              <option v-for="each in data.permits" :key="each.code" :value="each.code">{{ each.name }}</option>
            </select>
          </label>
          <label class="flex items-center gap-2 text-sm"
            >{{ t('today.search') }} <input v-model="search" type="search" class="field w-44"
          /></label>
          <label class="flex items-center gap-2 text-sm">
            {{ t('today.order') }}
            <select v-model="order" class="field w-32">
              <option value="name">{{ t('today.byName') }}</option>
              <option value="stage">{{ t('today.byStage') }}</option>
            </select>
          </label>
        </div>
        <StageKey v-if="data.permits.length > 0" class="mt-3" />
        <p v-if="data.cohorts.length === 0" class="sheet mt-4 p-6">{{ t('today.noLearners') }}</p>
        <div v-for="cohort in cohorts" :key="cohort.id" class="mt-4">
          <h3 class="font-semibold">
            {{ cohort.name || t('today.noCohort') }}
            <span class="font-normal text-quiet">({{ t('today.learners', cohort.learners.length) }})</span>
          </h3>
          <p v-if="cohort.learners.length === 0" class="mt-1 text-quiet">{{ t('today.noMatch') }}</p>
          <ul class="sheet mt-2 grid grid-cols-1 sm:grid-cols-2">
            <li
              v-for="learner in cohort.learners"
              :key="learner.id"
              class="-mb-px border-b border-hairline sm:odd:border-r"
            >
              <RouterLink
                :to="{ name: 'learner', params: { id: learner.id } }"
                class="flex min-h-14 items-center gap-3 px-3 py-1 text-ink no-underline hover:bg-steel"
              >
                <HoleGlyph
                  :stage="learner.standing.stage"
                  :held="learner.standing.held"
                  :lapsed="learner.standing.lapsed"
                  :size="44"
                />
                <span class="min-w-0">
                  <span class="block font-semibold">{{ learner.name }}</span>
                  <span class="block truncate text-sm text-quiet">
                    <strong v-if="learner.standing.held" class="text-no">{{ t('stage.held') }}</strong>
                    <strong v-else-if="learner.standing.lapsed" class="text-supervised">{{
                      t(`lapse.${learner.standing.lapsed}`)
                    }}</strong>
                    <template v-else>{{
                      learner.standing.stage === 5
                        ? t('today.mayRunAlone')
                        : t('today.next', { what: all(learner.standing.next) })
                    }}</template>
                  </span>
                </span>
              </RouterLink>
            </li>
          </ul>
        </div>
      </section>
    </div>
  </PageState>
</template>
