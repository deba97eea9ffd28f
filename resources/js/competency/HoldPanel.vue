<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import SecretField from '@/ui/SecretField.vue';
import { useAction } from '@/ui/useAction';
import { useCommand } from '@/ui/useCommand';
import { useIntent } from '@/ui/useIntent';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';

/** Holding a permit after an incident, suspending, revoking it, or lifting the hold. */
const props = defineProps<{ permit: Schemas['PermitRecord']; learnerId: number }>();
const { t } = useI18n();
const reason = ref('');
const chosen = ref<Schemas['Hold']['type']>('incident_hold');
const types = computed<Schemas['Hold']['type'][]>(() =>
  props.permit.standing.held ? ['reinstated', 'revoked'] : ['incident_hold', 'suspended', 'revoked'],
);
const type = computed(() => (types.value.includes(chosen.value) ? chosen.value : (types.value[0] ?? 'suspended')));
const { person } = useMe();
const pin = ref('');
/** Placing a hold is anybody's who teaches, at once; lifting and revoking need the PIN, which is kept nowhere. */
const needsPin = computed(() => type.value === 'reinstated' || type.value === 'revoked');
const intent = useIntent(`hold.${props.learnerId}.${props.permit.code}.${person.value?.id}`);
const path = { learner: String(props.learnerId), permit: props.permit.code };
const signed = useAction(
  () =>
    must(
      api.POST('/api/competency/learners/{learner}/permits/{permit}/holds', {
        params: { path },
        body: { id: intent.id.value, type: type.value, reason: reason.value, pin: pin.value },
      }),
    ),
  () => {
    intent.done();
    clear();
  },
);
const kept = useCommand(
  (_input: undefined, id) => ({
    about: `hold:${id}`,
    method: 'POST',
    path: `/api/competency/learners/${props.learnerId}/permits/${props.permit.code}/holds`,
    body: { id, type: type.value, reason: reason.value },
    label: { key: 'outbox.hold', words: { what: reason.value } },
  }),
  clear,
);
const place = computed(() => (needsPin.value ? signed : kept));
const fieldErrors = computed(() => place.value.fieldErrors.value);
function clear() {
  reason.value = '';
  pin.value = '';
}
/** Another kind, or other words, are another intent. */
watch([type, reason], () => intent.done());
</script>

<template>
  <section>
    <h2>{{ t('hold.title') }}</h2>
    <p class="text-sm text-quiet">{{ t('hold.words') }}</p>
    <form class="mt-2 flex flex-wrap items-end gap-3" @submit.prevent="place.run(undefined)">
      <FormField v-slot="field" :label="t('hold.what')" class="w-56">
        <select
          :id="field.id"
          :value="type"
          class="field"
          @change="chosen = ($event.target as HTMLSelectElement).value as typeof chosen"
        >
          <option v-for="option in types" :key="option" :value="option">{{ t(`ledger.${option}`) }}</option>
        </select>
      </FormField>
      <FormField v-slot="field" :label="t('hold.reason')" class="min-w-64 flex-1" :error="fieldErrors.reason?.[0]">
        <input
          :id="field.id"
          v-model="reason"
          class="field"
          required
          minlength="5"
          maxlength="500"
          :aria-invalid="field.invalid"
          :aria-describedby="field.described"
        />
      </FormField>
      <SecretField
        v-if="needsPin"
        v-model="pin"
        kind="pin"
        class="w-44"
        :label="t('sign.pin')"
        :error="fieldErrors.pin?.[0]"
      />
      <BigButton type="submit" tone="no" :busy="place.busy.value">{{ t('hold.act') }}</BigButton>
    </form>
    <ErrorNote
      v-if="!fieldErrors.reason && !fieldErrors.pin"
      class="mt-2"
      :error="place.error.value"
      @retry="place.run(undefined)"
    />
  </section>
</template>
