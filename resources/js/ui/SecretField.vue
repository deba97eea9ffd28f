<script setup lang="ts">
import { computed } from 'vue';
import FormField from './FormField.vue';

/** A password, or a signing PIN: never shown, and a PIN never offered to be kept. */
const props = defineProps<{
  label: string;
  kind: 'password' | 'new-password' | 'pin';
  hint?: string;
  error?: string;
}>();
const secret = defineModel<string>({ required: true });
const PIN_DIGITS = { min: 4, max: 12 };
const isPin = computed(() => props.kind === 'pin');
</script>

<template>
  <FormField v-slot="field" :label="label" :hint="hint" :error="error">
    <input
      :id="field.id"
      v-model="secret"
      class="field"
      :class="{ reading: isPin }"
      type="password"
      :inputmode="isPin ? 'numeric' : undefined"
      :autocomplete="isPin ? 'off' : kind === 'new-password' ? 'new-password' : 'current-password'"
      :minlength="isPin ? PIN_DIGITS.min : undefined"
      :maxlength="isPin ? PIN_DIGITS.max : 255"
      required
      :aria-invalid="field.invalid"
      :aria-describedby="field.described"
    />
  </FormField>
</template>
