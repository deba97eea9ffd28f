<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import TextField from '@/ui/TextField.vue';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import type { PlanKind } from '@/planning/drafts';
import { usePlanChoices, useSavePlan } from './usePlans';

/** Gives a plan its name, and says what it belongs to. */
const props = defineProps<{
  kind: PlanKind;
  request: Record<string, unknown>;
  plan?: Schemas['SavedPlan'];
  copy?: boolean;
}>();
const emit = defineEmits<{ close: []; saved: [plan: Schemas['SavedPlan']] }>();
const { t } = useI18n();
const { teaches } = useMe();
const choices = usePlanChoices();

const name = ref(props.plan ? (props.copy ? t('planning.copyOf', { name: props.plan.name }) : props.plan.name) : '');
const part = ref(props.plan?.part_slug ?? '');
const lessons = ref([...(props.copy ? [] : (props.plan?.lessons ?? []))]);
const sheets = ref([...(props.copy ? [] : (props.plan?.sheets ?? []))]);
const save = useSavePlan((plan) => emit('saved', plan));

function send() {
  save.run({
    id: props.copy ? undefined : props.plan?.id,
    name: name.value,
    kind: props.kind,
    request: props.request,
    part: part.value || null,
    lessons: lessons.value,
    sheets: sheets.value,
  });
}
</script>

<template>
  <SheetDialog open :title="t(copy ? 'planning.copyTitle' : 'planning.saveTitle')" @close="emit('close')">
    <form class="mt-4 space-y-4" @submit.prevent="send">
      <TextField v-model="name" :label="t('planning.name')" required :error="save.fieldErrors.value.name?.[0]" />
      <SelectField
        v-model="part"
        :label="t('planning.part')"
        :options="[
          { value: '', label: t('planning.noPart') },
          ...(choices.data.value?.parts ?? []).map((each) => ({
            value: each.slug,
            label: `${each.name}, ${each.stock}`,
          })),
        ]"
      />
      <template v-if="teaches">
        <fieldset v-for="list in ['lessons', 'sheets'] as const" :key="list">
          <legend class="font-semibold">{{ t(`planning.attach.${list}`) }}</legend>
          <div class="mt-1 flex max-h-40 flex-wrap gap-x-5 overflow-y-auto border border-hairline px-3">
            <label
              v-for="each in choices.data.value?.[list] ?? []"
              :key="each.code"
              class="flex min-h-11 items-center gap-2"
            >
              <input v-if="list === 'lessons'" v-model="lessons" type="checkbox" class="size-5" :value="each.code" />
              <input v-else v-model="sheets" type="checkbox" class="size-5" :value="each.code" />
              <span
                ><span class="reading">{{ each.code }}</span> {{ each.title }}</span
              >
            </label>
          </div>
        </fieldset>
      </template>
      <ErrorNote
        :error="Object.keys(save.fieldErrors.value).includes('name') ? null : save.error.value"
        @retry="send"
      />
      <DialogButtons :label="t('planning.save')" :busy="save.busy.value" @cancel="emit('close')" />
    </form>
  </SheetDialog>
</template>
