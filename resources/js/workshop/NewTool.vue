<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** One tool more, said as it is stamped. */
const props = defineProps<{ crib: string }>();
const { t } = useI18n();
const KINDS: Schemas['ToolKind'][] = [
  'drill',
  'tap',
  'reamer',
  'centre_drill',
  'step_drill',
  'gauge',
  'parallel',
  'holding',
  'boring_bar',
  'hole_saw',
];
const TAPS = ['taper', 'second', 'bottoming', 'spiral_point', 'spiral_flute', 'form', 'insert'];
const kind = ref<string>('drill');
const size = ref('');
const variant = ref<Record<string, string>>({
  drill: 'normal',
  tap: 'taper',
  reamer: 'machine',
  gauge: 'plug',
  holding: 'vice',
});
const taper = ref('');
const flutes = ref('');
const point = ref('');
const enters = ref('');
const reach = ref('');
const filled = (typed: string) => (typed === '' ? null : typed);
const reaches = computed(() => kind.value === 'boring_bar' || kind.value === 'hole_saw');
const VARIANTS: Record<string, string[]> = {
  drill: ['normal', 'zero_rake'],
  tap: TAPS,
  reamer: ['machine', 'hand'],
  gauge: ['plug', 'pin', 'thread'],
  holding: ['vice', 'bar_clamp', 'strap', 'v_block', 'stop', 'angle_plate', 'toggle_fixture', 'jig'],
};
const add = useAction(
  () => {
    const chosen = variant.value[kind.value];
    return must(
      api.POST('/api/workshop/cribs/{crib}/tools', {
        params: { path: { crib: props.crib } },
        body: {
          kind: kind.value as Schemas['ToolKind'],
          size: size.value,
          ...(kind.value === 'drill'
            ? {
                edge: chosen as Schemas['Edge'],
                taper: taper.value === '' ? null : Number(taper.value),
                flute_length: flutes.value === '' ? null : flutes.value,
                point_angle: point.value === '' ? null : Number(point.value),
              }
            : {}),
          ...(kind.value === 'tap' || kind.value === 'holding' ? { type: chosen } : {}),
          ...(kind.value === 'boring_bar' ? { enters: filled(enters.value) } : {}),
          ...(reaches.value ? { reach: filled(reach.value) } : {}),
          ...(kind.value === 'reamer' ? { method: chosen } : {}),
          ...(kind.value === 'gauge' ? { gauge: chosen } : {}),
        },
      }),
    );
  },
  () => (size.value = ''),
);
</script>

<template>
  <form
    class="sheet grid items-end gap-3 p-4 sm:grid-cols-2 lg:grid-cols-[1fr_1fr_1fr_1fr_auto]"
    @submit.prevent="add.run(undefined)"
  >
    <SelectField
      v-model="kind"
      :label="t('workshop.addTool')"
      :options="KINDS.map((value) => ({ value, label: t(`workshop.toolKind.${value}`) }))"
    />
    <TextField
      v-model="size"
      reading
      required
      :label="t('workshop.size')"
      :hint="t(`workshop.sizeHint.${kind}`)"
      :error="(add.fieldErrors.value.size ?? add.fieldErrors.value.text)?.[0]"
    />
    <SelectField
      v-if="VARIANTS[kind]"
      :model-value="variant[kind] ?? ''"
      :label="t(`workshop.variantOf.${kind}`)"
      :options="(VARIANTS[kind] ?? []).map((value) => ({ value, label: t(`workshop.variant.${value}`) }))"
      :error="add.fieldErrors.value.type?.[0]"
      @update:model-value="variant[kind] = $event"
    />
    <SelectField
      v-if="kind === 'drill'"
      v-model="taper"
      :label="t('workshop.shank')"
      :options="[
        { value: '', label: t('workshop.straight') },
        ...[1, 2, 3, 4].map((n) => ({ value: String(n), label: t('workshop.morse', { n }) })),
      ]"
    />
    <template v-if="kind === 'drill'">
      <TextField
        v-model="flutes"
        reading
        :label="t('workshop.fluteLength')"
        :hint="t('workshop.fluteHint')"
        :error="add.fieldErrors.value.flute_length?.[0]"
      />
      <SelectField
        v-model="point"
        :label="t('workshop.point')"
        :options="[
          { value: '', label: t('workshop.pointUnknown') },
          ...[90, 118, 130, 135, 140].map((n) => ({ value: String(n), label: t('workshop.pointed', { n }) })),
        ]"
      />
    </template>
    <TextField
      v-if="kind === 'boring_bar'"
      v-model="enters"
      reading
      :label="t('workshop.enters')"
      :hint="t('workshop.entersHint')"
      :error="add.fieldErrors.value.enters?.[0]"
    />
    <TextField
      v-if="reaches"
      v-model="reach"
      reading
      :label="t(`workshop.reach.${kind}`)"
      :hint="t('workshop.reachHint')"
      :error="add.fieldErrors.value.reach?.[0]"
    />
    <BigButton type="submit" :busy="add.busy.value">{{ t('ui.add') }}</BigButton>
    <ErrorNote
      class="lg:col-span-5"
      :error="Object.keys(add.fieldErrors.value).length > 0 ? null : add.error.value"
      @retry="add.run(undefined)"
    />
  </form>
</template>
