<script setup lang="ts">
import { speak } from '@/i18n';
import { deviceApi, must, type Schemas } from '@/api/client';
import { useLive } from '@/live/useLive';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import { useLocalStorage } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import AskPanel from './AskPanel.vue';
import BadgeField from './BadgeField.vue';
import BadgeTray from './BadgeTray.vue';
import GateAnswer from './GateAnswer.vue';
import PairPanel from './PairPanel.vue';
import SupervisorPanel from './SupervisorPanel.vue';
import { useGateReads } from './useGateReads';
import { useGateState } from './useGateState';

/** The screen at the machine. Readable at two metres: one word, one shape, why, and what next. */
const props = defineProps<{ machine: string }>();
const { t, d } = useI18n();
const { me } = useMe();
const SHOWN_MS = 30_000;
const ENDED_SHOWN_MS = 120_000;
const ASKED_MS = 120_000;
const CHOSEN_MS = 20_000;
const NEARLY_IDLE_MS = 600_000;
const RENEW_BEFORE_MS = 30 * 86_400_000;

const token = useLocalStorage(`millstep.gate.${props.machine}`, '');
const { state, revoked, unreachable, now } = useGateState(props.machine, token);
const reads = useGateReads(props.machine, token);
useLive(
  computed(() => (token.value === '' || revoked.value ? null : `machine-${props.machine}`)),
  token,
);

/** By the server's own clock, so that a screen's wrong one hides nothing. */
function ago(at: string): number {
  const seen = state.value ? Date.parse(state.value.answered_at) : now.value.getTime();
  return seen - Date.parse(at);
}
const last = computed(() => state.value?.last_read ?? null);
const lastRead = computed<Schemas['GateAnswer'] | null>(() =>
  last.value && last.value.event !== 'asks' && ago(last.value.read_at) < SHOWN_MS ? last.value : null,
);
const ended = computed(() => {
  const turn = state.value?.ended ?? null;
  return turn && ['revoked', 'idle'].includes(turn.because) && ago(turn.at) < ENDED_SHOWN_MS ? turn : null;
});

/** No permit covers this machine: no badge could ever get it power, so none is asked for. */
const closed = computed(
  () => state.value?.machine.permits.length === 0 && state.value.running === null && !unreachable.value,
);

/** What the gate wants to know before it gives power, from the last badge. */
const put = ref('');
const asked = computed(() =>
  last.value?.event === 'asks' && last.value.id !== put.value && ago(last.value.read_at) < ASKED_MS ? last.value : null,
);
/** A companion's code, until the question is answered. */
const companion = ref('');
const asksCompanion = computed(() => asked.value?.asks.includes('companion') ?? false);
const asksSupervisor = computed(() => asked.value?.asks.includes('supervisor') ?? false);
watch(asked, (question) => {
  if (question === null) companion.value = '';
});

/** What the next badge means. The screen knows whether the machine is in use, so a badge is a finish then and a start else. */
const chosen = ref<'hand_over' | 'start' | null>(null);
let forget: ReturnType<typeof setTimeout> | undefined;
function choose(intent: 'hand_over' | 'start') {
  clearTimeout(forget);
  chosen.value = intent;
  forget = setTimeout(() => (chosen.value = null), CHOSEN_MS);
}
function badge(code: string) {
  const question = asked.value;
  if (question && asksCompanion.value) {
    companion.value = code;
    reads.send({ intent: 'start', follows: question.id, companion_badge: code });
    return;
  }
  if (question && asksSupervisor.value) {
    reads.send({ intent: 'start', follows: question.id, supervisor_badge: code });
    return;
  }
  const intent = chosen.value ?? (state.value?.running ? 'finish' : 'start');
  chosen.value = null;
  reads.send({ intent, badge: code });
}
function say(request: Schemas['GateRequest']) {
  if (asked.value)
    reads.send({ intent: 'start', follows: asked.value.id, companion_badge: companion.value || null, request });
}

function name(supervisor: number) {
  if (asked.value) reads.send({ intent: 'start', follows: asked.value.id, supervisor });
}

/** Whoever holds a badge to it is spoken to in their language; whoever comes next, in the machine's. */
watch(
  () =>
    asked.value?.language ??
    state.value?.running?.language ??
    lastRead.value?.language ??
    state.value?.machine.language,
  (language) => void speak(language, false),
  { immediate: true },
);

const waiting = computed(() =>
  reads.lost.value ? 'lost' : reads.refusal.value?.code === 'slowed' ? 'slowed' : reads.busy.value ? 'answer' : null,
);
const idleSoon = computed(() => {
  const turn = state.value?.running;
  return turn && -ago(turn.idle_at) < NEARLY_IDLE_MS ? turn.idle_at : null;
});

/** A token is renewed long before it runs out; until the new one is used the old one stays good. */
watch(
  () => state.value?.device.expires_at ?? null,
  async (expires) => {
    if (expires === null || -ago(expires) > RENEW_BEFORE_MS) return;
    const fresh = await must(deviceApi(token.value).POST('/api/gate/renewal')).catch(() => null);
    if (fresh) token.value = fresh.token;
  },
);
</script>

<template>
  <main class="gate flex min-h-screen flex-col bg-paper">
    <PairPanel v-if="token === '' || revoked" :machine="machine" @paired="token = $event" />
    <template v-else>
      <header class="flex items-baseline gap-6 border-b border-quiet px-8 py-3 text-2xl">
        <strong>{{ state?.machine.name ?? machine }}</strong>
        <span class="text-lg text-quiet">{{ state?.machine.permits.join(', ') }}</span>
      </header>
      <SupervisorPanel
        v-if="asked && asksSupervisor && !unreachable && waiting !== 'lost'"
        class="flex-1"
        :read="asked"
        :busy="reads.busy.value"
        @name="name"
        @cancel="put = asked.id"
      />
      <AskPanel
        v-else-if="asked && !asksCompanion && !unreachable && waiting !== 'lost'"
        :key="asked.id"
        class="flex-1"
        :read="asked"
        :busy="reads.busy.value"
        @say="say"
        @cancel="put = asked.id"
      />
      <section
        v-else-if="asked && !unreachable && waiting !== 'lost'"
        class="m-auto px-8 text-center"
        data-testid="ask"
      >
        <p class="text-5xl font-bold">{{ t('gate.ask.companion', { name: asked.person ?? '' }) }}</p>
        <p class="mt-3 text-3xl">{{ t('gate.ask.companionNext') }}</p>
        <BigButton class="mt-6" @click="put = asked.id">{{ t('gate.ask.cancel') }}</BigButton>
      </section>
      <section v-else-if="closed" class="m-auto max-w-4xl px-8 text-center" data-testid="no-permit">
        <p class="text-6xl font-bold text-no">■ {{ t('gate.word.no') }}</p>
        <p class="mt-4 text-3xl">{{ t('gate.noPermit') }}</p>
      </section>
      <GateAnswer
        v-else
        class="flex-1"
        :screen="state"
        :read="lastRead"
        :ended="ended"
        :unreachable="unreachable"
        :waiting="waiting"
      />
      <div v-if="state?.running && !unreachable" class="flex flex-wrap justify-center gap-4 px-8 pb-3">
        <p v-if="chosen" class="w-full text-center text-2xl font-semibold" role="status">
          {{ t(`gate.next.${chosen}`) }}
        </p>
        <p v-else-if="idleSoon" class="w-full text-center text-2xl font-semibold text-supervised">
          {{ t('gate.idleSoon', { time: d(idleSoon, { timeStyle: 'short' }) }) }}
        </p>
        <BigButton v-if="idleSoon" tone="main" @click="choose('start')">{{ t('gate.stillHere') }}</BigButton>
        <BigButton @click="choose('hand_over')">{{ t('gate.handOver') }}</BigButton>
      </div>
      <BadgeTray v-if="me?.demo && !closed" :token="token" :busy="reads.busy.value" @badge="badge" />
      <BadgeField v-else-if="me && !closed" :busy="reads.busy.value" @badge="badge" />
      <p class="px-8 py-2 text-quiet">{{ t('ui.precedence') }}</p>
    </template>
  </main>
</template>
