import { useStorage } from '@vueuse/core';
import { nextTick, watchEffect } from 'vue';

export type Paper = 'A4' | 'letter';
const paper = useStorage<Paper>('millstep.paper', 'A4');

/** The paper in the printer beside this device; the browser is told before it prints. */
export function usePaper() {
  watchEffect(() => {
    let style = document.getElementById('paper-size');
    if (!style) {
      style = document.createElement('style');
      style.id = 'paper-size';
      document.head.append(style);
    }
    style.textContent = `@page { size: ${paper.value}; margin: 11mm; }`;
  });
  async function print() {
    await nextTick();
    window.print();
  }
  return { paper, print };
}
