<script setup lang="ts">
import { useId } from 'vue';

const props = defineProps<{ label: string; hint?: string; error?: string; asId?: string }>();
const made = useId();
/** Where something else has to find the field, it has a name of its own. */
const id = props.asId ?? made;
</script>

<template>
  <div>
    <label :for="id" class="mb-1 block font-semibold">{{ label }}</label>
    <p v-if="hint" :id="`${id}-hint`" class="mb-1 text-sm text-quiet">{{ hint }}</p>
    <slot :id="id" :invalid="Boolean(error)" :described="error ? `${id}-error` : hint ? `${id}-hint` : undefined" />
    <p v-if="error" :id="`${id}-error`" role="alert" class="mt-1 text-sm font-semibold text-no">✕ {{ error }}</p>
  </div>
</template>
