<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import SizeField from '@/measure/SizeField.vue';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import PageState from '@/ui/PageState.vue';
import DateField from '@/ui/DateField.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import WorkshopTabs from '@/workshop/WorkshopTabs.vue';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMaterialName } from '@/workshop/useMaterialName';
import { useRouter } from 'vue-router';
import AuthorisationList from './AuthorisationList.vue';
import TickList from './TickList.vue';
import { useScope } from './useScope';
import { useNext } from '@/records/useNext';
import { asGiven, asksForMore, emptyPermit, formOf } from './permitForm';

/** What a permit asks for and covers. Before it is saved it says who would stand elsewhere. */
const props = defineProps<{ code: string }>();
const { t, d } = useI18n();
const materialName = useMaterialName();
const { lost } = useScope();
const { words } = useNext();
const { leads } = useMe();
const router = useRouter();
const isNew = computed(() => props.code === 'new');
const choices = useQuery({
  queryKey: ['permit-choices'],
  queryFn: () => must(api.GET('/api/competency/permits-choices')),
});
const materials = useQuery({ queryKey: ['materials'], queryFn: () => must(api.GET('/api/workshop/materials')) });
const permit = useQuery({
  queryKey: ['permit', () => props.code],
  enabled: () => !isNew.value,
  queryFn: () => must(api.GET('/api/competency/permits/{permit}', { params: { path: { permit: props.code } } })),
});
const form = ref(emptyPermit());
watch(
  () => permit.data.value,
  (known) => {
    if (known && form.value.code !== known.code) form.value = formOf(known);
  },
  { immediate: true },
);
const seen = ref<Schemas['PermitDefined'] | null>(null);
const send = useAction(
  (preview: boolean) =>
    must(
      api.PUT('/api/competency/permits/{code}', {
        params: { path: { code: form.value.code } },
        body: { ...asGiven(form.value), preview },
      }),
    ),
  async (answer) => {
    seen.value = answer;
    if (answer.permit !== null) await router.push({ name: 'permits' });
  },
);
// What was looked at is no longer what would be saved.
watch(form, () => (seen.value = null), { deep: true });
const fault = (...keys: string[]) =>
  keys.map((key) => send.fieldErrors.value[key]?.[0] ?? seen.value?.faults[key]?.[0]).find(Boolean);
/** Who is authorised as it stands, and who would be with what is ticked. */
const standing = computed(() => permit.data.value?.authorisations ?? []);
const newSigners = computed(() =>
  (choices.data.value?.signers ?? []).filter(
    ({ id }) => form.value.signers.includes(id) && !(permit.data.value?.signers ?? []).includes(id),
  ),
);
const changedStatement = computed(
  () => permit.data.value !== undefined && form.value.statement.trim() !== permit.data.value.statement,
);
const asksMore = computed(() => permit.data.value !== undefined && asksForMore(form.value, permit.data.value));
const named = (list: { code: string; title: string }[]) =>
  list.map(({ code, title }) => ({ value: code, label: title, note: code }));
</script>

<template>
  <WorkshopTabs current="permits" />
  <PageState
    v-slot="{ data }"
    :data="isNew || permit.data.value ? choices.data.value : undefined"
    :error="choices.error.value ?? permit.error.value"
    @retry="(choices.refetch(), permit.refetch())"
  >
    <h1 class="mt-4">{{ isNew ? t('permits.add') : permit.data.value?.title }}</h1>
    <form class="mt-4 max-w-4xl" @submit.prevent="send.run(true)">
      <fieldset :disabled="!leads" class="space-y-6">
        <div class="grid gap-4 sm:grid-cols-2">
          <TextField v-model="form.name" required :label="t('permits.name')" :error="fault('name')" />
          <TextField
            v-if="isNew"
            v-model="form.code"
            required
            reading
            :label="t('permits.code')"
            :hint="t('permits.codeHint')"
            :error="fault('code')"
          />
        </div>
        <section class="space-y-4 border-t border-hairline pt-4">
          <h2>{{ t('permits.requirement') }}</h2>
          <TickList
            v-model="form.lessons"
            :label="t('permits.lessons')"
            :options="named(data.lessons.filter(({ code: lesson }) => !form.guided.includes(lesson)))"
            :error="fault('requirement.lessons')"
          />
          <TickList
            v-model="form.guided"
            :label="t('permits.guided')"
            :hint="t('permits.guidedHint')"
            :options="named(data.lessons.filter(({ code }) => !form.lessons.includes(code)))"
            :error="fault('requirement.guided')"
          />
          <TickList
            v-model="form.checks"
            :label="t('permits.checks')"
            :options="named(data.checks)"
            :error="fault('requirement.checks')"
          />
          <TickList
            v-model="form.assessments"
            :label="t('permits.sheets')"
            :options="named(data.assessments)"
            :error="fault('requirement.assessments')"
          />
          <TickList
            v-model="form.prerequisites"
            :label="t('permits.prerequisites')"
            :options="named(data.permits.filter(({ code }) => code !== form.code))"
            :error="fault('requirement.prerequisites')"
          />
          <div class="grid gap-4 sm:grid-cols-2">
            <TextField
              v-model="form.practice_count"
              mode="numeric"
              reading
              required
              :label="t('permits.practiceCount')"
              :error="fault('requirement.practice_count')"
            />
            <TextField
              v-model="form.practice_minutes"
              mode="numeric"
              reading
              required
              :label="t('permits.practiceMinutes')"
              :error="fault('requirement.practice_minutes')"
            />
          </div>
          <TextField
            v-if="asksMore"
            v-model="form.later_days"
            mode="numeric"
            reading
            class="max-w-xl"
            :label="t('permits.laterDays')"
            :hint="t('permits.laterHint')"
            :error="fault('later_days')"
          />
          <ul v-if="permit.data.value && permit.data.value.later.length > 0" class="text-quiet" data-testid="later">
            <li v-for="need in permit.data.value.later" :key="`${need.kind} ${need.what}`">
              {{
                t('permits.askedSince', {
                  what: words(need),
                  from: d(need.from ?? '', { dateStyle: 'medium' }),
                  until: d(need.until ?? '', { dateStyle: 'medium' }),
                })
              }}
            </li>
          </ul>
        </section>
        <section class="space-y-4 border-t border-hairline pt-4">
          <h2>{{ t('permits.scope') }}</h2>
          <p class="text-quiet">{{ t('permits.scopeWords') }}</p>
          <TickList
            v-model="form.machines"
            :label="t('permits.atMachines')"
            :options="
              data.machines.map(({ id, name, kind }) => ({
                value: id,
                label: name,
                note: permit.data.value?.machine_kinds.includes(kind) ? t('permits.meantFor') : undefined,
              }))
            "
            :error="fault('machines')"
          />
          <TickList
            v-model="form.materials"
            :label="t('permits.materials')"
            :options="(materials.data.value ?? []).map((each) => ({ value: each.key, label: materialName(each) }))"
            :error="fault('scope.materials')"
          />
          <TickList
            v-model="form.operations"
            :label="t('permits.operations')"
            :options="data.operations.map((value) => ({ value, label: t(`operation.${value}`) }))"
            :error="fault('scope.operations')"
          />
          <div class="grid gap-4 sm:grid-cols-2">
            <SizeField
              v-model="form.max_diameter"
              :label="t('permits.maxDiameter')"
              :error="fault('scope.max_diameter')"
            />
            <SizeField
              v-model="form.min_thickness"
              :label="t('permits.minThickness')"
              :error="fault('scope.min_thickness')"
            />
          </div>
          <label class="flex min-h-12 items-center gap-3">
            <input v-model="form.companion" type="checkbox" class="size-6" /> {{ t('permits.companion') }}
          </label>
          <label class="flex min-h-12 items-center gap-3">
            <input v-model="form.further" type="checkbox" class="size-6" />
            <span
              >{{ t('permits.further') }}<span class="block text-quiet">{{ t('permits.furtherHint') }}</span></span
            >
          </label>
        </section>
        <section class="space-y-4 border-t border-hairline pt-4">
          <h2>{{ t('permits.holds') }}</h2>
          <div class="grid gap-4 sm:grid-cols-2">
            <TextField
              v-model="form.validity_days"
              mode="numeric"
              reading
              required
              :label="t('permits.validity')"
              :hint="t('permits.validityHint')"
              :error="fault('validity_days')"
            />
            <TextField
              v-model="form.recency_days"
              mode="numeric"
              reading
              :label="t('permits.recency')"
              :hint="t('permits.recencyHint')"
              :error="fault('requirement.recency_days')"
            />
            <TextField
              v-model="form.renewal_check_days"
              mode="numeric"
              reading
              :label="t('permits.renewalCheck')"
              :hint="t('permits.renewalCheckHint')"
              :error="fault('requirement.renewal_check_days')"
            />
          </div>
          <TickList
            v-model="form.signers"
            :label="t('permits.maySign')"
            :options="data.signers.map(({ id, name }) => ({ value: id, label: name }))"
            :error="fault('signers')"
          />
          <AuthorisationList
            :authorisations="standing"
            :people="data.signers"
            :machines="data.machines"
            :signers="form.signers"
          />
          <div v-if="newSigners.length > 0" class="space-y-4 border-l-4 border-blue pl-4" data-testid="authorising">
            <p class="font-semibold">{{ newSigners.map(({ name }) => name).join(', ') }}</p>
            <TextField
              v-model="form.ground"
              required
              maxlength="300"
              :label="t('permits.ground')"
              :hint="t('permits.groundHint')"
              :error="fault('authorising.ground')"
            />
            <DateField
              v-model="form.authorised_until"
              class="max-w-xs"
              :label="t('permits.authorisedUntil')"
              :error="fault('authorising.until')"
            />
            <TickList
              v-model="form.authorised_machines"
              :label="t('permits.authorisedMachines')"
              :options="
                data.machines
                  .filter(({ id }) => form.machines.includes(id))
                  .map(({ id, name }) => ({ value: id, label: name }))
              "
              :error="fault('authorising.machines')"
            />
          </div>
          <TickList
            v-model="form.supervisors"
            :label="t('permits.maySupervise')"
            :hint="t('permits.maySuperviseHint')"
            :options="
              data.signers
                .filter(({ id }) => !form.signers.includes(id))
                .map(({ id, name }) => ({ value: id, label: name }))
            "
            :error="fault('supervisors')"
          />
        </section>
        <section class="space-y-4 border-t border-hairline pt-4">
          <h2>{{ t('permits.statement') }}</h2>
          <FormField v-slot="field" :label="t('permits.statementLabel')" :error="fault('statement')">
            <textarea
              :id="field.id"
              v-model="form.statement"
              class="field min-h-64"
              required
              :aria-invalid="field.invalid"
              :aria-describedby="field.described"
            />
          </FormField>
          <template v-if="changedStatement">
            <p class="border-l-4 border-supervised pl-3">{{ t('permits.newVersion') }}</p>
            <TextField
              v-model="form.grace_days"
              mode="numeric"
              reading
              class="max-w-xs"
              :label="t('permits.grace')"
              :error="fault('grace_days')"
            />
          </template>
        </section>
        <ErrorNote
          v-if="Object.keys(send.fieldErrors.value).length === 0"
          :error="send.error.value"
          @retry="send.run(true)"
        />
        <p
          v-if="Object.keys({ ...send.fieldErrors.value, ...seen?.faults }).length > 0"
          role="alert"
          class="border-2 border-no p-3"
        >
          <strong class="text-no">✕</strong> {{ t('permits.faulty') }}
        </p>
        <section v-else-if="seen" role="status" class="border-2 border-blue bg-sheet p-4">
          <p v-if="seen.stands.before.length > 0" data-testid="stands">
            <span v-for="(count, stage) in seen.stands.before" :key="stage" class="mr-5 inline-block">
              {{ t(`stage.${stage}`) }}
              <span class="reading">{{ count }} → {{ seen.stands.after[stage] }}</span>
            </span>
            <strong v-if="seen.stands.due > 0" class="block text-supervised"
              >‖ {{ t('permits.spared', seen.stands.due) }}</strong
            >
          </p>
          <h2 class="mt-2">{{ t('permits.affected', seen.affected.length) }}</h2>
          <ul class="mt-2">
            <li v-for="each in seen.affected" :key="`${each.id}${each.permit}`" class="border-t border-hairline py-1">
              <strong>{{ each.name }}</strong>, {{ each.permit }}: {{ t(`stage.${each.before.stage}`) }} →
              {{ t(`stage.${each.after.stage}`) }}{{ each.after.lapsed ? `, ${t(`lapse.${each.after.lapsed}`)}` : '' }}
            </li>
          </ul>
          <h3 class="mt-4 font-semibold">{{ t('permits.loses', seen.loses.length) }}</h3>
          <ul v-if="seen.loses.length > 0" class="mt-2" data-testid="loses">
            <li v-for="each in seen.loses" :key="each.id" class="border-t border-hairline py-1">
              <strong>{{ each.name }}</strong>: {{ lost(each.lost, each.machines) }}
            </li>
          </ul>
          <h3 class="mt-4 font-semibold" :class="seen.turns.length > 0 ? 'text-no' : ''">
            {{ t('permits.turns', seen.turns.length) }}
          </h3>
          <ul v-if="seen.turns.length > 0" class="mt-2" data-testid="turns">
            <li v-for="each in seen.turns" :key="each.session" class="border-t border-hairline py-1">
              <strong>{{ t('permits.turn', { person: each.person, machine: each.machine }) }}</strong>:
              {{ each.reasons.map((reason) => t(`gate.reason.${reason}`)).join(' ') }}
            </li>
          </ul>
          <p class="mt-4 text-quiet">{{ t('permits.signedStays') }}</p>
          <BigButton class="mt-3" tone="main" :busy="send.busy.value" @click="send.run(false)">{{
            t('permits.save')
          }}</BigButton>
        </section>
        <BigButton v-if="leads && !seen" type="submit" :busy="send.busy.value">{{ t('permits.preview') }}</BigButton>
      </fieldset>
    </form>
  </PageState>
</template>
