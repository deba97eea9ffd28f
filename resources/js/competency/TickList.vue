<script setup lang="ts" generic="Value extends string | number">
/** Several of a list, each with its words. */
const chosen = defineModel<Value[]>({ required: true });
defineProps<{
  label: string;
  options: { value: Value; label: string; note?: string }[];
  hint?: string;
  error?: string;
}>();
</script>

<template>
  <fieldset :aria-invalid="Boolean(error)">
    <legend class="font-semibold">{{ label }}</legend>
    <p v-if="hint" class="text-sm text-quiet">{{ hint }}</p>
    <p v-if="options.length === 0" class="text-quiet">—</p>
    <div class="grid gap-x-6 sm:grid-cols-2">
      <label v-for="option in options" :key="option.value" class="flex min-h-12 items-center gap-3">
        <input v-model="chosen" type="checkbox" class="size-6 shrink-0" :value="option.value" />
        <span
          >{{ option.label }} <span v-if="option.note" class="text-sm text-quiet">{{ option.note }}</span></span
        >
      </label>
    </div>
    <p v-if="error" class="text-no"><strong>✕</strong> {{ error }}</p>
  </fieldset>
</template>
