<script setup lang="ts">
import FormField from '@/ui/FormField.vue';
import { onMounted, useTemplateRef } from 'vue';

/** The six digits that a phone shows now, or a recovery code from paper. */
const props = defineProps<{ label: string; error?: string; first?: boolean }>();
const code = defineModel<string>({ required: true });
const LONGEST = 20;
const box = useTemplateRef<HTMLInputElement>('box');
onMounted(() => {
  if (props.first) box.value?.focus();
});
</script>

<template>
  <FormField v-slot="field" :label="label" :error="error">
    <input
      :id="field.id"
      ref="box"
      v-model="code"
      class="field reading"
      type="text"
      inputmode="numeric"
      autocomplete="one-time-code"
      :maxlength="LONGEST"
      required
      :aria-invalid="field.invalid"
      :aria-describedby="field.described"
    />
  </FormField>
</template>
