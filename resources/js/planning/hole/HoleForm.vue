<script setup lang="ts">
import SizeField from '@/measure/SizeField.vue';
import SelectField from '@/ui/SelectField.vue';
import TextField from '@/ui/TextField.vue';
import { useShop } from '@/workshop/useShop';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import AtMachineFields from '@/planning/AtMachineFields.vue';
import type { HoleDraft } from '@/planning/drafts';

/** A hole, said as one would say it. */
const draft = defineModel<HoleDraft>({ required: true });
defineProps<{ faults: Record<string, string[]> }>();
const { t } = useI18n();
const { turning } = useShop();
const onLathe = computed(() => turning.value.find((machine) => machine.slug === draft.value.machine)?.kind === 'lathe');
const sized = computed(() => ['plain', 'reamed', 'bored'].includes(draft.value.purpose));
const PURPOSES = [
  'plain',
  'clearance',
  'tapped',
  'reamed',
  'bored',
  'countersunk',
  'counterbored',
  'spotfaced',
] as const;
// Only a lathe bores; who changes the machine keeps what was chosen, and is told.
const purposes = computed(() =>
  PURPOSES.filter((value) => value !== 'bored' || onLathe.value || draft.value.purpose === 'bored'),
);
const FITS = ['', 'H7', 'H8', 'H9', 'H11'];
const HOLDINGS = [
  'vice_bolted',
  'bar_clamp_pair',
  'bar_clamp_and_stop',
  'strap_clamp_pair',
  'v_block_clamped',
  'angle_plate_clamped',
  'toggle_clamp_fixture',
  'vice_against_stop',
  'vice_loose',
  'hand_bare',
];
</script>

<template>
  <div class="grid items-start gap-4 sm:grid-cols-2 lg:grid-cols-4">
    <AtMachineFields v-model="draft" :faults="faults" />
    <SizeField
      v-model="draft.thickness"
      :label="t(onLathe ? 'planning.lengthOfPiece' : 'planning.thickness')"
      :error="faults.thickness?.[0]"
    />
    <SelectField
      v-model="draft.purpose"
      :label="t('planning.purpose')"
      :options="purposes.map((value) => ({ value, label: t(`planning.purposes.${value}`) }))"
    />
    <SizeField
      v-model="draft.size"
      :as="sized ? 'hole' : 'thread'"
      :label="t(`planning.size.${draft.purpose}`)"
      :hint="t(`planning.sizeHint.${draft.purpose}`)"
      :error="(faults.size ?? faults.hole)?.[0]"
    />
    <div>
      <fieldset>
        <legend class="mb-1 font-semibold">{{ t('planning.howDeep') }}</legend>
        <div class="flex gap-5">
          <label v-for="each in [true, false]" :key="String(each)" class="flex min-h-12 items-center gap-2"
            ><input v-model="draft.through" type="radio" name="through" class="size-5" :value="each" />
            {{ t(each ? 'planning.through' : 'planning.blind') }}</label
          >
        </div>
      </fieldset>
      <SizeField
        v-if="!draft.through"
        v-model="draft.depth"
        :label="t('planning.depth')"
        :error="(faults.depth ?? (sized ? undefined : faults.hole))?.[0]"
      />
    </div>
  </div>
  <details class="mt-4">
    <summary class="flex min-h-12 cursor-pointer items-center font-semibold">▸ {{ t('planning.more') }}</summary>
    <div class="grid items-start gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <SizeField
        v-model="draft.position_tolerance"
        :label="t('planning.tolerance')"
        :hint="t('planning.toleranceHint')"
        :error="faults.position_tolerance?.[0]"
      />
      <SizeField
        v-model="draft.work_diameter"
        :label="t('planning.workDiameter')"
        :hint="t(onLathe ? 'planning.workDiameterLathe' : 'planning.workDiameterPress')"
        :error="faults.work_diameter?.[0]"
      />
      <template v-if="sized">
        <SelectField
          v-model="draft.fit"
          :label="t('planning.fit')"
          :hint="t('planning.fitHint')"
          :options="FITS.map((value) => ({ value, label: value || t('planning.noFit') }))"
          :error="faults.fit?.[0]"
        />
      </template>
      <SelectField
        v-if="draft.purpose === 'countersunk'"
        v-model="draft.head"
        :label="t('planning.head')"
        :options="
          ['', 'flat_slotted_or_cross', 'flat_socket', 'flat_82'].map((value) => ({
            value,
            label: t(`planning.heads.${value || 'usual'}`),
          }))
        "
        :error="faults.head?.[0]"
      />
      <SelectField
        v-if="draft.purpose === 'tapped'"
        v-model="draft.tapping"
        :label="t('planning.tapping')"
        :options="
          ['', 'power', 'forming', 'insert'].map((value) => ({
            value,
            label: t(`planning.tappings.${value || 'hand'}`),
          }))
        "
        :error="faults.tapping?.[0]"
      />
      <TextField
        v-if="draft.purpose === 'spotfaced'"
        v-model="draft.slope"
        mode="decimal"
        reading
        :label="t('planning.slope')"
        :hint="t('planning.slopeHint')"
        :error="faults.slope?.[0]"
      />
      <SelectField
        v-if="draft.purpose === 'reamed'"
        v-model="draft.reamer"
        :label="t('planning.reamer')"
        :options="['', 'hand', 'machine'].map((value) => ({ value, label: t(`planning.reamers.${value || 'any'}`) }))"
      />
      <template v-if="onLathe">
        <SizeField
          v-model="draft.overhang"
          :label="t('planning.overhang')"
          :hint="t('planning.overhangHint')"
          :error="faults.overhang?.[0]"
        />
        <SelectField
          v-model="draft.support"
          :label="t('planning.support')"
          :options="['', 'steady'].map((value) => ({ value, label: t(`planning.supports.${value || 'none'}`) }))"
        />
      </template>
      <SelectField
        v-if="!onLathe"
        v-model="draft.holding"
        :label="t('planning.holding')"
        :hint="t('planning.holdingHint')"
        :options="['', ...HOLDINGS].map((value) => ({ value, label: t(`planning.holdings.${value || 'any'}`) }))"
        :error="faults.holding?.[0]"
      />
      <SizeField
        v-if="!onLathe"
        v-model="draft.work_width"
        :label="t('planning.workWidth')"
        :hint="t('planning.workWidthHint')"
        :error="faults.work_width?.[0]"
      />
      <SizeField
        v-if="!onLathe"
        v-model="draft.lever"
        :label="t('planning.lever')"
        :hint="t('planning.leverHint')"
        :error="faults.lever?.[0]"
      />
    </div>
  </details>
</template>
