<script setup lang="ts">
import { asTyped } from '@/measure/asTyped';
import { useSize } from '@/measure/useSize';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import { ref, watch } from 'vue';

/** A length of the policy, written as in the shop; unchanged it stays the exact figure that is in force. */
const props = defineProps<{ id: string; value: number | string | null; locked: boolean; invalid: boolean }>();
const emit = defineEmits<{ change: [value: number | string] }>();
const { units } = useUnits();

const shown = (value: number | string | null) => (typeof value === 'string' ? value : asTyped(value, units.value));
const text = ref(shown(props.value));
watch([() => props.value, units], () => {
  // What is being typed is left alone; it is said in its unit only when the units change or the figure comes from elsewhere.
  if (props.value !== withUnit(text.value.trim(), units.value)) text.value = shown(props.value);
});
const { echo, refused } = useSize(text);

let before = props.value;
function type(typed: string) {
  text.value = typed;
  if (typeof props.value === 'number') before = props.value;
  if (typeof before === 'number' && typed.trim() === asTyped(before, units.value)) emit('change', before);
  else emit('change', withUnit(typed.trim(), units.value));
}
</script>

<template>
  <input
    :id="id"
    class="field reading"
    autocomplete="off"
    spellcheck="false"
    :value="text"
    :disabled="locked"
    :aria-invalid="invalid || Boolean(refused)"
    @input="type(($event.target as HTMLInputElement).value)"
  />
  <p v-if="refused" class="mt-1 text-sm font-semibold text-no" role="alert">✕ {{ refused }}</p>
  <p v-else-if="echo && typeof value === 'string'" class="mt-1 text-sm text-quiet" role="status">{{ echo }}</p>
</template>
