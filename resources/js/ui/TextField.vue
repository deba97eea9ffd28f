<script setup lang="ts">
import FormField from './FormField.vue';

const text = defineModel<string>({ required: true });
withDefaults(
  defineProps<{
    label: string;
    hint?: string;
    error?: string;
    mode?: 'text' | 'numeric' | 'decimal';
    reading?: boolean;
    required?: boolean;
  }>(),
  { mode: 'text' },
);
</script>

<template>
  <FormField v-slot="field" :label="label" :hint="hint" :error="error">
    <input
      :id="field.id"
      v-model="text"
      class="field"
      :class="{ reading }"
      :inputmode="mode"
      :required="required"
      autocomplete="off"
      spellcheck="false"
      :aria-invalid="field.invalid"
      :aria-describedby="field.described"
    />
  </FormField>
</template>
