import { useElementBounding, useWindowSize } from '@vueuse/core';
import { computed, type Ref } from 'vue';

/** Which item of a list is looked at: the one on the line a third down the window, by its index; null while none is. */
export function useLookedAt(list: Ref<HTMLElement | null>) {
  const { top, bottom } = useElementBounding(list);
  const { height } = useWindowSize();
  return computed(() => {
    const line = height.value / 3;
    if (!list.value || top.value > line || bottom.value < line) return null;
    const found = [...list.value.children].findIndex((item) => item.getBoundingClientRect().bottom > line);
    return found < 0 ? null : String(found);
  });
}
