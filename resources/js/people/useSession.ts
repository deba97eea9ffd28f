import { onSessionLost, speakFor } from '@/api/client';
import { flush, openOutbox, stuck, watchOutbox } from '@/api/outbox';
import { speak } from '@/i18n';
import { queryClient } from '@/api/queries';
import { ref, watch } from 'vue';
import { askMe, useMe } from '@/api/useMe';

/** Why whoever works on this page must sign in again, if so. Their page stays as it is. */
export const sessionLost = ref<'signed_out' | 'another_person' | null>(null);

/** Ties the page to whoever is signed in on it: what it sends is theirs, and is kept when their session ends. */
export function watchSession() {
  const { person } = useMe();
  onSessionLost((why) => (sessionLost.value = why));
  watch(stuck, (why) => {
    if (why === 'signed_out' || why === 'another_person') sessionLost.value = why;
  });
  watch(
    () => person.value?.id ?? null,
    (id) => {
      // While one has to sign in again, the page is still theirs.
      if (id === null && sessionLost.value !== null) return;
      speakFor(id);
      if (id !== null) openOutbox();
    },
    { immediate: true },
  );
  // Whoever signs in is spoken to in the language they chose.
  watch(
    () => person.value?.language,
    (language) => void speak(language),
    { immediate: true },
  );
  watchOutbox();
}

/** Somebody signed in over the page: if it is who it was, everything goes on; if not, the page becomes theirs. */
export async function signedInAgain(before: number | null, now: number) {
  if (before !== null && before !== now) {
    window.location.assign('/');
    return;
  }
  sessionLost.value = null;
  await askMe(true);
  await flush();
  await queryClient.invalidateQueries();
}
