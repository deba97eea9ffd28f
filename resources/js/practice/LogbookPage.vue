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
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import LogbookEntries from './LogbookEntries.vue';

const { t } = useI18n();
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
});
/** Kept until it is sent, so that a phone put down loses nothing; for this person alone, where a device is shared. */
const form = useLocalStorage(`millstep.logbook.${person.value?.id}`, blank());
const log = useCommand((entry: ReturnType<typeof blank>) => ({
  about: `practice:${entry.id}`,
  method: 'POST',
  path: '/api/practice/entries',
  body: { ...entry, permit: entry.permit || null, minutes: Number(entry.minutes) },
  label: { key: 'outbox.practice', words: { what: entry.exercise } },
}));
/** On its way an entry is the outbox's: the form is free for the next one, and no second page sends it as its own. */
async function write() {
  const entry = { ...form.value };
  form.value = blank();
  await log.run(entry, entry.id);
  const untouched = form.value.exercise === '' && form.value.machine === '';
  if (Object.keys(log.fieldErrors.value).length > 0 && untouched) form.value = entry;
}
function again(entry: Schemas['PracticeEntry']) {
  const machine = usable.value.find((each) => each.name === entry.machine)?.slug ?? '';
  const { exercise, minutes, done_on } = entry;
  const permit = usable.value.flatMap((each) => each.permits).find((each) => each.name === entry.permit)?.code ?? '';
  form.value = { id: uuid(), machine, permit, exercise, minutes, done_on, note: entry.note ?? '' };
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
      <form class="sheet mt-4 space-y-4 p-4" @submit.prevent="write">
        <FormField
          v-slot="field"
          :label="t('practice.exercise')"
          :hint="t('practice.exerciseHint')"
          :error="faults.exercise?.[0]"
        >
          <input
            :id="field.id"
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
        <FormField v-slot="field" :label="t('practice.note')">
          <textarea :id="field.id" v-model="form.note" class="field" rows="2" maxlength="1000" />
        </FormField>
        <ErrorNote v-if="Object.keys(faults).length === 0" :error="log.error.value" @retry="flush()" />
        <BigButton type="submit" tone="main" class="w-full" :busy="log.busy.value && !log.pending.value">{{
          t('practice.log')
        }}</BigButton>
      </form>
    </section>
    <LogbookEntries v-if="person" :learner-id="person.id" @taken="again" />
  </div>
</template>
