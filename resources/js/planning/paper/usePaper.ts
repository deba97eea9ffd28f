import { useStorage } from '@vueuse/core';
import { nextTick, watchEffect } from 'vue';

export type Paper = 'A4' | 'letter';
const paper = useStorage<Paper>('millstep.paper', 'A4');
/** Made by script, not written into the page: the page's policy takes no styles from anywhere but our own files. */
let sheet: CSSStyleSheet | undefined;

/** The paper in the printer beside this device; the browser is told before it prints. */
export function usePaper() {
  watchEffect(() => {
    if (!sheet) {
      sheet = new CSSStyleSheet();
      document.adoptedStyleSheets.push(sheet);
    }
    sheet.replaceSync(`@page { size: ${paper.value}; margin: 11mm; }`);
  });
  async function print() {
    await nextTick();
    window.print();
  }
  return { paper, print };
}
