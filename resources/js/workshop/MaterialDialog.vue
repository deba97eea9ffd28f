<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { reactive } from 'vue';
import { useI18n } from 'vue-i18n';

/** A row of the shop's own: a new material, or one in the place of the table's. */
const props = defineProps<{ material: Schemas['Material'] | null }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const GROUPS = ['steel', 'stainless', 'cast_iron', 'aluminium', 'copper_alloy', 'plastic', 'wood'] as const;
const CHIPS = ['long_curly', 'short', 'stringy', 'powder', 'crumbling'] as const;
const NUMBERS = ['cutting_speed_m_min', 'cutting_force_n_mm2', 'point_angle_deg'] as const;
const it = props.material;
const form = reactive({
  name: it?.name ?? '',
  group: (it?.group ?? 'steel') as string,
  cutting_speed_m_min: String(it?.cutting_speed_m_min ?? ''),
  cutting_force_n_mm2: String(it?.cutting_force_n_mm2 ?? ''),
  point_angle_deg: String(it?.point_angle_deg ?? 118),
  chip_form: (it?.chip_form ?? 'long_curly') as string,
  lubricant: it?.lubricant ?? '',
  lubricant_to_avoid: it?.lubricant_to_avoid ?? '',
  grabs: it?.grabs ?? false,
  edge: (it?.edge ?? 'normal') as string,
});
const save = useAction(
  () => {
    const body = {
      ...form,
      ...Object.fromEntries(NUMBERS.map((key) => [key, form[key].replace(',', '.')])),
    } as Schemas['MaterialWanted'];
    return must(
      it
        ? api.PUT('/api/workshop/materials/{key}', { params: { path: { key: it.key } }, body })
        : api.POST('/api/workshop/materials', { body }),
    );
  },
  () => emit('close'),
);
const fault = (field: string) => save.fieldErrors.value[field]?.[0];
</script>

<template>
  <SheetDialog
    open
    wide
    :title="it ? t('workshop.ownRowFor', { name: it.name }) : t('workshop.ownRow')"
    @close="emit('close')"
  >
    <p class="mt-1 text-quiet">{{ t('workshop.ownRowWords') }}</p>
    <form class="mt-3 grid items-start gap-4 sm:grid-cols-2" @submit.prevent="save.run(undefined)">
      <TextField v-model="form.name" required :label="t('workshop.name')" :error="fault('name')" />
      <SelectField
        v-model="form.group"
        :label="t('workshop.group')"
        :options="GROUPS.map((value) => ({ value, label: t(`workshop.groups.${value}`) }))"
        :error="fault('group')"
      />
      <TextField
        v-for="key in NUMBERS"
        :key="key"
        v-model="form[key]"
        mode="decimal"
        reading
        required
        :label="t(`workshop.number.${key}`)"
        :error="fault(key)"
      />
      <SelectField
        v-model="form.chip_form"
        :label="t('workshop.chip')"
        :options="CHIPS.map((value) => ({ value, label: t(`workshop.chips.${value}`) }))"
      />
      <TextField v-model="form.lubricant" required :label="t('workshop.lubricant')" :error="fault('lubricant')" />
      <TextField v-model="form.lubricant_to_avoid" :label="t('workshop.avoid')" :error="fault('lubricant_to_avoid')" />
      <label class="flex min-h-12 items-center gap-2 self-end"
        ><input v-model="form.grabs" type="checkbox" class="size-5" /> {{ t('workshop.grabsLabel') }}</label
      >
      <SelectField
        v-model="form.edge"
        :label="t('workshop.edge')"
        :options="['normal', 'zero_rake'].map((value) => ({ value, label: t(`workshop.variant.${value}`) }))"
      />
      <ErrorNote
        class="sm:col-span-2"
        :error="Object.keys(save.fieldErrors.value).length > 0 ? null : save.error.value"
        @retry="save.run(undefined)"
      />
      <DialogButtons class="sm:col-span-2" :label="t('ui.save')" :busy="save.busy.value" @cancel="emit('close')" />
    </form>
  </SheetDialog>
</template>
