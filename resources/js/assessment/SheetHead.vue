<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';
import MachineState from './MachineState.vue';

/** Whose sheet it is, on what, at which machine and how that was found: at the machine and when it has ended. */
defineProps<{ attempt: Schemas['AssessmentAttempt'] }>();
const { t } = useI18n();
</script>

<template>
  <div class="flex flex-wrap items-baseline gap-x-6">
    <h1>{{ attempt.sheet.title }}: {{ attempt.learner.name }}</h1>
    <p class="text-quiet">
      {{
        t('sheet.facts', {
          part: attempt.sheet.part,
          material: attempt.sheet.material,
          machine: attempt.sheet.machine ?? '',
          assessor: attempt.assessor,
        })
      }}
      <slot />
    </p>
  </div>
  <MachineState v-if="attempt.machine_state" :state="attempt.machine_state" />
</template>
