<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useSay } from '@/language/useSay';
import DrawingView from '@/planning/drawing/DrawingView.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** A drawn set-up whose places can be pointed at: by finger, by key, and by what is said to be seen there. */
const props = defineProps<{ scene: Schemas['Scene']; answer: string[]; closed: boolean; wrong?: string[] }>();
const emit = defineEmits<{ answer: [value: string[]] }>();
const { t } = useI18n();
const { say } = useSay();

/** Where a place lies on the drawing, in hundredths of its sides. */
const boxes = computed(() => {
  const { min_x, min_y, max_x, max_y } = props.scene.drawing;
  return props.scene.places.map((place) => ({
    ...place,
    marked: props.answer.includes(place.id),
    style: {
      left: `${(100 * (place.min_x - min_x)) / (max_x - min_x)}%`,
      width: `${(100 * (place.max_x - place.min_x)) / (max_x - min_x)}%`,
      top: `${(100 * (max_y - place.max_y)) / (max_y - min_y)}%`,
      height: `${(100 * (place.max_y - place.min_y)) / (max_y - min_y)}%`,
    },
  }));
});
const marked = computed(() => boxes.value.filter((place) => place.marked));

function point(id: string) {
  emit('answer', props.answer.includes(id) ? props.answer.filter((each) => each !== id) : [...props.answer, id]);
}
</script>

<template>
  <div class="mt-3">
    <p class="text-sm text-quiet">{{ t('check.hazardHint') }}</p>
    <div class="relative mx-auto mt-2 max-w-3xl" role="group" :aria-label="t('check.hazardPlaces')">
      <DrawingView :drawing="scene.drawing" aria-hidden="true" />
      <button
        v-for="place in boxes"
        :key="place.id"
        type="button"
        class="place absolute"
        :class="{ marked: place.marked }"
        :style="place.style"
        :aria-pressed="place.marked"
        :aria-label="say(place.seen)"
        :disabled="closed"
        :data-place="place.id"
        @click="point(place.id)"
      >
        <span v-if="place.marked" aria-hidden="true" class="flag">✕</span>
      </button>
    </div>
    <p class="mt-2 font-semibold" aria-live="polite">{{ t('check.hazardMarked', marked.length) }}</p>
    <ul v-if="marked.length > 0" class="mt-1 flex flex-wrap gap-2">
      <li v-for="place in marked" :key="place.id">
        <button
          type="button"
          class="min-h-12 border-2 border-no px-3 text-left"
          :disabled="closed"
          :aria-label="t('check.hazardUnmark', { seen: say(place.seen) })"
          @click="point(place.id)"
        >
          <span aria-hidden="true" class="text-no">✕</span> {{ say(place.seen) }}
        </button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.place {
  border: 2px dashed transparent;
  background: transparent;
}
.place:hover:not(:disabled) {
  border-color: var(--blue);
}
.place:focus-visible {
  outline: 3px solid var(--blue);
  outline-offset: 1px;
}
.place.marked {
  border: 3px solid var(--no);
}
.flag {
  position: absolute;
  top: -0.1rem;
  right: 0.2rem;
  color: var(--no);
  font-weight: 700;
  line-height: 1.2;
}
</style>
