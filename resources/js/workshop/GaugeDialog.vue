<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import AskDialog from '@/ui/AskDialog.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { computed, reactive } from 'vue';
import { useI18n } from 'vue-i18n';

/** A gauge of the shop: new, changed, or retired. */
const props = defineProps<{ gauge: Schemas['Gauge'] | null }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const KINDS = ['caliper', 'depth', 'micrometer', 'rule', 'plug', 'thread', 'square', 'pins'] as const;
const form = reactive({
  name: props.gauge?.name ?? '',
  kind: (props.gauge?.kind ?? 'caliper') as string,
  resolution: String(props.gauge?.resolution_mm ?? 0.01),
  uncertainty: String(props.gauge?.uncertainty_mm ?? 0.02),
  tip: props.gauge?.tip_mm == null ? '' : String(props.gauge.tip_mm),
  retired: props.gauge?.retired ?? false,
});
const figure = (text: string) => Number(text.replace(',', '.'));
const save = useAction(
  () => {
    const body = {
      name: form.name,
      kind: form.kind as Schemas['GaugeKind'],
      resolution_mm: figure(form.resolution),
      uncertainty_mm: figure(form.uncertainty),
      tip_mm: form.kind === 'caliper' && form.tip.trim() !== '' ? figure(form.tip) : null,
      retired: form.retired,
    };
    return props.gauge
      ? must(api.PUT('/api/workshop/gauges/{gauge}', { params: { path: { gauge: props.gauge.slug } }, body }))
      : must(api.POST('/api/workshop/gauges', { body }));
  },
  () => emit('close'),
);
const fault = (field: string) => save.fieldErrors.value[field]?.[0];
const kinds = computed(() => KINDS.map((kind) => ({ value: kind, label: t(`gauges.kind.${kind}`) })));
</script>

<template>
  <AskDialog
    :title="gauge ? gauge.name : t('gauges.add')"
    :label="t('ui.save')"
    :busy="save.busy.value"
    :error="Object.keys(save.fieldErrors.value).length === 0 ? save.error.value : null"
    @yes="save.run(undefined)"
    @close="emit('close')"
  >
    <TextField v-model="form.name" required :label="t('gauges.name')" :error="fault('name')" />
    <SelectField v-model="form.kind" :label="t('gauges.kindLabel')" :options="kinds" :error="fault('kind')" />
    <TextField
      v-model="form.resolution"
      required
      reading
      mode="decimal"
      :label="t('gauges.resolution')"
      :error="fault('resolution_mm')"
    />
    <TextField
      v-model="form.uncertainty"
      required
      reading
      mode="decimal"
      :label="t('gauges.uncertainty')"
      :hint="t('gauges.uncertaintyHint')"
      :error="fault('uncertainty_mm')"
    />
    <TextField
      v-if="form.kind === 'caliper'"
      v-model="form.tip"
      reading
      mode="decimal"
      :label="t('gauges.tip')"
      :hint="t('gauges.tipHint')"
      :error="fault('tip_mm')"
    />
    <label v-if="gauge" class="flex min-h-12 items-center gap-3"
      ><input v-model="form.retired" type="checkbox" class="size-6" /> {{ t('gauges.retire') }}</label
    >
  </AskDialog>
</template>
