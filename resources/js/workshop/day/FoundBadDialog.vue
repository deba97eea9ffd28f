<script setup lang="ts">
import type { Schemas } from '@/api/client';
import AskDialog from '@/ui/AskDialog.vue';
import TextField from '@/ui/TextField.vue';
import { useCommand } from '@/ui/useCommand';
import { v7 as uuid } from 'uuid';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** What is not in order at the start of the day takes the machine out of service. */
const props = defineProps<{ machine: { slug: string; name: string }; part: Schemas['DayPart'] }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const reason = ref('');
const id = uuid();
const say = useCommand(
  () => ({
    about: `day:${id}`,
    method: 'POST',
    path: `/api/workshop/machines/${props.machine.slug}/day-checks`,
    body: { id, part: props.part, good: false, reason: reason.value },
    label: { key: 'outbox.service', words: { what: props.machine.name } },
  }),
  () => emit('close'),
);
</script>

<template>
  <AskDialog
    :title="t('day.badTitle', { machine: machine.name, part: t(`day.${part}`) })"
    :label="t('workshop.takeOut')"
    tone="no"
    :busy="say.busy.value"
    :error="say.fieldErrors.value.reason ? null : say.error.value"
    @yes="say.run(undefined)"
    @close="emit('close')"
  >
    <p>{{ t('day.badWords') }}</p>
    <TextField v-model="reason" :label="t('workshop.reason')" required :error="say.fieldErrors.value.reason?.[0]" />
  </AskDialog>
</template>
