<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import { useAction } from '@/ui/useAction';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
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
const place = useAction(
  () =>
    must(
      api.POST('/api/competency/learners/{learner}/permits/{permit}/holds', {
        params: { path: { learner: String(props.learnerId), permit: props.permit.code } },
        body: { id: uuid(), type: type.value, reason: reason.value },
      }),
    ),
  () => (reason.value = ''),
);
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
      <FormField
        v-slot="field"
        :label="t('hold.reason')"
        class="min-w-64 flex-1"
        :error="place.fieldErrors.value.reason?.[0]"
      >
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
      <BigButton type="submit" tone="no" :busy="place.busy.value">{{ t('hold.act') }}</BigButton>
    </form>
    <ErrorNote
      v-if="!place.fieldErrors.value.reason"
      class="mt-2"
      :error="place.error.value"
      @retry="place.run(undefined)"
    />
  </section>
</template>
