<script setup lang="ts">
import BigButton from '@/ui/BigButton.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import { useClipboard } from '@vueuse/core';
import { useI18n } from 'vue-i18n';

/** Where no mail server is set up, whoever leads hands the link over. It is shown once. */
defineProps<{ name: string; link: string }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const { copy, copied, isSupported } = useClipboard();
</script>

<template>
  <SheetDialog open kept :title="t('people.link.title', { name })" @close="emit('close')">
    <p class="mt-3">{{ t('people.link.words') }}</p>
    <p class="reading mt-3 border border-hairline p-3 text-sm break-all select-all" data-link>{{ link }}</p>
    <div class="mt-4 flex justify-end gap-3">
      <BigButton v-if="isSupported" @click="copy(link)">{{
        t(copied ? 'people.link.copied' : 'people.link.copy')
      }}</BigButton>
      <BigButton tone="main" @click="emit('close')">{{ t('people.link.done') }}</BigButton>
    </div>
  </SheetDialog>
</template>
