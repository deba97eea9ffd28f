<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';

/**
 * Where a reader that types puts a badge, or a hand that has none. It takes the keys whenever nothing else does, shows no
 * code, and is empty again at once.
 */
defineProps<{ busy: boolean }>();
const emit = defineEmits<{ badge: [code: string] }>();
const { t } = useI18n();
const code = ref('');
const field = useTemplateRef<HTMLInputElement>('field');

function read() {
  const held = code.value.trim();
  code.value = '';
  if (held !== '') emit('badge', held);
}
/** A press on a button takes the focus away; the next badge must not go nowhere. */
function comeBack() {
  setTimeout(() => document.activeElement === document.body && field.value?.focus(), 0);
}
onMounted(() => field.value?.focus());
</script>

<template>
  <form class="flex flex-wrap items-center gap-3 border-t border-quiet bg-steel px-8 py-3" @submit.prevent="read">
    <label class="flex flex-1 items-center gap-3 font-semibold">
      {{ t('gate.badgeField') }}
      <input
        ref="field"
        v-model="code"
        type="password"
        class="field reading min-h-12 max-w-72"
        autocomplete="off"
        maxlength="64"
        data-badge
        @blur="comeBack"
      />
    </label>
    <button type="submit" class="min-h-12 border border-quiet bg-sheet px-4 font-semibold" :disabled="busy">
      {{ t('gate.read') }}
    </button>
  </form>
</template>
