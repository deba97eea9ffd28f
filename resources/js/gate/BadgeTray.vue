<script setup lang="ts">
import { deviceApi, must } from '@/api/client';
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** The demo's badge reader: badges to press, and a field for any other code. */
const props = defineProps<{ token: string; busy: boolean }>();
const emit = defineEmits<{ badge: [code: string] }>();
const { t } = useI18n();
const badges = useQuery({
  queryKey: ['demo-badges'],
  queryFn: () => must(deviceApi(props.token).GET('/api/gate/demo-badges')),
  staleTime: Infinity,
});
const other = ref('');
</script>

<template>
  <details class="border-t border-quiet bg-steel px-8 py-2" open>
    <summary class="flex min-h-12 cursor-pointer items-center font-semibold">▸ {{ t('gate.tray') }}</summary>
    <div class="flex max-h-48 flex-wrap gap-2 overflow-y-auto pb-3">
      <button
        v-for="badge in badges.data.value"
        :key="badge.code"
        type="button"
        class="min-h-12 border border-quiet bg-sheet px-3"
        :disabled="busy"
        @click="emit('badge', badge.code)"
      >
        {{ badge.name }} <span class="text-sm text-quiet">{{ t(`role.${badge.role}`) }}</span>
      </button>
      <form class="flex gap-2" @submit.prevent="emit('badge', other)">
        <input
          v-model="other"
          class="field reading w-44 min-h-12"
          required
          maxlength="64"
          :aria-label="t('gate.otherCode')"
          :placeholder="t('gate.otherCode')"
        />
        <button type="submit" class="min-h-12 border border-quiet bg-sheet px-4 font-semibold" :disabled="busy">
          {{ t('gate.read') }}
        </button>
      </form>
    </div>
  </details>
</template>
