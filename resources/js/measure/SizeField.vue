<script setup lang="ts">
import FormField from '@/ui/FormField.vue';
import type { SizeKind } from './understand';
import { useSize } from './useSize';

/** Takes a size as it is said in the shop (3/8, #7, F, 6.8, 15 thou) and says back what was understood. */
const text = defineModel<string>({ required: true });
const props = defineProps<{ label: string; hint?: string; error?: string; as?: SizeKind; signed?: boolean }>();
const { echo, refused } = useSize(text, { as: () => props.as ?? 'length', signed: props.signed });
</script>

<template>
  <div>
    <FormField v-slot="field" :label="label" :hint="hint" :error="error ?? refused">
      <input
        :id="field.id"
        v-model="text"
        class="field reading"
        autocomplete="off"
        spellcheck="false"
        :aria-invalid="field.invalid"
        :aria-describedby="field.described"
      />
    </FormField>
    <p v-if="echo" class="mt-1 text-sm text-quiet" role="status">{{ echo }}</p>
  </div>
</template>
