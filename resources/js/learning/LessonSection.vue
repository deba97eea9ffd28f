<script setup lang="ts">
import type { Schemas } from '@/api/client';
import HoleSection from '@/planning/HoleSection.vue';

/** The section drawing of a lesson that is bound to a hole; nothing for one that is not. */
const props = defineProps<{ lesson: Schemas['Lesson'] }>();
const mm = (key: string) => props.lesson.figures[key]?.value_mm ?? 0;
</script>

<template>
  <HoleSection
    v-if="lesson.part && lesson.figures['final.drill']"
    :thickness-mm="lesson.part.thickness_mm"
    :drill-mm="mm('final.drill')"
    :pilot-mm="mm('pilot.drill')"
    :point-mm="mm('final.point')"
    :travel-mm="mm('travel')"
  />
</template>
