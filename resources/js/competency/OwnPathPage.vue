<script setup lang="ts">
import { useMe } from '@/api/useMe';
import LearnerPage from './LearnerPage.vue';

/** A learner's own path: their record, and nobody else's. */
const { person } = useMe();
</script>

<template>
  <LearnerPage v-if="person" :id="String(person.id)" />
</template>
