import { useMutationObserver, useDebounceFn } from '@vueuse/core';
import type { Ref } from 'vue';

const NAME = 'Mill Step';
const SETTLED_MS = 150;

/** The tab says what the page says at its head, in the language that it says it in, and whose shop it is. */
export function usePageTitle(shop: Ref<string | undefined>) {
  const say = useDebounceFn(() => {
    const head = document.querySelector('main h1')?.textContent?.replace(/\s+/g, ' ').trim();
    const title = [head, shop.value || NAME].filter(Boolean).join(' – ');
    if (document.title !== title) document.title = title;
  }, SETTLED_MS);
  useMutationObserver(document.body, say, { childList: true, subtree: true, characterData: true });
  void say();
}
