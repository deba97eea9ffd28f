<script setup lang="ts">
import SizeField from '@/measure/SizeField.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import AtMachineFields from '@/planning/AtMachineFields.vue';
import type { LatheDraft } from '@/planning/drafts';

/** Rings and bushes from a bar, or one piece at its end. */
const draft = defineModel<LatheDraft>({ required: true });
defineProps<{ faults: Record<string, string[]> }>();
const { t } = useI18n();
const PURPOSES = ['none', 'plain', 'clearance', 'tapped', 'reamed', 'bored'] as const;
const FITS = ['', 'H7', 'H8', 'H9', 'H11'];
const sized = computed(() => ['plain', 'reamed', 'bored'].includes(draft.value.bore_purpose));
const ALLOWANCES = ['blade', 'cleanup', 'facing', 'jaw_clearance', 'max_cut', 'finish_cut'] as const;
</script>

<template>
  <div class="grid items-start gap-4 sm:grid-cols-2 lg:grid-cols-4">
    <AtMachineFields v-model="draft" lathes-only :faults="faults" />
    <SizeField v-model="draft.bar" :label="t('planning.lathe.bar')" :error="(faults.bar ?? faults.bar_mm)?.[0]" />
    <SizeField
      v-model="draft.outside"
      :label="t('planning.lathe.outside')"
      :hint="t('planning.lathe.outsideHint')"
      :error="(faults.outside ?? faults.part)?.[0]"
    />
    <SizeField v-model="draft.thickness" :label="t('planning.lathe.thickness')" :error="faults.thickness?.[0]" />
    <TextField
      v-model="draft.count"
      mode="numeric"
      reading
      :label="t('planning.lathe.count')"
      :error="faults.count?.[0]"
    />
    <SelectField
      v-model="draft.bore_purpose"
      :label="t('planning.lathe.bore')"
      :options="PURPOSES.map((value) => ({ value, label: t(`planning.lathe.bores.${value}`) }))"
    />
    <template v-if="draft.bore_purpose !== 'none'">
      <SizeField
        v-model="draft.bore_size"
        :as="sized ? 'hole' : 'thread'"
        :label="t(`planning.size.${draft.bore_purpose}`)"
        :hint="sized ? undefined : t(`planning.sizeHint.${draft.bore_purpose}`)"
        :error="(faults.bore_size ?? faults.hole)?.[0]"
      />
      <SelectField
        v-if="sized"
        v-model="draft.bore_fit"
        :label="t('planning.fit')"
        :options="FITS.map((value) => ({ value, label: value || t('planning.noFit') }))"
        :error="faults.fit?.[0]"
      />
      <SelectField
        v-if="draft.bore_purpose === 'reamed'"
        v-model="draft.bore_reamer"
        :label="t('planning.reamer')"
        :options="['', 'hand', 'machine'].map((value) => ({ value, label: t(`planning.reamers.${value || 'any'}`) }))"
      />
    </template>
    <div class="flex flex-col self-end">
      <label class="flex min-h-12 items-center gap-2"
        ><input v-model="draft.part_off" type="checkbox" class="size-5" /> {{ t('planning.lathe.partOff') }}</label
      >
      <label class="flex min-h-12 items-center gap-2"
        ><input v-model="draft.support_centre" type="checkbox" class="size-5" />
        {{ t('planning.lathe.supportCentre') }}</label
      >
    </div>
    <SizeField
      v-if="!draft.part_off"
      v-model="draft.overhang"
      :label="t('planning.overhang')"
      :error="faults.overhang?.[0]"
    />
    <SelectField
      v-model="draft.support"
      :label="t('planning.support')"
      :options="
        ['', 'tailstock', 'steady'].map((value) => ({ value, label: t(`planning.supports.${value || 'none'}`) }))
      "
    />
    <TextField
      v-model="draft.learners"
      mode="numeric"
      reading
      :label="t('planning.lathe.learners')"
      :hint="t('planning.lathe.learnersHint')"
      :error="faults.learners?.[0]"
    />
  </div>
  <details class="mt-4">
    <summary class="flex min-h-12 cursor-pointer items-center font-semibold">
      ▸ {{ t('planning.lathe.allowances') }}
    </summary>
    <div class="grid items-start gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <TextField
        v-for="field in ALLOWANCES"
        :key="field"
        v-model="draft[field]"
        reading
        :label="t(`planning.lathe.${field}`)"
        :error="faults[field]?.[0]"
      />
      <SizeField v-model="draft.kerf" :label="t('planning.lathe.kerf')" :error="faults.kerf?.[0]" />
    </div>
  </details>
</template>
