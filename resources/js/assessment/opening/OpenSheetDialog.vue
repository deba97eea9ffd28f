<script setup lang="ts">
import { api, must } from '@/api/client';
import AskDialog from '@/ui/AskDialog.vue';
import PageState from '@/ui/PageState.vue';
import SelectField from '@/ui/SelectField.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import DayCheck from '@/workshop/day/DayCheck.vue';
import { TRY_SHAPE } from '@/assessment/results';

/** What a sheet is done on and at which machine, before it is opened: a signature says no more than what is shown there. */
const props = defineProps<{ learner: { id: number; name: string }; sheet: { code: string; title: string } }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const router = useRouter();
const opening = useQuery({
  queryKey: ['opening', props.sheet.code, props.learner.id],
  queryFn: () =>
    must(
      api.GET('/api/assessment/sheets/{code}/opening/{learner}', {
        params: { path: { code: props.sheet.code, learner: String(props.learner.id) } },
      }),
    ),
  gcTime: 0,
});
const chosen = computed(() => opening.data.value?.machines.find(({ slug }) => slug === machine.value));
const piece = ref('');
const machine = ref('');
/** What was not passed yet stands first. */
watch(
  () => opening.data.value,
  (known) => {
    if (!known) return;
    piece.value ||= (known.pieces.find(({ outcome }) => outcome !== 'passed') ?? known.pieces[0])?.key ?? '';
    // With several, nobody guesses: whoever passes there knows it, and no other.
    machine.value ||= known.machines.length === 1 ? (known.machines[0]?.slug ?? '') : '';
  },
  { immediate: true },
);
const unchecked = computed(
  () =>
    opening.data.value?.check_required === true &&
    !(chosen.value?.checked_today.guards?.good && chosen.value.checked_today.stop?.good),
);
const id = uuid();
const open = useAction(
  () =>
    must(
      api.POST('/api/assessment/attempts', {
        body: {
          id,
          sheet: props.sheet.code,
          learner_id: props.learner.id,
          variant: piece.value || null,
          machine: machine.value || null,
        },
      }),
    ),
  (attempt) => router.push({ name: 'sheet', params: { id: attempt.id } }),
);
const pieces = computed(() =>
  (opening.data.value?.pieces ?? []).map(({ key, material, outcome }) => ({
    value: key,
    label:
      material +
      (outcome && outcome !== 'incomplete' ? ` ${TRY_SHAPE[outcome].shape} ${t(`tries.end.${outcome}`)}` : ''),
  })),
);
</script>

<template>
  <AskDialog
    :title="t('opening.title', { sheet: sheet.title, name: learner.name })"
    :label="t('opening.act')"
    :busy="open.busy.value"
    :disabled="!chosen || unchecked"
    :error="open.error.value"
    @yes="open.run(undefined)"
    @close="emit('close')"
  >
    <PageState v-slot="{ data }" :data="opening.data.value" :error="opening.error.value" @retry="opening.refetch()">
      <SelectField v-if="pieces.length > 0" v-model="piece" :label="t('opening.piece')" :options="pieces" />
      <p v-if="pieces.length > 1" class="mt-1 text-sm text-quiet">{{ t('opening.pieceWords') }}</p>
      <SelectField
        v-if="data.machines.length > 0"
        v-model="machine"
        class="mt-4"
        :label="t('opening.machine')"
        :options="[
          ...(machine ? [] : [{ value: '', label: t('opening.choose') }]),
          ...data.machines.map(({ slug, name }) => ({ value: slug, label: name })),
        ]"
      />
      <p v-else class="mt-4 font-semibold text-no">✕ {{ t('opening.noMachine') }}</p>
      <DayCheck v-if="chosen" :key="chosen.slug" class="mt-4" :machine="chosen" />
      <p v-if="chosen && unchecked" class="mt-2 font-semibold text-supervised">▲ {{ t('opening.check') }}</p>
    </PageState>
  </AskDialog>
</template>
