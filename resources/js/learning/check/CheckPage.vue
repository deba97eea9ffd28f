<script setup lang="ts">
import { api, must } from '@/api/client';
import PageState from '@/ui/PageState.vue';
import { useMutation } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';
import { onMounted } from 'vue';
import { useRouter } from 'vue-router';

/** Draws a paper, or goes on with the one that is open, and moves to it. */
const props = defineProps<{ code: string }>();
const router = useRouter();
const id = uuid();
const start = useMutation({
  mutationFn: () =>
    must(api.POST('/api/learning/checks/{code}/attempts', { params: { path: { code: props.code } }, body: { id } })),
  onSuccess: (attempt) => router.replace({ name: 'paper', params: { id: attempt.id } }),
});
onMounted(() => start.mutate());
</script>

<template><PageState :data="undefined" :error="start.error.value" @retry="start.mutate()" /></template>
