<script setup lang="ts">
import type { Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useCommand } from '@/ui/useCommand';
import { useAgo } from '@/ui/useAgo';
import ConfirmPractice, { type WaitingPractice } from '@/practice/ConfirmPractice.vue';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** Who waits for whom, and the one move that ends the waiting. */
const props = defineProps<{ items: Schemas['WaitingItem'][] }>();
const { t } = useI18n();
type Item = Schemas['WaitingItem'];

const openHold = useCommand((item: Item) => ({
  about: `look:${item.id}`,
  method: 'POST',
  path: `/api/learning/holds/${item.id}/open`,
  label: { key: 'outbox.look', words: { what: item.learner.name } },
}));
const returning = ref<string | null>(null);
const reason = ref('');
const sendBack = useCommand(
  (item: Item) => ({
    about: `look:${item.id}`,
    method: 'POST',
    path: `/api/learning/holds/${item.id}/return`,
    body: { reason: reason.value },
    label: { key: 'outbox.look', words: { what: item.learner.name } },
  }),
  () => (returning.value = null),
);
/** What is about to be confirmed: one, or all that wait, to be ticked. */
const confirming = ref<WaitingPractice[]>([]);
const practice = computed(() => props.items.filter(({ kind }) => kind === 'practice').map(asPractice));
function asPractice(item: Item): WaitingPractice {
  return { id: item.id, learner: item.learner.name, what: item.what, facts: facts(item) };
}
const facts = (item: Item) =>
  [item.minutes === null ? '' : t('waiting.minutes', { minutes: item.minutes }), item.detail]
    .filter(Boolean)
    .join(', ');
const { ago } = useAgo();
</script>

<template>
  <section>
    <h2>
      {{ t('waiting.title') }} <span class="reading text-base">{{ items.length }}</span>
    </h2>
    <ErrorNote
      class="mt-2"
      :error="openHold.error.value ?? sendBack.error.value"
      @retry="(openHold.reset(), sendBack.reset())"
    />
    <BigButton v-if="practice.length > 1" class="mt-2 w-full" @click="confirming = practice">{{
      t('waiting.practice.several', practice.length)
    }}</BigButton>
    <ConfirmPractice
      v-if="confirming.length > 0"
      :key="confirming.map(({ id }) => id).join()"
      :entries="confirming"
      @close="confirming = []"
    />
    <p v-if="items.length === 0" class="mt-2 text-quiet">{{ t('waiting.nobody') }}</p>
    <ul class="sheet mt-2">
      <li
        v-for="item in items"
        :key="`${item.kind}-${item.id}-${item.learner.id}`"
        class="border-t border-hairline p-3 break-words first:border-t-0"
      >
        <p class="text-sm text-quiet">
          {{ t(`waiting.${item.kind}.who`) }}<template v-if="item.since">, {{ ago(item.since) }}</template>
        </p>
        <p class="font-semibold">
          <RouterLink
            :to="{ name: 'learner', params: { id: item.learner.id } }"
            class="inline-flex min-h-12 items-center"
            >{{ item.learner.name }}</RouterLink
          >
        </p>
        <p>{{ item.what }}</p>
        <p v-if="item.detail" class="text-sm text-quiet">
          {{ item.kind === 'acknowledgement' || item.kind === 'signature' ? t(`lapse.${item.detail}`) : facts(item) }}
        </p>
        <div class="mt-2">
          <div v-if="item.kind === 'look'" class="flex flex-wrap gap-3">
            <BigButton tone="main" :busy="openHold.busy.value" @click="openHold.run(item)">{{
              t('waiting.look.act')
            }}</BigButton>
            <BigButton v-if="returning !== item.id" @click="((returning = item.id), (reason = ''))">{{
              t('waiting.look.back')
            }}</BigButton>
            <form v-else class="flex w-full gap-2" @submit.prevent="sendBack.run(item)">
              <input
                v-model="reason"
                class="field"
                required
                minlength="3"
                maxlength="300"
                :aria-label="t('waiting.look.why')"
                :placeholder="t('waiting.look.why')"
              />
              <BigButton type="submit" :busy="sendBack.busy.value">{{ t('waiting.look.back') }}</BigButton>
            </form>
          </div>
          <BigButton v-else-if="item.kind === 'practice'" tone="main" @click="confirming = [asPractice(item)]">{{
            t('waiting.practice.act')
          }}</BigButton>
          <RouterLink
            v-else-if="item.kind === 'signature'"
            :to="{ name: 'sign-off', params: { id: item.learner.id, permit: item.id } }"
            class="inline-flex min-h-12 items-center border border-blue bg-blue px-5 font-semibold text-on-blue no-underline"
            >{{ t('waiting.signature.act') }}</RouterLink
          >
          <RouterLink
            v-else-if="item.kind === 'sheet' || item.kind === 'appeal'"
            :to="{ name: 'sheet', params: { id: item.id } }"
            class="inline-flex min-h-12 items-center border border-quiet px-5 font-semibold no-underline"
            >{{ t(`waiting.${item.kind}.act`) }}</RouterLink
          >
        </div>
      </li>
    </ul>
  </section>
</template>
