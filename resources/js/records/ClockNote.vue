<script setup lang="ts">
import { api, must } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SecretField from '@/ui/SecretField.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** The clock was put back: no machine gets power until somebody who teaches says that it is right. Shown only then. */
const { t, d } = useI18n();
const REFRESH_MS = 15_000;
const clock = useQuery({
  queryKey: ['gate-clock'],
  queryFn: () => must(api.GET('/api/gate/clock')),
  refetchInterval: REFRESH_MS,
});
/** What the gate's own clock says, to the second: whoever confirms holds it against another clock. */
const instant = (at: string | null) => (at === null ? '' : d(at, { dateStyle: 'medium', timeStyle: 'medium' }));
const pin = ref('');
const id = ref(uuid());
const confirm = useAction(
  () => must(api.POST('/api/gate/clock/confirmation', { body: { id: id.value, pin: pin.value } })),
  () => {
    pin.value = '';
    id.value = uuid();
  },
);
</script>

<template>
  <form
    v-if="clock.data.value?.set_back"
    class="border-2 border-no bg-sheet p-4"
    role="alert"
    data-testid="clock"
    @submit.prevent="confirm.run()"
  >
    <p>
      <strong class="text-no">■ {{ t('gate.clock.title') }}</strong>
      {{ t('gate.clock.words', { now: instant(clock.data.value.now), latest: instant(clock.data.value.latest) }) }}
    </p>
    <div class="mt-2 flex flex-wrap items-end gap-4">
      <SecretField v-model="pin" class="w-56" kind="pin" :label="t('gate.clock.pin')" />
      <BigButton type="submit" tone="main" :busy="confirm.busy.value">{{ t('gate.clock.confirm') }}</BigButton>
    </div>
    <ErrorNote class="mt-2" :error="confirm.error.value" @retry="confirm.run()" />
  </form>
</template>
