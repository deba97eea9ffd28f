<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import SizeField from '@/measure/SizeField.vue';
import { useMe } from '@/people/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import HoleGlyph from '@/ui/HoleGlyph.vue';
import PageState from '@/ui/PageState.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';
import { computed, reactive, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';

const props = defineProps<{ id: string; permit: string }>();
const { t } = useI18n();
const { person, teaches } = useMe();
const router = useRouter();
const path = { learner: props.id, permit: props.permit };
const proposal = useQuery({
  queryKey: ['sign-off', props.id, props.permit],
  queryFn: () => must(api.GET('/api/competency/learners/{learner}/permits/{permit}/sign-off', { params: { path } })),
  refetchInterval: 10_000,
});
const own = computed(() => String(person.value?.id) === props.id);
const OPERATIONS = ['drill', 'countersink', 'ream', 'tap'];

const form = reactive({
  pin: '',
  validUntil: '',
  everyMaterial: true,
  materials: [] as string[],
  operations: [] as string[],
  maxDiameter: '',
  companion: false,
  filled: false,
});
watch(
  proposal.data,
  (data) => {
    if (!data || form.filled) return;
    form.filled = true;
    form.validUntil = data.valid_until;
    form.everyMaterial = data.scope.materials === undefined;
    form.materials = data.scope.materials ?? [];
    form.operations = data.scope.operations ?? OPERATIONS;
    form.maxDiameter = data.scope.max_diameter_mm === undefined ? '' : `${data.scope.max_diameter_mm} mm`;
    form.companion = data.scope.companion ?? false;
  },
  { immediate: true },
);

/** The same id for every try of this signature, so that a lost answer does not sign twice. */
const signatureId = uuid();
const acknowledgementId = uuid();
const acknowledge = useAction((data: Schemas['SignOffProposal']) =>
  must(
    api.POST('/api/competency/learners/{learner}/permits/{permit}/acknowledgement', {
      params: { path },
      body: { id: acknowledgementId, statement_version: data.statement.version },
    }),
  ),
);
const sign = useAction(
  () =>
    must(
      api.POST('/api/competency/learners/{learner}/permits/{permit}/sign-off', {
        params: { path },
        body: {
          id: signatureId,
          pin: form.pin,
          valid_until: form.validUntil,
          materials: form.everyMaterial ? null : form.materials,
          operations: form.operations.length === OPERATIONS.length ? null : form.operations,
          max_diameter: form.maxDiameter,
          companion: form.companion,
        },
      }),
    ),
  () => router.push({ name: 'learner', params: { id: props.id } }),
);
const onlyGeneral = computed(() => (Object.keys(sign.fieldErrors.value).length === 0 ? sign.error.value : null));
</script>

<template>
  <PageState v-slot="{ data }" :data="proposal.data.value" :error="proposal.error.value" @retry="proposal.refetch()">
    <div class="mx-auto max-w-4xl">
      <div class="flex items-center gap-4">
        <HoleGlyph :stage="data.standing.stage" :held="data.standing.held" :lapsed="data.standing.lapsed" :size="72" />
        <div>
          <h1>{{ t(own ? 'sign.ownTitle' : 'sign.title', { name: data.learner.name }) }}</h1>
          <p>
            {{ data.permit.name }} ·
            {{ t('stage.of', { name: t(`stage.${data.standing.stage}`), stage: data.standing.stage }) }}
          </p>
        </div>
      </div>

      <section class="sheet mt-5 p-5">
        <h2>{{ t('sign.statement', { version: data.statement.version }) }}</h2>
        <p class="mt-2 max-w-prose text-lg whitespace-pre-line">{{ data.statement.body }}</p>
        <p class="mt-3 font-semibold" :class="data.acknowledged ? 'text-alone' : 'text-supervised'">
          {{ data.acknowledged ? `✓ ${t('sign.acknowledged')}` : `○ ${t('sign.notAcknowledged')}` }}
        </p>
        <template v-if="own && !data.acknowledged">
          <p v-if="data.standing.stage < 4" class="mt-2">{{ t('sign.tooEarlyOwn') }}</p>
          <BigButton v-else class="mt-3" tone="main" :busy="acknowledge.busy.value" @click="acknowledge.run(data)">{{
            t('sign.acknowledge')
          }}</BigButton>
          <ErrorNote class="mt-3" :error="acknowledge.error.value" @retry="acknowledge.run(data)" />
        </template>
      </section>

      <form v-if="teaches && !own" class="sheet mt-5 space-y-5 p-5" @submit.prevent="sign.run(undefined)">
        <h2>{{ t('sign.scope') }}</h2>
        <p v-if="data.standing.stage < 4" class="border-2 border-supervised p-3 font-semibold" role="status">
          ▲ {{ t('sign.tooEarly', { stage: data.standing.stage }) }}
        </p>
        <div class="grid gap-5 sm:grid-cols-3">
          <SizeField
            v-model="form.maxDiameter"
            :label="t('sign.maxDiameter')"
            :hint="t('sign.maxDiameterHint')"
            :error="sign.fieldErrors.value.text?.[0]"
          />
          <FormField v-slot="field" :label="t('sign.validUntil')" :error="sign.fieldErrors.value.valid_until?.[0]">
            <input
              :id="field.id"
              v-model="form.validUntil"
              type="date"
              class="field"
              required
              :aria-invalid="field.invalid"
              :aria-describedby="field.described"
            />
          </FormField>
          <label class="flex min-h-12 items-center gap-3 self-end"
            ><input v-model="form.companion" type="checkbox" class="size-6" /> {{ t('sign.companion') }}</label
          >
        </div>
        <fieldset>
          <legend class="font-semibold">{{ t('sign.operations') }}</legend>
          <label v-for="operation in OPERATIONS" :key="operation" class="mr-6 inline-flex min-h-12 items-center gap-3"
            ><input v-model="form.operations" type="checkbox" class="size-6" :value="operation" />
            {{ t(`operation.${operation}`) }}</label
          >
        </fieldset>
        <fieldset>
          <legend class="font-semibold">{{ t('sign.materials') }}</legend>
          <label class="inline-flex min-h-12 items-center gap-3"
            ><input v-model="form.everyMaterial" type="checkbox" class="size-6" /> {{ t('sign.everyMaterial') }}</label
          >
          <div v-if="!form.everyMaterial" class="grid sm:grid-cols-3">
            <label
              v-for="material in data.materials"
              :key="material.key"
              class="inline-flex min-h-12 items-center gap-3"
              ><input v-model="form.materials" type="checkbox" class="size-6" :value="material.key" />
              {{ material.name }}</label
            >
          </div>
        </fieldset>
        <div class="flex flex-wrap items-end gap-4 border-t border-hairline pt-4">
          <FormField
            v-slot="field"
            :label="t('sign.pin')"
            :hint="t('sign.pinHint')"
            class="w-72"
            :error="sign.fieldErrors.value.pin?.[0]"
          >
            <input
              :id="field.id"
              v-model="form.pin"
              class="field reading"
              type="password"
              inputmode="numeric"
              autocomplete="off"
              maxlength="12"
              required
              :aria-describedby="field.described"
            />
          </FormField>
          <BigButton type="submit" tone="main" :busy="sign.busy.value">{{ t('sign.sign') }}</BigButton>
        </div>
        <ErrorNote :error="onlyGeneral" @retry="sign.run(undefined)" />
      </form>
      <PrecedenceNote class="mt-5" />
    </div>
  </PageState>
</template>
