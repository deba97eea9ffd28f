import { useSessionStorage } from '@vueuse/core';
import { v7 as uuid } from 'uuid';

/**
 * The id of one intent, kept over a reload until it is done: for what carries a PIN, which is kept nowhere, so that the
 * whole command cannot be.
 */
export function useIntent(about: string) {
  const id = useSessionStorage(`millstep.intent.${about}`, uuid());
  return { id, done: () => (id.value = uuid()) };
}
