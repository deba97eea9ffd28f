<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { LANGUAGES, spoken } from '@/i18n';
import SizeField from '@/measure/SizeField.vue';
import { asTyped } from '@/measure/asTyped';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { computed, reactive } from 'vue';
import { useI18n } from 'vue-i18n';
import { useShop } from './useShop';

/** Writes a machine down: what it turns at, what its scales show, what it holds. */
const props = defineProps<{ machine: Schemas['Machine'] | null }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const { cribs } = useShop();
const KINDS = ['bench_drill_press', 'floor_drill_press', 'lathe', 'hand_drill', 'bench'] as const;
const CHANGES = ['stopped_and_isolated', 'running', 'any'] as const;

const it = props.machine;
const unit = it?.depth_scale?.unit;
const text = (value: number | null | undefined) => (value == null ? '' : String(value));
const form = reactive({
  name: it?.name ?? '',
  kind: it?.kind ?? 'bench_drill_press',
  cribs: it?.cribs.map((crib) => crib.slug) ?? [],
  speeds: it?.speeds_rpm?.join(', ') ?? '',
  speed_names: it?.speed_names?.join('; ') ?? '',
  min_rpm: text(it?.min_rpm),
  max_rpm: text(it?.max_rpm),
  speed_change: it?.speed_change ?? '',
  fastest_belt: it?.fastest_belt ?? '',
  reverses: it?.reverses ?? false,
  scale_unit: it?.depth_scale?.unit ?? '',
  scale_graduation: asTyped(it?.depth_scale?.graduation_mm, unit),
  scale_travel: asTyped(it?.depth_scale?.travel_mm, unit),
  chuck_max: asTyped(it?.chuck_max_mm),
  through_bore: asTyped(it?.through_bore_mm),
  dial_graduation: asTyped(it?.dial?.graduation_mm, unit),
  dial_divisions: text(it?.dial?.divisions_per_turn),
  cross_graduation: asTyped(it?.cross_dial?.graduation_mm, unit),
  cross_divisions: text(it?.cross_dial?.divisions_per_turn),
  cross_reads_diameter: it?.cross_dial?.reads_diameter ?? false,
  taper: text(it?.taper),
  stop: it?.stop ?? '',
  isolator: it?.isolator ?? '',
  brake: it?.brake ?? '',
  locks: it?.locks ?? '',
  wording_only: false,
  language: (it?.language ?? spoken()) as string,
});
const TRAITS = ['stop', 'isolator', 'brake', 'locks'] as const;
/** Whoever knows it must be shown what changed, unless it was only said better. */
const reworded = computed(() => it !== null && TRAITS.some((trait) => it[trait] && form[trait] !== it[trait]));
const spindle = computed(() => form.kind !== 'bench');
const lathe = computed(() => form.kind === 'lathe');

const save = useAction(
  () => {
    const body = Object.fromEntries(
      Object.entries(form).map(([key, value]) => [key, value === '' ? null : value]),
    ) as Schemas['MachineWanted'];
    return must(
      props.machine
        ? api.PUT('/api/workshop/machines/{machine}', { params: { path: { machine: props.machine.slug } }, body })
        : api.POST('/api/workshop/machines', { body }),
    );
  },
  () => emit('close'),
);
const fault = (field: string) => save.fieldErrors.value[field]?.[0];
const options = (group: string, values: readonly string[]) =>
  values.map((value) => ({ value, label: t(`workshop.${group}.${value}`) }));
</script>

<template>
  <SheetDialog
    open
    wide
    :title="machine ? t('workshop.editNamed', { name: machine.name }) : t('workshop.newMachine')"
    @close="emit('close')"
  >
    <form class="mt-4 grid items-start gap-4 sm:grid-cols-2" @submit.prevent="save.run(undefined)">
      <TextField v-model="form.name" :label="t('workshop.name')" required :error="fault('name')" />
      <SelectField
        v-model="form.kind"
        :label="t('workshop.kindLabel')"
        :options="options('kind', KINDS)"
        :error="fault('kind')"
      />
      <template v-if="spindle">
        <TextField
          v-model="form.speeds"
          reading
          :label="t('workshop.speedSteps')"
          :hint="t('workshop.speedStepsHint')"
          :error="fault('speeds') ?? fault('speeds_rpm')"
        />
        <TextField
          v-if="form.speeds.trim()"
          v-model="form.speed_names"
          :label="t('workshop.speedNames')"
          :hint="t('workshop.speedNamesHint')"
          :error="fault('speed_names')"
        />
        <div v-else class="grid grid-cols-2 gap-3">
          <TextField
            v-model="form.min_rpm"
            mode="numeric"
            reading
            :label="t('workshop.minRpm')"
            :error="fault('min_rpm')"
          />
          <TextField
            v-model="form.max_rpm"
            mode="numeric"
            reading
            :label="t('workshop.maxRpm')"
            :error="fault('max_rpm')"
          />
        </div>
        <SelectField
          v-model="form.speed_change"
          :label="t('workshop.fact.change')"
          :options="[{ value: '', label: '—' }, ...options('change', CHANGES)]"
          :error="fault('speed_change')"
        />
        <SelectField
          v-if="form.speeds.trim() && form.speed_change === 'stopped_and_isolated'"
          v-model="form.fastest_belt"
          :label="t('workshop.fact.belt')"
          :hint="t('workshop.beltHint')"
          :options="[{ value: '', label: '—' }, ...options('belt', ['top', 'bottom'])]"
          :error="fault('fastest_belt')"
        />
        <label class="flex min-h-12 items-center gap-2 self-center"
          ><input v-model="form.reverses" type="checkbox" class="size-5" /> {{ t('workshop.reverses') }}</label
        >
        <SizeField v-model="form.chuck_max" :label="t('workshop.chuckMax')" :error="fault('chuck_max')" />
        <SelectField
          v-model="form.scale_unit"
          :label="t('workshop.scaleUnit')"
          :options="[
            { value: '', label: t('workshop.noScale') },
            { value: 'mm', label: 'mm' },
            { value: 'in', label: 'in' },
          ]"
        />
        <div v-if="form.scale_unit" class="grid grid-cols-2 gap-3">
          <SizeField
            v-model="form.scale_graduation"
            :label="t('workshop.graduation')"
            :error="fault('scale_graduation')"
          />
          <SizeField v-model="form.scale_travel" :label="t('workshop.travel')" :error="fault('scale_travel')" />
        </div>
        <TextField
          v-model="form.taper"
          mode="numeric"
          reading
          :label="t('workshop.taperLabel')"
          :error="fault('taper')"
        />
      </template>
      <template v-if="spindle">
        <TextField
          v-for="trait in TRAITS"
          :key="trait"
          v-model="form[trait]"
          :label="t(`workshop.fact.${trait}`)"
          :hint="t(`workshop.traitHint.${trait}`)"
          :error="fault(trait)"
        />
        <label v-if="reworded" class="flex min-h-12 items-start gap-2 sm:col-span-2"
          ><input v-model="form.wording_only" type="checkbox" class="mt-1 size-5 shrink-0" />
          <span
            >{{ t('workshop.wordingOnly') }}
            <span class="block text-sm text-quiet">{{ t('workshop.wordingOnlyHint') }}</span></span
          ></label
        >
      </template>
      <template v-if="lathe">
        <SizeField v-model="form.through_bore" :label="t('workshop.fact.bore')" :error="fault('through_bore')" />
        <div class="grid grid-cols-2 gap-3">
          <SizeField
            v-model="form.dial_graduation"
            :label="t('workshop.carriageGraduation')"
            :error="fault('dial_graduation')"
          />
          <TextField
            v-model="form.dial_divisions"
            mode="numeric"
            reading
            :label="t('workshop.divisions')"
            :error="fault('dial_divisions')"
          />
        </div>
        <div class="grid grid-cols-2 gap-3">
          <SizeField
            v-model="form.cross_graduation"
            :label="t('workshop.crossGraduation')"
            :error="fault('cross_graduation')"
          />
          <TextField
            v-model="form.cross_divisions"
            mode="numeric"
            reading
            :label="t('workshop.divisions')"
            :error="fault('cross_divisions')"
          />
          <label class="col-span-2 flex min-h-11 items-center gap-2"
            ><input v-model="form.cross_reads_diameter" type="checkbox" class="size-5" />
            {{ t('workshop.readsDiameter') }}</label
          >
        </div>
      </template>
      <SelectField
        v-model="form.language"
        :label="t('workshop.screenLanguage')"
        :hint="t('workshop.screenLanguageHint')"
        :error="fault('language')"
        :options="LANGUAGES.map((value) => ({ value, label: t(`content.language.${value}`) }))"
      />
      <fieldset class="sm:col-span-2">
        <legend class="font-semibold">{{ t('workshop.cribsBeside') }}</legend>
        <div class="mt-1 grid gap-x-4 border border-hairline px-3 sm:grid-cols-2">
          <label v-for="crib in cribs.data.value ?? []" :key="crib.slug" class="flex min-h-11 items-center gap-2">
            <input v-model="form.cribs" type="checkbox" class="size-5" :value="crib.slug" /> {{ crib.name }}
          </label>
        </div>
      </fieldset>
      <ErrorNote class="sm:col-span-2" :error="save.error.value" @retry="save.run(undefined)" />
      <DialogButtons class="sm:col-span-2" :label="t('ui.save')" :busy="save.busy.value" @cancel="emit('close')" />
    </form>
  </SheetDialog>
</template>
