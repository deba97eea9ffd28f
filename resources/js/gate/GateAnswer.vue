<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useNext } from '@/records/useNext';
import { useScope } from '@/competency/useScope';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import DecisionShape from './DecisionShape.vue';

/**
 * One word, one shape, why, and what next. Whoever has the machine stands above it all, whatever other badge was read; and
 * the interlock is what the server said of it within the last seconds, nothing else.
 */
const props = defineProps<{
  screen: Schemas['GateScreen'] | undefined;
  read: Schemas['GateAnswer'] | null;
  ended: Schemas['GateScreen']['ended'] | null;
  unreachable: boolean;
  waiting: 'answer' | 'lost' | 'slowed' | null;
}>();
const { t, d } = useI18n();
const { all } = useNext();
const { words: scopeWords, request: requestWords } = useScope();

type Shown = { decision: 'alone' | 'supervised' | 'no' | null; word: string; who: string; why: string; next: string };

const on = computed(() => !props.unreachable && props.screen?.interlock === 'on');
const running = computed(() => (on.value ? (props.screen?.running ?? null) : null));
/** Reasons may come with the turn that they ended, in the words of the gate. */
const reasons = (codes: string[]) => codes.map((code) => t(`gate.reason.${code}`)).join(' · ');

const shown = computed<Shown>(() => {
  const { read, screen, ended } = props;
  if (props.unreachable)
    return {
      decision: 'no',
      word: t('gate.word.no'),
      who: '',
      why: t('gate.unreachable'),
      next: t('gate.unreachableNext'),
    };
  if (props.waiting === 'lost' || props.waiting === 'slowed')
    return {
      decision: 'no',
      word: t('gate.word.no'),
      who: '',
      why: t(`gate.${props.waiting}`),
      next: t(`gate.${props.waiting}Next`),
    };
  // What took the power away says more than the answer that gave it.
  if (
    ended &&
    (!read || Date.parse(ended.at) >= Date.parse(read.read_at) || (allows(read) && read.interlock === 'off'))
  )
    return {
      decision: 'no',
      word: t('gate.word.no'),
      who: ended.person,
      why: t(`gate.ended.${ended.because === 'revoked' ? 'revoked' : 'idle'}`),
      next: ended.because === 'revoked' ? reasons(ended.reasons) : t('gate.ended.idleNext'),
    };
  if (read?.event === 'present')
    return { decision: null, word: t('gate.present'), who: read.person ?? '', why: t('gate.presentWhy'), next: '' };
  if (read?.event === 'finished')
    return {
      decision: null,
      word: t('gate.finished'),
      who: read.holder ?? read.person ?? '',
      why: t('gate.finishedWhy'),
      next: t('gate.waitingNext'),
    };
  if (read?.event === 'in_use')
    return {
      decision: 'no',
      word: t('gate.inUse'),
      who: read.person ?? '',
      why: t('gate.inUseWhy', { name: read.holder ?? '' }),
      next: t('gate.inUseNext'),
    };
  if (read?.decision && !(allows(read) && read.interlock === 'off')) return decided(read, read.decision);
  if (running.value)
    return {
      decision: running.value.decision as Shown['decision'],
      word: t(`gate.word.${running.value.decision}`),
      who: running.value.person,
      why:
        [requestWords(running.value.request), supervisedBy(running.value.supervisor)].filter(Boolean).join(' · ') ||
        t('gate.running'),
      next: t('gate.runningNext'),
    };
  if (screen && !screen.machine.in_service)
    return {
      decision: 'no',
      word: t('gate.word.no'),
      who: '',
      why: t('gate.reason.machine_out_of_service'),
      next: screen.machine.service_note ?? '',
    };
  return { decision: null, word: t('gate.waiting'), who: '', why: t('gate.waitingWhy'), next: '' };
});

const supervisedBy = (name: string | null) => (name === null ? '' : t('gate.supervisedBy', { name }));
const allows = (read: Schemas['GateAnswer']) => read.decision === 'alone' || read.decision === 'supervised';

function decided(read: Schemas['GateAnswer'], decision: 'alone' | 'supervised' | 'no'): Shown {
  const first = read.reasons[0];
  return {
    decision,
    word: t(`gate.word.${decision}`),
    who: read.person ?? t('gate.nobody'),
    why: first
      ? [reasons([...read.reasons, ...read.refused]), supervisedBy(read.supervisor)].filter(Boolean).join(' · ')
      : t('gate.aloneWhy'),
    next:
      decision === 'alone'
        ? [...read.scopes.map(scopeWords), t('gate.runningNext')].join(' · ')
        : read.missing.length > 0 && first !== 'held'
          ? t('gate.missing', { what: all(read.missing) })
          : first
            ? t(`gate.do.${first}`)
            : '',
  };
}
const tone = computed(
  () => ({ alone: 'text-alone', supervised: 'text-supervised', no: 'text-no' })[shown.value.decision ?? 'alone'],
);
/** Said only where another badge or an instructor's is on the screen. */
const holder = computed(() => (running.value && shown.value.who !== running.value.person ? running.value : null));
</script>

<template>
  <section class="flex flex-col items-center px-8 py-6 text-center" role="status" aria-live="assertive">
    <p
      v-if="holder"
      class="mb-4 w-full max-w-6xl border-2 border-ink bg-sheet px-5 py-3 text-3xl font-semibold"
      data-testid="holder"
    >
      {{
        t('gate.has', {
          name: holder.person,
          how: t(`gate.how.${holder.decision}`),
          since: d(holder.since, { timeStyle: 'short' }),
        })
      }}
    </p>
    <div class="my-auto flex w-full max-w-6xl flex-col items-center gap-4">
      <DecisionShape :decision="shown.decision" :class="shown.decision ? tone : 'text-quiet'" />
      <p
        class="text-6xl leading-none font-bold md:text-8xl"
        :class="shown.decision ? tone : 'text-ink'"
        data-testid="gate-word"
      >
        {{ shown.word }}
      </p>
      <p v-if="shown.who" class="text-4xl font-semibold">{{ shown.who }}</p>
      <p class="text-3xl">{{ shown.why }}</p>
      <p v-if="shown.next" class="text-2xl text-quiet">{{ shown.next }}</p>
      <p class="reading mt-2 text-xl" data-testid="interlock">{{ t(`gate.interlock.${on ? 'on' : 'off'}`) }}</p>
    </div>
  </section>
</template>
