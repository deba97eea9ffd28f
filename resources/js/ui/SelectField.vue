<script setup lang="ts">
import FormField from './FormField.vue';

/** One of several, each with its words. */
const chosen = defineModel<string>({ required: true });
defineProps<{ label: string; options: { value: string; label: string }[]; hint?: string; error?: string }>();
</script>

<template>
  <FormField v-slot="field" :label="label" :hint="hint" :error="error">
    <select
      :id="field.id"
      v-model="chosen"
      class="field"
      :aria-invalid="field.invalid"
      :aria-describedby="field.described"
    >
      <option v-for="option in options" :key="option.value" :value="option.value">{{ option.label }}</option>
    </select>
  </FormField>
</template>
