<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { asTyped } from '@/measure/asTyped';
import SizeField from '@/measure/SizeField.vue';
import { useUnits } from '@/measure/useUnits';
import { withUnit } from '@/measure/withUnit';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import DateField from '@/ui/DateField.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import HoleGlyph from '@/ui/HoleGlyph.vue';
import PageState from '@/ui/PageState.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import SecretField from '@/ui/SecretField.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { useCommand } from '@/ui/useCommand';
import { useIntent } from '@/ui/useIntent';
import { computed, reactive, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import RestsOn from './RestsOn.vue';
import { useScope } from './useScope';
import { useShown } from './useShown';

const props = defineProps<{ id: string; permit: string }>();
const { t, d } = useI18n();
const { person, teaches } = useMe();
const { units } = useUnits();
const { words: scopeWords } = useScope();
const { covers, line: shownLine } = useShown();
/** What was shown for every operation that is ticked. */
const isShown = (data: Schemas['SignOffProposal'], material: string) =>
  form.operations.every((operation) => covers(data.shown, operation, material));
/** Of what was shown that which this permit is about. */
const shownHere = (data: Schemas['SignOffProposal']) =>
  (data.shown ?? [])
    .filter(({ operation }) => operation === undefined || data.operations.includes(operation))
    .map((one) => ({
      ...one,
      materials: one.materials.filter((material) => data.materials.some(({ key }) => key === material)),
    }))
    .filter(({ materials }) => materials.length > 0);
const router = useRouter();
const path = { learner: props.id, permit: props.permit };
const proposal = useQuery({
  queryKey: ['sign-off', props.id, props.permit],
  queryFn: () => must(api.GET('/api/competency/learners/{learner}/permits/{permit}/sign-off', { params: { path } })),
  refetchInterval: 10_000,
});
const own = computed(() => String(person.value?.id) === props.id);

const form = reactive({
  pin: '',
  validUntil: '',
  materials: [] as string[],
  operations: [] as string[],
  maxDiameter: '',
  minThickness: '',
  companion: false,
  filled: false,
});
watch(
  proposal.data,
  (data) => {
    if (!data || form.filled) return;
    form.filled = true;
    form.validUntil = data.valid_until;
    // Nothing is ticked beforehand where the permit names materials: the instructor says which were taught.
    form.operations = data.operations.filter((operation) =>
      data.materials.some(({ key }) => covers(data.shown, operation, key)),
    );
    form.materials =
      data.scope.materials === undefined
        ? data.materials.map((material) => material.key).filter((key) => isShown(data, key))
        : [];
    form.maxDiameter = asTyped(data.scope.max_diameter_mm, units.value);
    form.minThickness = asTyped(data.scope.min_thickness_mm, units.value);
    form.companion = data.scope.companion ?? false;
  },
  { immediate: true },
);

/** The same id for every try of this signature, so that a lost answer does not sign twice; what is changed is another. */
const intent = useIntent(`sign-off.${props.id}.${props.permit}`);
watch(
  () => JSON.stringify({ ...form, pin: '' }),
  () => intent.done(),
);
const acknowledge = useCommand((data: Schemas['SignOffProposal'], id) => ({
  about: `acknowledgement:${props.id}:${props.permit}`,
  method: 'POST',
  path: `/api/competency/learners/${props.id}/permits/${props.permit}/acknowledgement`,
  body: { id, statement_version: data.statement.version },
  label: { key: 'outbox.acknowledgement' },
}));
const sign = useAction(
  () =>
    must(
      api.POST('/api/competency/learners/{learner}/permits/{permit}/sign-off', {
        params: { path },
        body: {
          id: intent.id.value,
          pin: form.pin,
          valid_until: form.validUntil,
          materials: form.materials,
          operations: form.operations,
          max_diameter: withUnit(form.maxDiameter, units.value),
          min_thickness: withUnit(form.minThickness, units.value),
          companion: form.companion,
        },
      }),
    ),
  () => {
    intent.done();
    return router.push({ name: 'learner', params: { id: props.id }, query: { permit: props.permit } });
  },
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
        <p v-if="data.signed_off" class="mt-3" data-testid="signed-scope">
          {{
            t('record.signedBy', {
              by: data.signed_off.by,
              at: d(data.signed_off.at, { dateStyle: 'medium' }),
              until: d(data.signed_off.valid_until, { dateStyle: 'medium' }),
            })
          }}
          · {{ t('scope.covers') }}: <strong>{{ scopeWords(data.signed_off.covers) }}</strong>
        </p>
        <p class="mt-3 font-semibold" :class="data.acknowledged ? 'text-alone' : 'text-supervised'">
          {{ data.acknowledged ? `✓ ${t('sign.acknowledged')}` : `○ ${t('sign.notAcknowledged')}` }}
        </p>
        <RestsOn :rests-on="data.rests_on" />
        <template v-if="own && !data.acknowledged">
          <p v-if="data.standing.stage < 4" class="mt-2">{{ t('sign.tooEarlyOwn') }}</p>
          <BigButton v-else class="mt-3" tone="main" :busy="acknowledge.busy.value" @click="acknowledge.run(data)">{{
            t('sign.acknowledge')
          }}</BigButton>
          <ErrorNote class="mt-3" :error="acknowledge.error.value" @retry="acknowledge.run(data)" />
        </template>
      </section>

      <form v-if="teaches && !own" class="sheet mt-5 space-y-5 p-5 print:hidden" @submit.prevent="sign.run(undefined)">
        <h2>{{ t('sign.scope') }}</h2>
        <ul v-if="data.reasons.length > 0" class="border-2 border-supervised p-3" role="status" data-testid="not-yet">
          <li v-for="reason in data.reasons" :key="reason" class="font-semibold">
            ▲
            {{
              t(`sign.reason.${reason}`, {
                stage: data.standing.stage,
                name: data.learner.name,
                days: data.renewal_check_days,
              })
            }}
          </li>
        </ul>
        <p>
          {{ t('sign.atMost') }} <strong>{{ scopeWords(data.scope) }}</strong>
        </p>
        <div v-if="shownHere(data).length > 0" data-testid="shown">
          <h3 class="font-semibold">{{ t('sign.shown') }}</h3>
          <p v-for="(one, place) in shownHere(data)" :key="place">
            ✓
            {{ shownLine(one, (key) => data.materials.find((material) => material.key === key)?.name ?? key) }}
          </p>
        </div>
        <div class="grid gap-5 sm:grid-cols-2 lg:grid-cols-3">
          <SizeField
            v-model="form.maxDiameter"
            :label="t('sign.maxDiameter')"
            :hint="t('sign.maxDiameterHint')"
            :error="sign.fieldErrors.value.max_diameter?.[0]"
          />
          <SizeField
            v-model="form.minThickness"
            :label="t('sign.minThickness')"
            :hint="t('sign.minThicknessHint')"
            :error="sign.fieldErrors.value.min_thickness?.[0]"
          />
          <DateField
            v-model="form.validUntil"
            required
            :label="t('sign.validUntil')"
            :error="sign.fieldErrors.value.valid_until?.[0]"
          />
          <label class="flex min-h-12 items-center gap-3 self-end"
            ><input v-model="form.companion" type="checkbox" class="size-6" /> {{ t('sign.companion') }}</label
          >
        </div>
        <fieldset>
          <legend class="font-semibold">{{ t('sign.operations') }}</legend>
          <label
            v-for="operation in data.operations"
            :key="operation"
            class="mr-6 inline-flex min-h-12 items-center gap-3"
            ><input v-model="form.operations" type="checkbox" class="size-6" :value="operation" />
            {{ t(`operation.${operation}`) }}</label
          >
        </fieldset>
        <fieldset>
          <legend class="font-semibold">{{ t('sign.materials') }}</legend>
          <p class="text-sm text-quiet">{{ t('sign.materialsHint') }}</p>
          <div class="grid sm:grid-cols-3">
            <label
              v-for="material in data.materials"
              :key="material.key"
              class="inline-flex min-h-12 items-center gap-3"
              :class="isShown(data, material.key) ? '' : 'text-quiet'"
              ><input
                v-model="form.materials"
                type="checkbox"
                class="size-6 shrink-0"
                :value="material.key"
                :disabled="!isShown(data, material.key)"
              />
              <span
                >{{ material.name
                }}<span v-if="!isShown(data, material.key)" class="block text-sm">{{ t('sign.notShown') }}</span></span
              ></label
            >
          </div>
        </fieldset>
        <div class="flex flex-wrap items-end gap-4 border-t border-hairline pt-4">
          <SecretField
            v-model="form.pin"
            kind="pin"
            class="w-72"
            :label="t('sign.pin')"
            :hint="t('sign.pinHint')"
            :error="sign.fieldErrors.value.pin?.[0]"
          />
          <BigButton
            type="submit"
            tone="main"
            :busy="sign.busy.value"
            :disabled="data.reasons.length > 0 || form.materials.length === 0 || form.operations.length === 0"
            >{{ t('sign.sign') }}</BigButton
          >
        </div>
        <ErrorNote :error="onlyGeneral" @retry="sign.run(undefined)" />
      </form>
      <PrecedenceNote class="mt-5" />
    </div>
  </PageState>
</template>
