<script setup lang="ts">
import type { Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import { useI18n } from 'vue-i18n';

/** Several who may are on the floor: one of them watches, and is named with the turn. */
defineProps<{ read: Schemas['GateAnswer']; busy: boolean }>();
const emit = defineEmits<{ name: [id: number]; cancel: [] }>();
const { t } = useI18n();
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-8 py-4" data-testid="ask">
    <p class="text-4xl font-bold">{{ t('gate.ask.supervisor') }}</p>
    <p class="mt-1 text-2xl text-quiet">{{ t('gate.ask.supervisorWords', { person: read.person ?? '' }) }}</p>
    <div class="mt-4 grid grid-cols-2 gap-3 lg:grid-cols-3">
      <button
        v-for="each in read.choices?.supervisors ?? []"
        :key="each.id"
        type="button"
        class="min-h-24 border-2 border-ink bg-sheet px-4 text-2xl font-semibold"
        :disabled="busy"
        @click="emit('name', each.id)"
      >
        {{ each.name }}
      </button>
    </div>
    <BigButton class="mt-5" @click="emit('cancel')">{{ t('gate.ask.cancel') }}</BigButton>
  </section>
</template>
