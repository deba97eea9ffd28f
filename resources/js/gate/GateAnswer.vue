<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useNext } from '@/competency/useNext';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import DecisionShape from './DecisionShape.vue';

/** The answer to the last badge, else who has the machine, else that it waits for a badge. */
const props = defineProps<{
  screen: Schemas['GateScreen'] | undefined;
  read: Schemas['GateAnswer'] | null;
  unreachable: boolean;
}>();
const { t } = useI18n();
const { all } = useNext();

type Shown = { decision: 'alone' | 'supervised' | 'no' | null; word: string; who: string; why: string; next: string };

const shown = computed<Shown>(() => {
  const { read, screen } = props;
  if (props.unreachable)
    return {
      decision: 'no',
      word: t('gate.word.no'),
      who: '',
      why: t('gate.unreachable'),
      next: t('gate.unreachableNext'),
    };
  if (read?.event === 'present')
    return { decision: null, word: t('gate.present'), who: read.person ?? '', why: t('gate.presentWhy'), next: '' };
  if (read?.event === 'finished')
    return {
      decision: null,
      word: t('gate.finished'),
      who: read.person ?? '',
      why: t('gate.finishedWhy'),
      next: t('gate.waitingNext'),
    };
  if (read?.decision) return decided(read, read.decision);
  if (screen?.running)
    return {
      decision: screen.running.decision as Shown['decision'],
      word: t(`gate.word.${screen.running.decision}`),
      who: screen.running.person,
      why: t('gate.running'),
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

function decided(read: Schemas['GateAnswer'], decision: 'alone' | 'supervised' | 'no'): Shown {
  const first = read.reasons[0];
  const others = read.reasons.slice(1).map((reason) => t(`gate.reason.${reason}`));
  return {
    decision,
    word: t(`gate.word.${decision}`),
    who: read.person ?? t('gate.nobody'),
    why: first ? [t(`gate.reason.${first}`), ...others].join(' · ') : t('gate.aloneWhy'),
    next:
      decision === 'alone'
        ? t('gate.runningNext')
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
const interlock = computed(() => (props.unreachable || !props.screen?.running ? 'off' : 'on'));
</script>

<template>
  <section class="grid place-items-center px-8 py-6 text-center" role="status" aria-live="assertive">
    <div class="flex w-full max-w-6xl flex-col items-center gap-4">
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
      <p class="reading mt-2 text-xl" data-testid="interlock">{{ t(`gate.interlock.${interlock}`) }}</p>
    </div>
  </section>
</template>
