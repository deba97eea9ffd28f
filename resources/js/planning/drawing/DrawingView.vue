<script setup lang="ts">
import { useSay } from '@/language/useSay';
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed, useId } from 'vue';
import { useI18n } from 'vue-i18n';

/** A drawing of the core, to scale, its dimensions in the reader's units; what the step that is looked at leaves stands out. */
const props = defineProps<{ drawing: Schemas['Drawing']; looked?: string }>();
type Shape = Schemas['DrawingShape'];
const { t } = useI18n();
const { say } = useSay();
const { length } = useUnits();
const hatch = useId();

const view = computed(() => {
  const { min_x, min_y, max_x, max_y } = props.drawing;
  return `${min_x} ${-max_y} ${max_x - min_x} ${max_y - min_y}`;
});
/** The drawing's own scale: a letter is as tall as it says, and lines do not thicken with it. */
const points = (shape: Shape) => (shape.points ?? []).map(([x = 0, y = 0]) => `${x},${-y}`).join(' ');
const words = (shape: Shape) => say(shape.before) + (shape.length_mm == null ? '' : length(shape.length_mm, 2));
const line = (shape: Shape) => [
  `line-${shape.style}`,
  { looked: props.looked !== undefined && shape.of === props.looked },
];
const fill = (shape: Shape) =>
  shape.hatched ? `url(#${hatch})` : shape.style === 'arrow' ? 'currentColor' : undefined;
/** A lesson's drawing has its words beside the lessons: `lesson.grab`; a scene's beside the set-ups: `scene.press`. */
const title = computed(() => {
  const [of, name] = props.drawing.title.split('.');
  if (name === undefined) return `planning.drawing.${of}`;
  return of === 'scene' ? `core.setup.scene.title.${name}` : `lesson.drawing.${name}`;
});
const name = computed(() =>
  [t(title.value), ...props.drawing.shapes.filter((shape) => shape.kind === 'text').map(words)].join(', '),
);
</script>

<template>
  <svg :viewBox="view" role="img" :aria-label="name" fill="none" stroke="currentColor" class="drawing w-full">
    <defs>
      <pattern
        :id="hatch"
        :width="drawing.text_mm * 0.75"
        :height="drawing.text_mm * 0.75"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line x1="0" y1="0" x2="0" :y2="drawing.text_mm * 0.75" :stroke-width="drawing.text_mm * 0.05" opacity="0.6" />
      </pattern>
    </defs>
    <template v-for="(shape, index) in drawing.shapes" :key="index">
      <polygon
        v-if="shape.kind === 'path' && shape.closed"
        :points="points(shape)"
        :class="line(shape)"
        :fill="fill(shape)"
      />
      <polyline v-else-if="shape.kind === 'path'" :points="points(shape)" :class="line(shape)" />
      <circle
        v-else-if="shape.kind === 'circle'"
        :cx="shape.x"
        :cy="-(shape.y ?? 0)"
        :r="shape.radius"
        :class="line(shape)"
      />
      <text
        v-else
        :x="shape.x"
        :y="-(shape.y ?? 0)"
        :text-anchor="shape.anchor"
        :font-size="drawing.text_mm"
        :transform="shape.upright ? `rotate(-90 ${shape.x} ${-(shape.y ?? 0)})` : undefined"
        fill="currentColor"
        stroke="none"
      >
        {{ words(shape) }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.drawing {
  font-family: var(--font-mono);
}
.drawing polygon,
.drawing polyline,
.drawing circle {
  vector-effect: non-scaling-stroke;
  stroke-width: 0.8;
}
.drawing .line-outline {
  stroke-width: 1.8;
}
.drawing .line-tool {
  stroke: var(--blue);
  stroke-width: 1.6;
}
.drawing .line-fault {
  stroke: var(--no);
  stroke-width: 2.6;
}
.drawing .line-centre {
  stroke-dasharray: 12 3 2 3;
}
.drawing .line-hidden {
  stroke-dasharray: 5 3;
}
.drawing .looked {
  stroke: var(--bronze);
  stroke-width: 3.4;
}
.drawing .line-arrow {
  stroke: none;
}
</style>
