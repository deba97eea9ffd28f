<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { asTyped } from '@/measure/asTyped';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** One class: what the lesson is about for it. What cannot be made is refused with what is missing, and nothing is kept. */
const props = defineProps<{
  code: string;
  cohort: Schemas['LessonBindings']['cohorts'][number];
  choices: Schemas['LessonBindings'];
}>();
const emit = defineEmits<{ kept: [] }>();
const { t } = useI18n();
const known = props.cohort.binding;
const size = known?.sizes[0];
const part = ref(known?.part ?? '');
const machine = ref(known?.machine ?? '');
const cribs = ref<string[]>(known?.cribs ?? []);
const own = ref(size?.key ?? '');
const range = ref({ from: asTyped(size?.from_mm), to: asTyped(size?.to_mm), step: asTyped(size?.step_mm) });
const path = { code: props.code, cohort: String(props.cohort.id) };
const keep = useAction(
  () =>
    must(
      api.PUT('/api/learning/lessons/{code}/bindings/{cohort}', {
        params: { path },
        body: {
          part: part.value || null,
          machine: machine.value || null,
          cribs: cribs.value,
          sizes: own.value === '' ? [] : [{ key: own.value, ...range.value }],
        },
      }),
    ),
  () => emit('kept'),
);
const clear = useAction(
  () => must(api.DELETE('/api/learning/lessons/{code}/bindings/{cohort}', { params: { path } })),
  () => {
    part.value = machine.value = own.value = '';
    cribs.value = [];
    emit('kept');
  },
);
const fault = (key: string) => keep.fieldErrors.value[key]?.[0];
/** What is said beside its field is not said again below. */
const beside = ['part', 'machine', 'sizes.0.from', 'sizes.0.to', 'sizes.0.step'];
const faulty = computed(() => (beside.some(fault) ? null : (keep.error.value ?? clear.error.value)));
</script>

<template>
  <form class="sheet space-y-3 p-4" @submit.prevent="keep.run(undefined)">
    <h3 class="font-semibold">{{ cohort.name }}</h3>
    <div class="grid gap-3 md:grid-cols-3">
      <FormField v-slot="field" :label="t('lesson.bind.part')" :error="fault('part')">
        <select :id="field.id" v-model="part" class="field">
          <option value="">{{ t('lesson.bind.usual') }}</option>
          <option v-for="each in choices.parts" :key="each.slug" :value="each.slug">{{ each.name }}</option>
        </select>
      </FormField>
      <FormField v-slot="field" :label="t('lesson.bind.machine')" :error="fault('machine')">
        <select :id="field.id" v-model="machine" class="field">
          <option value="">{{ t('lesson.bind.usual') }}</option>
          <option v-for="each in choices.machines" :key="each.slug" :value="each.slug">{{ each.name }}</option>
        </select>
      </FormField>
      <FormField v-if="choices.sizes.length > 0" v-slot="field" :label="t('lesson.bind.own')">
        <select :id="field.id" v-model="own" class="field">
          <option value="">{{ t('lesson.bind.none') }}</option>
          <option v-for="key in choices.sizes" :key="key" :value="key">{{ t(`lesson.sizeKey.${key}`) }}</option>
        </select>
      </FormField>
    </div>
    <div v-if="own" class="grid max-w-xl grid-cols-3 gap-3">
      <TextField v-model="range.from" reading required :label="t('lesson.bind.from')" :error="fault('sizes.0.from')" />
      <TextField v-model="range.to" reading required :label="t('lesson.bind.to')" :error="fault('sizes.0.to')" />
      <TextField v-model="range.step" reading required :label="t('lesson.bind.step')" :error="fault('sizes.0.step')" />
    </div>
    <fieldset>
      <legend class="text-sm">
        {{ t('lesson.bind.cribs') }}<span v-if="cribs.length === 0">: {{ t('lesson.bind.usualCribs') }}</span>
      </legend>
      <div class="flex flex-wrap gap-x-5">
        <label v-for="each in choices.cribs" :key="each.slug" class="flex min-h-12 items-center gap-2">
          <input v-model="cribs" type="checkbox" class="size-5" :value="each.slug" /> {{ each.name }}
        </label>
      </div>
    </fieldset>
    <ErrorNote :error="faulty" @retry="keep.reset()" />
    <div class="flex flex-wrap items-center gap-3">
      <BigButton type="submit" tone="main" :busy="keep.busy.value">{{ t('lesson.bind.save') }}</BigButton>
      <BigButton v-if="cohort.binding" :busy="clear.busy.value" @click="clear.run(undefined)">{{
        t('lesson.bind.clear')
      }}</BigButton>
      <span v-if="cohort.binding" class="text-alone" role="status">✓ {{ t('lesson.bind.kept') }}</span>
    </div>
  </form>
</template>
