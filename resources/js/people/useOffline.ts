import { forgetOpened, keepNothing, keepOpened, mayKeep } from '@/api/worker';
import { useMe } from '@/api/useMe';
import { useLocalStorage } from '@vueuse/core';
import { computed, watch } from 'vue';

const wanted = useLocalStorage('millstep.offline', true);

/** Whether lessons go on here without a network; chosen once for this device. */
export function useOffline() {
  return {
    can: mayKeep(),
    wanted: computed({
      get: () => wanted.value,
      set: (on: boolean) => {
        wanted.value = on;
        void (on ? keepOpened() : keepNothing());
      },
    }),
  };
}

/** Keeps for learners what they open, and nobody's when they have gone. */
export function watchOffline() {
  const { me, person } = useMe();
  watch(
    () => (me.value === undefined ? undefined : (person.value?.role ?? null)),
    (role) => {
      if (role === 'learner' && wanted.value) void keepOpened();
      else if (role === null) forgetOpened();
    },
    { immediate: true },
  );
}
