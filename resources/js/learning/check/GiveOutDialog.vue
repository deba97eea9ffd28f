<script setup lang="ts">
import { api, must } from '@/api/client';
import AskDialog from '@/ui/AskDialog.vue';
import PageState from '@/ui/PageState.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';

/** Who gets a paper of their own: a whole class in one press, or some of it. */
const props = defineProps<{ code: string }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const router = useRouter();
const today = useQuery({ queryKey: ['today'], queryFn: () => must(api.GET('/api/records/today')) });
const cohorts = computed(() => (today.data.value?.cohorts ?? []).filter(({ learners }) => learners.length > 0));
const chosen = ref<number[]>([]);
/** One paper for each, however often it is pressed. */
const made = new Map<number, string>();
const give = useAction(
  () =>
    must(
      api.POST('/api/learning/checks/{code}/papers', {
        params: { path: { code: props.code } },
        body: {
          papers: chosen.value.map((learner) => {
            const id = made.get(learner) ?? uuid();
            made.set(learner, id);
            return { id, learner_id: learner };
          }),
        },
      }),
    ),
  async ({ papers }) => {
    emit('close');
    await router.push({ name: 'print-papers', query: { papers: papers.join(',') } });
  },
);
function all(ids: number[]) {
  const has = ids.every((id) => chosen.value.includes(id));
  chosen.value = has ? chosen.value.filter((id) => !ids.includes(id)) : [...new Set([...chosen.value, ...ids])];
}
</script>

<template>
  <AskDialog
    :title="t('check.paper.giveOut')"
    :label="t('check.paper.make', chosen.length)"
    :busy="give.busy.value"
    :disabled="chosen.length === 0"
    :error="give.error.value"
    @yes="give.run(undefined)"
    @close="emit('close')"
  >
    <p class="text-quiet">{{ t('check.paper.giveOutWords') }}</p>
    <PageState v-slot="{}" :data="today.data.value" :error="today.error.value" @retry="today.refetch()">
      <fieldset v-for="cohort in cohorts" :key="cohort.name">
        <legend class="flex w-full items-center gap-4 font-semibold">
          {{ cohort.name || t('today.noCohort') }}
          <button
            type="button"
            class="min-h-12 font-normal underline underline-offset-4"
            @click="all(cohort.learners.map(({ id }) => id))"
          >
            {{ t('check.paper.whole') }}
          </button>
        </legend>
        <div class="grid grid-cols-1 sm:grid-cols-2">
          <label v-for="learner in cohort.learners" :key="learner.id" class="flex min-h-12 items-center gap-3"
            ><input v-model="chosen" type="checkbox" class="size-5" :value="learner.id" /> {{ learner.name }}</label
          >
        </div>
      </fieldset>
    </PageState>
  </AskDialog>
</template>
