<script setup lang="ts">
import { useSay } from '@/language/useSay';
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import DrawingView from '@/planning/drawing/DrawingView.vue';
import LayoutTable from '@/planning/layout/LayoutTable.vue';
import { useStepFigures } from '@/planning/figures/useStepFigures';

/** The plan on one sheet of paper beside the machine: black on white, the figures big, cautions before their step. */
const props = defineProps<{ name: string; answer: Schemas['PlanAnswer']; setting?: string }>();
// More characters than a single figure has.
const SERIES = 28;
const { t, d } = useI18n();
const { say } = useSay();
const { length, number } = useUnits();
const { figuresOf } = useStepFigures();
const plan = computed(() => props.answer.plan);
const rows = computed(
  () =>
    plan.value?.operations.map((step, index) => ({
      ...step,
      number: index + 1,
      shown: figuresOf(step),
      before: step.cautions.length + (step.dangers ?? []).length + (step.standing ?? []).length > 0,
      always: (step.standing ?? []).map((each) => say({ code: `planning.standing.${each}`, terms: {} })).join(' '),
      withdraw: step.pecks?.slice(0, -1).map((peck) => length(peck.reading_mm, 0)),
    })) ?? [],
);
/** A long sequence is set closer, so that it stays on one page. */
const dense = computed(
  () =>
    rows.value.reduce(
      (sum, row) => sum + (row.shown.length > 0 ? 2 : 1) + (row.before ? 1 : 0) + (row.needs?.length ? 1 : 0),
      0,
    ) > 22,
);
const facts = computed(() =>
  [say(props.answer.heading.material), props.answer.heading.machine].filter(Boolean).join(' · '),
);
</script>

<template>
  <section class="job" :class="{ dense }">
    <header>
      <div>
        <h1>{{ name }}</h1>
        <p class="what">{{ say(answer.heading.what) }}</p>
        <p>{{ facts }}</p>
        <p v-if="answer.heading.cribs" class="small">{{ t('planning.fromCribs', { cribs: answer.heading.cribs }) }}</p>
        <p class="small">{{ t('planning.printedOn', { date: d(new Date(), { dateStyle: 'medium' }) }) }}</p>
        <p v-if="plan?.batch" class="small">
          {{
            t('planning.lathe.sheet', {
              out: length(plan.batch.overhang_mm, 1),
              ratio: number(plan.batch.overhang_ratio, 1),
              blank: length(plan.batch.blank_mm, 0),
            })
          }}
        </p>
      </div>
      <DrawingView v-if="answer.drawing" :drawing="answer.drawing" class="figure" />
    </header>
    <p v-if="plan && !plan.ready" class="missing">
      ■ {{ t('planning.missing') }}: {{ plan.missing.map(say).join(' ') }}
    </p>
    <p v-for="(warning, index) in plan?.warnings ?? []" :key="index" class="small">! {{ say(warning) }}</p>
    <table v-if="plan">
      <tbody v-for="row in rows" :key="row.number">
        <tr v-if="row.before" class="caution">
          <td colspan="3">
            <span v-for="(danger, index) in row.dangers ?? []" :key="`danger-${index}`" class="danger"
              >■ {{ say(danger) }}</span
            >
            <span v-for="(caution, index) in row.cautions" :key="index">◇ {{ say(caution) }}</span>
            <span v-if="row.always" class="always">{{ row.always }}</span>
          </td>
        </tr>
        <tr v-if="row.shown.length === 0">
          <th scope="row" colspan="3">
            {{ row.number }} {{ t(`planning.kind.${row.kind}`) }} <span class="tool inline">{{ say(row.tool) }}</span>
          </th>
        </tr>
        <tr v-else>
          <th scope="row">
            {{ row.number }} {{ t(`planning.kind.${row.kind}`) }}<span class="tool">{{ say(row.tool) }}</span>
          </th>
          <td class="figures">
            <span v-for="figure in row.shown" :key="figure.key">
              <b :class="{ series: figure.value.length > SERIES }">{{ figure.value }}</b>
              <i>{{ figure.note ?? figure.label }}</i>
            </span>
          </td>
          <td class="aside">
            <p v-if="row.lubricant">{{ say(row.lubricant) }}</p>
            <p v-if="row.withdraw">{{ t('planning.pecks', { pecks: row.withdraw.join(', ') }) }}</p>
          </td>
        </tr>
        <tr v-if="row.needs && row.needs.length > 0" class="needs">
          <td colspan="3">{{ row.needs.map(say).join(' ') }}</td>
        </tr>
        <tr v-if="row.kind === 'measure'" class="needs readings">
          <td colspan="3">
            <span>{{ t('planning.readingOf.learner') }}</span><span>{{ t('planning.readingOf.instructor') }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <LayoutTable v-if="answer.layout" :layout="answer.layout" :setting="setting ?? 'rule'" />
    <p class="small">{{ t('planning.teaching') }}</p>
    <PrecedenceNote class="precedence" />
  </section>
</template>

<style scoped>
.job {
  font-size: 10.5pt;
  line-height: 1.25;
  color: #000;
}
header {
  display: grid;
  grid-template-columns: 1fr 78mm;
  gap: 6mm;
  align-items: start;
  border-bottom: 0.5mm solid #000;
  padding-bottom: 2mm;
}
h1 {
  font-size: 17pt;
}
.what {
  font-size: 13pt;
  font-weight: 650;
}
.figure {
  max-height: 70mm;
}
.small {
  font-size: 8.5pt;
}
.missing {
  border: 0.6mm solid #000;
  padding: 1.5mm;
  font-weight: 650;
}
table {
  width: 100%;
  border-collapse: collapse;
}
tbody {
  break-inside: avoid;
}
td,
th {
  padding: 0.9mm 1.5mm;
  border-top: 0.2mm solid #000;
  text-align: left;
  vertical-align: top;
}
th {
  width: 46mm;
  font-size: 12pt;
}
.tool {
  display: block;
  font-size: 9pt;
  font-weight: 400;
}
.tool.inline {
  display: inline;
  margin-left: 2mm;
}
.figures span {
  display: inline-block;
  vertical-align: top;
  margin-right: 5mm;
}
.figures b {
  font-family: var(--font-mono);
  font-size: 19pt;
  font-weight: 500;
}
.figures i {
  display: block;
  font-size: 8.5pt;
  font-style: normal;
}
.aside {
  width: 38mm;
  font-size: 8.5pt;
}
.caution td {
  border-top: 0.2mm solid #000;
  padding-bottom: 0;
  font-weight: 650;
  font-size: 9pt;
}
.caution span {
  margin-right: 4mm;
}
.caution .danger {
  display: block;
  font-size: 10pt;
  font-weight: 800;
}
.caution .always {
  display: block;
  font-weight: 400;
}
.readings span {
  display: inline-block;
  width: 62mm;
  padding-top: 5mm;
  border-bottom: 0.2mm solid #000;
  margin-right: 8mm;
  font-size: 9pt;
}
.needs td {
  border-top: 0;
  padding-top: 0;
  font-size: 9.5pt;
}
.caution + tr td,
.caution + tr th {
  border-top: 0;
}
.dense {
  font-size: 9.5pt;
  line-height: 1.15;
}
.dense h1 {
  font-size: 14pt;
}
.dense .what {
  font-size: 11pt;
}
.dense .needs td {
  font-size: 8.5pt;
}
.dense header {
  grid-template-columns: 1fr 56mm;
}
.dense .figure {
  max-height: 50mm;
}
.dense .figures b {
  font-size: 15pt;
}
/* A row of diameters, one after the other, takes the line and not the page. */
.figures b.series,
.dense .figures b.series {
  font-size: 12pt;
}
.dense td,
.dense th {
  padding-top: 0.6mm;
  padding-bottom: 0.6mm;
}
.dense .caution .danger,
.dense .caution .always {
  display: inline;
}
.dense .readings span {
  padding-top: 2mm;
}
.dense .precedence {
  font-size: 8pt;
  padding-top: 0.5mm;
}
</style>
