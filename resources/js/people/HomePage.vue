<script setup lang="ts">
import { watchEffect } from 'vue';
import { useRouter } from 'vue-router';
import { useMe } from '@/api/useMe';

/** Sends each person to their own first screen. */
const { person, teaches, audits } = useMe();
const router = useRouter();
watchEffect(() => {
  if (person.value) void router.replace({ name: teaches.value ? 'today' : audits.value ? 'changes' : 'path' });
});
</script>

<template><div /></template>
