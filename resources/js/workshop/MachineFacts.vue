<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** What a plan has to know of a machine, at a glance. */
const props = defineProps<{ machine: Schemas['Machine'] }>();
const { t } = useI18n();
const { length } = useUnits();
const facts = computed(() => {
  const { machine } = props;
  const speeds = machine.speeds_rpm
    ? machine.speeds_rpm
        .map((rpm, index) => (machine.speed_names?.[index] ? `${rpm} (${machine.speed_names[index]})` : String(rpm)))
        .join(', ')
    : machine.min_rpm !== null
      ? t('workshop.fromTo', { from: machine.min_rpm, to: machine.max_rpm })
      : '';
  const dial = (it: Schemas['Dial'] | null) =>
    it
      ? t(it.reads_diameter ? 'workshop.dialDiameter' : 'workshop.dialOf', {
          graduation: length(it.graduation_mm, 3),
          divisions: it.divisions_per_turn,
        })
      : '';
  const scale = machine.depth_scale;
  const all: [string, string][] = [
    ['speeds', speeds ? `${speeds} rpm` : ''],
    ['change', machine.speed_change ? t(`workshop.change.${machine.speed_change}`) : ''],
    ['reverses', machine.reverses ? t('workshop.reversing') : ''],
    ['belt', machine.fastest_belt ? t(`workshop.belt.${machine.fastest_belt}`) : ''],
    [
      'scale',
      scale
        ? t('workshop.scaleOf', {
            graduation: length(scale.graduation_mm, 3, scale.unit),
            travel: scale.travel_mm === undefined ? '—' : length(scale.travel_mm, 0, scale.unit),
          })
        : '',
    ],
    ['chuck', machine.chuck_max_mm === null ? '' : length(machine.chuck_max_mm)],
    ['bore', machine.through_bore_mm === null ? '' : length(machine.through_bore_mm)],
    ['taper', machine.taper === null ? '' : t('workshop.morse', { n: machine.taper })],
    ['carriage', dial(machine.dial)],
    ['cross', dial(machine.cross_dial)],
    ['stop', machine.stop ?? ''],
    ['isolator', machine.isolator ?? ''],
    ['brake', machine.brake ?? ''],
    ['locks', machine.locks ?? ''],
    ['cribs', machine.cribs.map((crib) => crib.name).join(', ')],
  ];
  return all.filter(([, value]) => value !== '');
});
</script>

<template>
  <dl class="grid grid-cols-[auto_1fr] gap-x-4 text-sm">
    <template v-for="[key, value] in facts" :key="key">
      <dt class="text-quiet">{{ t(`workshop.fact.${key}`) }}</dt>
      <dd :class="{ reading: !['change', 'cribs', 'stop', 'isolator', 'brake', 'locks'].includes(key) }">
        {{ value }}
      </dd>
    </template>
  </dl>
</template>
