<script setup lang="ts">
import AskDialog from '@/ui/AskDialog.vue';
import TextField from '@/ui/TextField.vue';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** A mark that stands is changed by saying why, the one before stays in sight; and whatever else wants a reason. */
defineProps<{ what: string; title?: string; words?: string }>();
const emit = defineEmits<{ why: [reason: string]; close: [] }>();
const { t } = useI18n();
const reason = ref('');
</script>

<template>
  <AskDialog
    :title="title ?? t('sheet.whyTitle')"
    :label="t('sheet.whyAct')"
    :disabled="reason.trim().length < 3"
    @yes="emit('why', reason.trim())"
    @close="emit('close')"
  >
    <p>{{ what }}</p>
    <p class="text-quiet">{{ words ?? t('sheet.whyWords') }}</p>
    <TextField v-model="reason" required :label="t('sheet.why')" />
  </AskDialog>
</template>
