import type { Schemas } from '@/api/client';
import { meQuery } from '@/api/useMe';
import { hold, keepOpened, letGo } from '@/api/worker';
import { useOffline } from '@/people/useOffline';
import { useQueryClient } from '@tanstack/vue-query';
import { tryOnScopeDispose, useDebounceFn } from '@vueuse/core';
import { watch } from 'vue';

/** What the page asks for beside the sheet itself, by the key under which it is known here. */
const BESIDE = {
  '/api/people/me': meQuery.queryKey,
  '/api/assessment/attempts': ['open-sheets'],
  '/api/workshop/gauges': ['gauges'],
};
/** What comes in together beside the sheet is handed over once. */
const TOGETHER_MS = 100;

/**
 * A sheet that is being marked is there after a reload without a network, as it was: for whoever marks it, on a tablet of their
 * own, and until it has ended. A tablet that is signed in on as shared keeps nothing of anybody.
 */
export function useHeldSheet(attempt: () => Schemas['AssessmentAttempt'] | undefined) {
  const client = useQueryClient();
  const { can, wanted } = useOffline();
  if (!can) return;
  let asked: Promise<void> | null = null;

  async function settle() {
    const now = attempt();
    const beside = Object.entries(BESIDE).map(([path, key]) => [path, client.getQueryData(key)] as const);
    const me = client.getQueryData<Schemas['Me']>(meQuery.queryKey);
    if (!now || !me?.person) return;
    const path = `/api/assessment/attempts/${now.id}`;
    const marks = now.viewer === 'assessor' || now.viewer === 'second';
    const over = now.cancelled_at !== null || (now.concluded_at !== null && now.viewer !== 'second');
    if (!marks || over) {
      letGo([path]);
    } else if (wanted.value && me.idle_minutes === null) {
      const known = client.getQueryState(meQuery.queryKey)?.dataUpdatedAt ?? 0;
      await (asked ??= keepOpened());
      await hold({ ...Object.fromEntries(beside.filter(([, body]) => body !== undefined)), [path]: now }, known);
    }
  }

  // A mark that the server has is handed over at once: the battery may go now.
  watch(attempt, settle, { immediate: true });
  const settleSoon = useDebounceFn(settle, TOGETHER_MS);
  tryOnScopeDispose(
    client.getQueryCache().subscribe(({ type, query }) => {
      if (type === 'updated' && Object.values(BESIDE).some((key) => key[0] === query.queryKey[0])) void settleSoon();
    }),
  );
}
