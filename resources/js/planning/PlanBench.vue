<script setup lang="ts">
import { useSay } from '@/language/useSay';
import type { Schemas } from '@/api/client';
import ErrorNote from '@/ui/ErrorNote.vue';
import PrecedenceNote from '@/ui/PrecedenceNote.vue';
import { computed, ref, type Component } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import BatchFigures from '@/planning/lathe/BatchFigures.vue';
import ClassBarsTable from '@/planning/lathe/ClassBarsTable.vue';
import DrawingView from '@/planning/drawing/DrawingView.vue';
import type { LayoutDraft, PlanKind } from './drafts';
import HiddenAnswers from '@/planning/figures/HiddenAnswers.vue';
import HoleForm from '@/planning/hole/HoleForm.vue';
import JobSheet from '@/planning/paper/JobSheet.vue';
import LatheForm from '@/planning/lathe/LatheForm.vue';
import LayoutForm from '@/planning/layout/LayoutForm.vue';
import LayoutTable from '@/planning/layout/LayoutTable.vue';
import PlanActions from './PlanActions.vue';
import PlanChangesList from '@/planning/saved/PlanChangesList.vue';
import PlanSequence from '@/planning/sequence/PlanSequence.vue';
import PlanVerdict from '@/planning/sequence/PlanVerdict.vue';
import SavePlanDialog from '@/planning/saved/SavePlanDialog.vue';
import { useDuration } from '@/planning/figures/useDuration';
import { usePlanDraft } from './usePlanDraft';

/** Where a plan is made: what is wanted above, what it comes to below, live. */
const props = defineProps<{ kind: PlanKind; plan?: Schemas['SavedPlan'] }>();
const { t } = useI18n();
const { say } = useSay();
const duration = useDuration();
const router = useRouter();
const { draft, request, settled, answer, faults, hidden, changed, planable, stale, away } = usePlanDraft(
  props.kind,
  props.plan,
);
/** Each form takes the draft of its own kind, which is what this bench was opened with. */
const FORMS: Record<PlanKind, Component> = { hole: HoleForm, layout: LayoutForm, lathe: LatheForm };
/** How the lines of a layout are set; nothing for a sequence. */
const setting = computed(() => (draft.value as unknown as Partial<LayoutDraft>).setting ?? 'rule');
const saving = ref<'save' | 'copy' | null>(null);
const name = computed(() => props.plan?.name ?? t(`planning.unnamed.${props.kind}`));

/** Faults that stand beside a field need not be said twice. */
const BESIDE =
  /^(machine|cribs|material|thickness|size|hole|depth|fit|position_tolerance|work_diameter|overhang|holding|length|width|count|rows|inset|pitch|points|circle|graduation|bar|outside|part|bore_size|line|rectangle|learners|kerf)/;
const general = computed(() =>
  Object.keys(faults.value).some((field) => BESIDE.test(field)) ? null : answer.error.value,
);
/** A refusal takes the old plan off the bench; a server that is away leaves it, dimmed and said to be old. */
const shown = computed(() => (answer.error.value && !away.value ? undefined : answer.data.value));
const time = computed(() => {
  const plan = shown.value?.plan;
  if (!plan || plan.time_s === 0) return '';
  const has = (kind: string) => plan.operations.some((step) => step.kind === kind);
  const what = has('bore') ? 'bored' : has('ream') ? 'reamed' : 'drilled';
  return t(`planning.time.${what}`, { time: duration(plan.time_s) });
});

async function saved(plan: Schemas['SavedPlan']) {
  saving.value = null;
  await router.push({ name: 'plan', params: { id: plan.id } });
}
</script>

<template>
  <div class="print:hidden">
    <section v-if="plan?.since && plan.since.count > 0" class="mt-4 border-2 border-bronze bg-sheet p-4" role="status">
      <h2>{{ t('planning.since') }}</h2>
      <p class="text-quiet">{{ t('planning.sinceWords') }}</p>
      <PlanChangesList class="mt-2" :changes="plan.since" />
    </section>
    <div class="mt-4 grid items-start gap-4" :class="kind === 'layout' ? 'lg:grid-cols-[2fr_3fr]' : ''">
      <component :is="plan && kind !== 'layout' ? 'details' : 'div'" class="sheet p-4">
        <summary v-if="plan && kind !== 'layout'" class="flex min-h-9 cursor-pointer flex-wrap items-center gap-x-4">
          <span class="font-semibold">▸ {{ t('planning.wanted') }}</span>
          <span v-if="shown" class="text-quiet">{{
            [say(shown.heading.what), say(shown.heading.material), shown.heading.machine].filter(Boolean).join(' · ')
          }}</span>
        </summary>
        <form :class="{ 'mt-3': plan }" @submit.prevent>
          <component :is="FORMS[kind]" v-model="draft" :faults="faults" />
        </form>
      </component>
      <div class="min-w-0 space-y-4">
        <ErrorNote :error="general" @retry="answer.refetch()" />
        <p v-if="!planable" class="text-quiet">{{ t('planning.empty') }}</p>

        <p
          v-if="stale && shown && !hidden"
          class="border-2 border-supervised bg-sheet px-4 py-2 font-semibold text-supervised"
          role="status"
          data-testid="stale"
        >
          ▲ {{ t(away ? 'planning.staleAway' : 'planning.stale') }}
        </p>
        <div
          v-if="shown || hidden"
          class="space-y-4"
          :class="{ 'pointer-events-none opacity-40 select-none': stale && !hidden }"
          :aria-busy="stale"
        >
          <PlanActions
            :kind="kind"
            :request="request"
            :name="name"
            :plan="plan"
            :changed="changed"
            :hidden="hidden"
            @save="saving = 'save'"
            @copy="saving = 'copy'"
            @hide="hidden = $event"
          />
          <HiddenAnswers v-if="hidden" :kind="kind" :request="settled" />
          <template v-else-if="shown?.plan">
            <PlanVerdict
              :ready="shown.plan.ready"
              :missing="shown.plan.missing"
              :warnings="shown.plan.warnings"
              :words="[shown.heading.machine, time].filter(Boolean).join('; ')"
            />
            <BatchFigures v-if="shown.plan.batch" :batch="shown.plan.batch" />
            <PlanSequence v-if="shown.plan.operations.length > 0" :plan="shown.plan" :drawing="shown.drawing" />
            <ClassBarsTable v-if="shown.bars" :bars="shown.bars" />
            <p class="text-sm text-quiet">{{ t('planning.teaching') }}</p>
          </template>
          <template v-else-if="shown?.layout">
            <PlanVerdict
              :ready="shown.layout.ready"
              :missing="shown.layout.missing"
              :words="say(shown.heading.what)"
              layout
            />
            <div class="space-y-4">
              <figure v-if="shown.drawing" class="sheet p-3">
                <DrawingView :drawing="shown.drawing" class="max-h-[55vh]" />
              </figure>
              <div><LayoutTable :layout="shown.layout" :setting="setting" /></div>
            </div>
          </template>
        </div>
      </div>
    </div>
    <PrecedenceNote class="mt-4" />
  </div>
  <JobSheet
    v-if="shown && !hidden && !stale"
    class="hidden print:block"
    :name="name"
    :answer="shown"
    :setting="setting"
  />
  <SavePlanDialog
    v-if="saving"
    :kind="kind"
    :request="request"
    :plan="plan"
    :copy="saving === 'copy'"
    @close="saving = null"
    @saved="saved"
  />
</template>
