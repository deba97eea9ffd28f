<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { flush } from '@/api/outbox';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import DateField from '@/ui/DateField.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import { useCommand } from '@/ui/useCommand';
import { useQuery } from '@tanstack/vue-query';
import { useLocalStorage } from '@vueuse/core';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import TextField from '@/ui/TextField.vue';
import LogbookEntries from './LogbookEntries.vue';
import PracticeTotals from './PracticeTotals.vue';

const { t, d } = useI18n();
const { person } = useMe();
const machines = useQuery({ queryKey: ['machines'], queryFn: () => must(api.GET('/api/workshop/machines')) });
const usable = computed(() => machines.data.value?.filter((machine) => machine.permits.length > 0) ?? []);
/** The day here, not in Greenwich. */
const today = () => new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
const blank = () => ({
  id: uuid(),
  machine: '',
  permit: '',
  exercise: '',
  minutes: '' as string | number,
  done_on: today(),
  note: '',
  plan: '',
  turn: '',
  chip: '',
  readings: '',
  mishap: '',
  /** An entry that was sent back, and is handed in again. */
  again: false,
});
/** Kept until it is sent, so that a phone put down loses nothing; for this person alone, where a device is shared. */
const form = useLocalStorage(`millstep.logbook.${person.value?.id}`, blank());
const log = useCommand(({ again: handedInAgain, ...entry }: ReturnType<typeof blank>) => ({
  about: `practice:${entry.id}`,
  method: handedInAgain ? 'PUT' : 'POST',
  path: `/api/practice/entries${handedInAgain ? `/${entry.id}` : ''}`,
  body: {
    ...entry,
    permit: entry.permit || null,
    plan: entry.plan || null,
    turn: entry.turn || null,
    chip: entry.chip || null,
    minutes: Number(entry.minutes),
  },
  label: { key: 'outbox.practice', words: { what: entry.exercise } },
}));
const plans = useQuery({ queryKey: ['plans', 'own'], queryFn: () => must(api.GET('/api/planning/plans')) });
/** Turns at the gate that are not in the logbook: machine and minutes are known. */
const turns = useQuery({ queryKey: ['turns'], queryFn: () => must(api.GET('/api/gate/turns')) });
const unlogged = computed(() =>
  (turns.data.value ?? []).filter((turn) => usable.value.some(({ slug }) => slug === turn.machine.slug)),
);
function fromTurn(turn: Schemas['TurnsToLog'][number]) {
  const day = turn.ended_at ? new Date(Date.parse(turn.ended_at) - new Date().getTimezoneOffset() * 60_000) : null;
  form.value = {
    ...form.value,
    machine: turn.machine.slug,
    minutes: turn.minutes,
    turn: turn.id,
    done_on: day?.toISOString().slice(0, 10) ?? today(),
  };
  document.getElementById('exercise')?.focus();
}
/** What was made lately: one tap instead of typing. */
const entries = useQuery({
  queryKey: ['logbook', person.value?.id],
  queryFn: () =>
    must(
      api.GET('/api/practice/learners/{learner}/entries', { params: { path: { learner: String(person.value?.id) } } }),
    ),
});
const LATELY = 4;
const lately = computed(() =>
  [...new Map((entries.data.value ?? []).map((entry) => [entry.exercise, entry])).values()].slice(0, LATELY),
);
function asLately(entry: Schemas['PracticeEntry']) {
  form.value = {
    ...form.value,
    exercise: entry.exercise,
    ...(form.value.turn === '' ? { machine: entry.machine_slug, permit: entry.permit_code ?? '' } : {}),
  };
}
/** Chip, readings and mishap are asked for where there is something to say. */
const more = ref(false);
const CHIPS = ['curls', 'short', 'powder', 'strings', 'blue', 'packed'] as const;
/** On its way an entry is the outbox's: the form is free for the next one, and no second page sends it as its own. */
async function write() {
  const entry = { ...form.value };
  form.value = blank();
  await log.run(entry, entry.id);
  const untouched = form.value.exercise === '' && form.value.machine === '';
  if (Object.keys(log.fieldErrors.value).length > 0 && untouched) form.value = entry;
}
/** What was taken back or sent back stands in the form again. */
function again(entry: Schemas['PracticeEntry']) {
  form.value = {
    id: entry.state === 'returned' ? entry.id : uuid(),
    machine: entry.machine_slug,
    permit: entry.permit_code ?? '',
    exercise: entry.exercise,
    minutes: entry.minutes,
    done_on: entry.done_on,
    note: entry.note ?? '',
    plan: entry.plan?.id ?? '',
    turn: '',
    chip: entry.chip ?? '',
    readings: entry.readings ?? '',
    mishap: entry.mishap ?? '',
    again: entry.state === 'returned',
  };
  more.value = true;
  document.getElementById('exercise')?.focus();
}
/** Work that a further permit is for counts for that one: nobody learns to tap by drilling. */
const further = computed(
  () => usable.value.find((each) => each.slug === form.value.machine)?.permits.filter((permit) => permit.further) ?? [],
);
const faults = computed(() => log.fieldErrors.value);
</script>

<template>
  <div class="grid gap-8 lg:grid-cols-[2fr_3fr]">
    <section>
      <h1>{{ t('practice.own') }}</h1>
      <p class="mt-1 text-quiet">{{ t('practice.words') }}</p>
      <section v-if="unlogged.length > 0" class="mt-3">
        <h2>{{ t('practice.turns') }}</h2>
        <ul class="mt-1 flex flex-wrap gap-2">
          <li v-for="turn in unlogged" :key="turn.id">
            <button
              type="button"
              class="min-h-14 border-2 px-4 py-1 text-left"
              :class="form.turn === turn.id ? 'border-blue bg-sheet font-bold' : 'border-quiet'"
              :aria-pressed="form.turn === turn.id"
              @click="fromTurn(turn)"
            >
              {{ turn.machine.name
              }}<span class="reading block">{{
                t('practice.turnMinutes', {
                  minutes: turn.minutes,
                  day: turn.ended_at ? d(turn.ended_at, { weekday: 'short', hour: '2-digit', minute: '2-digit' }) : '',
                })
              }}</span>
            </button>
          </li>
        </ul>
      </section>
      <form class="sheet mt-4 space-y-4 p-4" @submit.prevent="write">
        <p v-if="form.again" class="font-semibold text-supervised">↶ {{ t('practice.handInAgain') }}</p>
        <ul
          v-if="lately.length > 0 && form.exercise === ''"
          class="flex flex-wrap gap-2"
          :aria-label="t('practice.lately')"
        >
          <li v-for="entry in lately" :key="entry.id">
            <button type="button" class="min-h-12 border border-quiet px-3" @click="asLately(entry)">
              {{ entry.exercise }}
            </button>
          </li>
        </ul>
        <FormField
          v-slot="field"
          as-id="exercise"
          :label="t('practice.exercise')"
          :hint="t('practice.exerciseHint')"
          :error="faults.exercise?.[0]"
        >
          <input
            id="exercise"
            v-model="form.exercise"
            class="field"
            required
            minlength="3"
            maxlength="120"
            :aria-invalid="field.invalid"
            :aria-describedby="field.described"
          />
        </FormField>
        <FormField v-slot="field" :label="t('practice.machine')" :error="faults.machine?.[0]">
          <select :id="field.id" v-model="form.machine" class="field" required>
            <option value="" disabled>{{ t('practice.choose') }}</option>
            <option v-for="machine in usable" :key="machine.slug" :value="machine.slug">{{ machine.name }}</option>
          </select>
        </FormField>
        <FormField v-if="further.length > 0" v-slot="field" :label="t('practice.permit')" :error="faults.permit?.[0]">
          <select :id="field.id" v-model="form.permit" class="field">
            <option value="">{{ t('practice.permitUsual') }}</option>
            <option v-for="permit in further" :key="permit.code" :value="permit.code">{{ permit.name }}</option>
          </select>
        </FormField>
        <div class="grid gap-4 sm:grid-cols-[8rem_1fr]">
          <FormField v-slot="field" :label="t('practice.minutes')" :error="faults.minutes?.[0]">
            <input
              :id="field.id"
              v-model="form.minutes"
              type="number"
              min="5"
              max="480"
              class="field reading"
              required
              :aria-invalid="field.invalid"
              :aria-describedby="field.described"
            />
          </FormField>
          <DateField v-model="form.done_on" required :label="t('practice.doneOn')" :error="faults.done_on?.[0]" />
        </div>
        <button v-if="!more" type="button" class="min-h-12 underline underline-offset-4" @click="more = true">
          {{ t('practice.more') }}
        </button>
        <template v-if="more">
          <FormField
            v-if="(plans.data.value ?? []).length > 0"
            v-slot="field"
            :label="t('practice.plan')"
            :error="faults.plan?.[0]"
          >
            <select :id="field.id" v-model="form.plan" class="field">
              <option value="">{{ t('practice.noPlan') }}</option>
              <option v-for="plan in plans.data.value" :key="plan.id" :value="plan.id">{{ plan.name }}</option>
            </select>
          </FormField>
          <fieldset>
            <legend class="font-semibold">{{ t('practice.chip') }}</legend>
            <div class="mt-1 flex flex-wrap gap-2">
              <button
                v-for="chip in CHIPS"
                :key="chip"
                type="button"
                class="min-h-12 border border-quiet px-3"
                :class="form.chip === chip ? 'bg-ink text-paper' : 'bg-sheet'"
                :aria-pressed="form.chip === chip"
                @click="form.chip = form.chip === chip ? '' : chip"
              >
                {{ t(`practice.chips.${chip}`) }}
              </button>
            </div>
          </fieldset>
          <TextField
            v-model="form.readings"
            reading
            :label="t('practice.readings')"
            :hint="t('practice.readingsHint')"
            :error="faults.readings?.[0]"
          />
          <TextField
            v-model="form.mishap"
            :label="t('practice.mishap')"
            :hint="t('practice.mishapHint')"
            :error="faults.mishap?.[0]"
          />
        </template>
        <FormField v-if="more" v-slot="field" :label="t('practice.note')">
          <textarea :id="field.id" v-model="form.note" class="field" rows="2" maxlength="1000" />
        </FormField>
        <ErrorNote v-if="Object.keys(faults).length === 0" :error="log.error.value" @retry="flush()" />
        <BigButton type="submit" tone="main" class="w-full" :busy="log.busy.value && !log.pending.value">{{
          t('practice.log')
        }}</BigButton>
      </form>
      <PracticeTotals v-if="person" :learner-id="person.id" class="mt-4" />
    </section>
    <LogbookEntries v-if="person" :learner-id="person.id" @taken="again" />
  </div>
</template>
