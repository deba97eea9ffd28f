<script setup lang="ts">
import SizeField from '@/measure/SizeField.vue';
import FormField from '@/ui/FormField.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useShop } from '@/workshop/useShop';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { LayoutDraft } from '@/planning/drafts';

/** Holes of a flat plate: which pattern, from where, and how each line is set. */
const draft = defineModel<LayoutDraft>({ required: true });
defineProps<{ faults: Record<string, string[]> }>();
const { t } = useI18n();
const { cribs } = useShop();
const withParallels = computed(() =>
  (cribs.data.value ?? []).filter((crib) => crib.tools.some((tool) => tool.kind === 'parallel')),
);
const choices = (group: string, values: readonly string[]) =>
  values.map((value) => ({ value, label: t(`planning.layout.${group}.${value}`) }));
const grid = computed(() => draft.value.pattern === 'rectangle');
const counted = computed(() => draft.value.pattern === 'line' || grid.value);
</script>

<template>
  <div class="grid items-start gap-4 sm:grid-cols-2">
    <SizeField v-model="draft.length" :label="t('planning.layout.length')" :error="faults.length?.[0]" />
    <SizeField v-model="draft.width" :label="t('planning.layout.width')" :error="faults.width?.[0]" />
    <SizeField v-model="draft.hole" :label="t('planning.layout.hole')" :error="faults.hole?.[0]" />
    <SelectField
      v-model="draft.datum"
      :label="t('planning.layout.datum')"
      :options="choices('datums', ['corner', 'centre'])"
    />
    <SelectField
      v-model="draft.pattern"
      :label="t('planning.layout.pattern')"
      :options="choices('patterns', ['rectangle', 'line', 'circle', 'points'])"
      :error="(faults.line ?? faults.circle ?? faults.rectangle)?.[0]"
    />
    <SelectField
      v-if="counted"
      v-model="draft.by"
      :label="t('planning.layout.by')"
      :options="choices('bys', ['count', 'pitch'])"
    />
    <TextField
      v-if="grid || draft.pattern === 'circle' || (draft.pattern === 'line' && draft.by === 'count')"
      v-model="draft.count"
      mode="numeric"
      reading
      :label="t(grid ? 'planning.layout.columns' : 'planning.layout.count')"
      :error="faults.count?.[0]"
    />
    <TextField
      v-if="grid"
      v-model="draft.rows"
      mode="numeric"
      reading
      :label="t('planning.layout.rows')"
      :error="faults.rows?.[0]"
    />
    <template v-if="counted && draft.by === 'count'">
      <SizeField
        v-model="draft.inset"
        :label="t(grid ? 'planning.layout.insetX' : 'planning.layout.inset')"
        :error="(faults.inset ?? faults.end_inset_mm)?.[0]"
      />
      <SizeField
        v-if="grid"
        v-model="draft.inset_y"
        :label="t('planning.layout.insetY')"
        :error="faults.inset_y?.[0]"
      />
    </template>
    <template v-if="counted && draft.by === 'pitch'">
      <SizeField
        v-model="draft.pitch"
        :label="t(grid ? 'planning.layout.pitchX' : 'planning.layout.pitch')"
        :error="(faults.pitch ?? faults.pitch_mm)?.[0]"
      />
      <SizeField
        v-if="grid"
        v-model="draft.pitch_y"
        :label="t('planning.layout.pitchY')"
        :error="faults.pitch_y?.[0]"
      />
    </template>
    <SizeField
      v-if="draft.pattern === 'line'"
      v-model="draft.offset"
      :label="t('planning.layout.offset')"
      :hint="t('planning.layout.offsetHint')"
      :error="faults.offset?.[0]"
    />
    <template v-if="draft.pattern === 'circle'">
      <SizeField v-model="draft.circle" :label="t('planning.layout.circle')" :error="faults.circle?.[0]" />
      <TextField
        v-model="draft.start_deg"
        mode="decimal"
        reading
        :label="t('planning.layout.start')"
        :hint="t('planning.layout.startHint')"
        :error="faults.start_deg?.[0]"
      />
      <SizeField
        v-model="draft.centre_x"
        signed
        :label="t('planning.layout.centreX')"
        :hint="t('planning.layout.centreHint')"
        :error="faults.centre_x?.[0]"
      />
      <SizeField
        v-model="draft.centre_y"
        signed
        :label="t('planning.layout.centreY')"
        :hint="t('planning.layout.centreHint')"
        :error="faults.centre_y?.[0]"
      />
    </template>
    <FormField
      v-if="draft.pattern === 'points'"
      v-slot="field"
      class="sm:col-span-2"
      :label="t('planning.layout.points')"
      :hint="t('planning.layout.pointsHint')"
      :error="faults.points?.[0]"
    >
      <textarea
        :id="field.id"
        v-model="draft.points"
        rows="4"
        class="field reading"
        :aria-invalid="field.invalid"
        :aria-describedby="field.described"
      />
    </FormField>
    <label v-if="grid || draft.pattern === 'circle'" class="flex min-h-12 items-center gap-2 self-end">
      <input v-model="draft.middle" type="checkbox" class="size-5" /> {{ t('planning.layout.middle') }}
    </label>
    <SelectField
      v-model="draft.setting"
      :label="t('planning.layout.setting')"
      :options="choices('settings', ['rule', 'stack', 'readout'])"
    />
    <SizeField
      v-if="draft.setting === 'rule'"
      v-model="draft.graduation"
      :label="t('planning.layout.graduation')"
      :error="faults.graduation?.[0]"
    />
    <SelectField
      v-if="draft.setting === 'stack'"
      v-model="draft.crib"
      :label="t('planning.layout.parallels')"
      :options="[
        { value: '', label: t('planning.layout.noParallels') },
        ...withParallels.map((crib) => ({ value: crib.slug, label: crib.name })),
      ]"
      :error="faults.crib?.[0]"
    />
  </div>
</template>
