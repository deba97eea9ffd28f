<script setup lang="ts">
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useI18n } from 'vue-i18n';
import CodeField from './CodeField.vue';

/** Asks for the code of the second factor, from the phone or from paper. */
defineProps<{ busy: boolean; error: Error | null; fault?: string }>();
const emit = defineEmits<{ give: []; back: [] }>();
const code = defineModel<string>({ required: true });
const { t } = useI18n();
</script>

<template>
  <form class="space-y-4" @submit.prevent="emit('give')">
    <p>{{ t('people.factor.ask') }}</p>
    <CodeField v-model="code" first :label="t('people.factor.code')" :error="fault" />
    <ErrorNote v-if="!fault" :error="error" @retry="emit('give')" />
    <div class="flex flex-wrap items-center justify-between gap-4">
      <button type="button" class="min-h-12 underline underline-offset-4" @click="emit('back')">
        {{ t('people.factor.back') }}
      </button>
      <BigButton type="submit" tone="main" :busy="busy">{{ t('people.factor.go') }}</BigButton>
    </div>
  </form>
</template>
