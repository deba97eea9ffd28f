<script setup lang="ts">
import AskDialog from '@/ui/AskDialog.vue';
import TextField from '@/ui/TextField.vue';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** A mark that stands is changed by saying why; the one before stays in sight. */
defineProps<{ what: string }>();
const emit = defineEmits<{ why: [reason: string]; close: [] }>();
const { t } = useI18n();
const reason = ref('');
</script>

<template>
  <AskDialog
    :title="t('sheet.whyTitle')"
    :label="t('sheet.whyAct')"
    :disabled="reason.trim().length < 3"
    @yes="emit('why', reason.trim())"
    @close="emit('close')"
  >
    <p>{{ what }}</p>
    <p class="text-quiet">{{ t('sheet.whyWords') }}</p>
    <TextField v-model="reason" required :label="t('sheet.why')" />
  </AskDialog>
</template>
