<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import ShowMachineDialog from './ShowMachineDialog.vue';
import { useTraits } from './useTraits';

/** Which machines somebody knows, because of what, and which they would be shown next. */
const props = defineProps<{ learnerId: number; name: string }>();
const { t, d } = useI18n();
const { list } = useTraits();
const machines = useQuery({
  queryKey: ['known-machines', props.learnerId],
  queryFn: () =>
    must(
      api.GET('/api/competency/learners/{learner}/machines', {
        params: { path: { learner: String(props.learnerId) } },
      }),
    ),
});
const showing = ref<Schemas['KnownMachine'] | null>(null);
const date = (at: string) => d(at, { dateStyle: 'medium' });
/** What is to be done there, if anything. */
function open({ knows }: Schemas['KnownMachine']): string {
  if (!knows) return t('known.not');
  if (!knows.until) return '';
  return t(knows.stands ? 'known.until' : 'known.ended', { date: date(knows.until), what: list(knows.changed) });
}
</script>

<template>
  <section v-if="machines.data.value" id="machines">
    <h2>{{ t('known.title') }}</h2>
    <p class="text-sm text-quiet">{{ t('known.words') }}</p>
    <p v-if="machines.data.value.length === 0" class="mt-2">{{ t('known.none') }}</p>
    <ul v-else class="mt-2 divide-y divide-hairline border-y border-hairline">
      <li
        v-for="one in machines.data.value"
        :key="one.machine"
        class="flex min-h-12 flex-wrap items-center gap-x-4 gap-y-1 py-2"
      >
        <strong class="min-w-44">{{ one.name }}</strong>
        <span class="min-w-0 grow">
          <template v-if="one.knows">
            {{ t(`known.because.${one.knows.because}`) }},
            {{ t('known.since', { date: date(one.knows.since) }) }}
          </template>
          <span
            v-if="open(one)"
            class="block border-l-4 pl-2"
            :class="one.knows?.stands ? 'border-bronze' : 'border-no'"
            >{{ open(one) }}</span
          >
        </span>
        <button
          v-if="one.may_show && open(one)"
          type="button"
          class="min-h-12 px-2 underline underline-offset-4 print:hidden"
          :aria-label="`${t('known.show')}: ${one.name}`"
          @click="showing = one"
        >
          {{ t('known.show') }}
        </button>
      </li>
    </ul>
    <ShowMachineDialog
      v-if="showing"
      :key="showing.machine"
      :one="showing"
      :learner-id="learnerId"
      :name="name"
      @close="showing = null"
    />
  </section>
</template>
