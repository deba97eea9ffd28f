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
    type?: 'text' | 'email' | 'search';
  }>(),
  { mode: 'text', type: 'text' },
);
</script>

<template>
  <FormField v-slot="field" :label="label" :hint="hint" :error="error">
    <input
      :id="field.id"
      v-model="text"
      class="field"
      :class="{ reading }"
      :type="type"
      :inputmode="type === 'email' ? 'email' : mode"
      :required="required"
      autocomplete="off"
      spellcheck="false"
      :aria-invalid="field.invalid"
      :aria-describedby="field.described"
    />
  </FormField>
</template>
