import { useSwipe } from '@vueuse/core';
import type { Ref } from 'vue';

/** Far enough that no scrolling thumb turns the page. */
const FAR_PX = 90;

/** A step turned over like a page: to the left the next one, to the right the one before. */
export function useSwipeSteps(page: Readonly<Ref<HTMLElement | null>>, go: (by: number) => void) {
  const { lengthX, lengthY } = useSwipe(page, {
    threshold: FAR_PX,
    onSwipeEnd() {
      if (Math.abs(lengthX.value) < FAR_PX || Math.abs(lengthX.value) < 2 * Math.abs(lengthY.value)) return;
      go(lengthX.value > 0 ? 1 : -1);
    },
  });
}
