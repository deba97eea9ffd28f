<script setup lang="ts">
import { api, must } from '@/api/client';
import ErrorNote from '@/ui/ErrorNote.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';

/** Looks of the last day that were opened on learners' devices by one's own PIN: whoever did not give one says so here. */
const { t, d } = useI18n();
const looks = useQuery({ queryKey: ['looks-here'], queryFn: () => must(api.GET('/api/learning/looks-here')) });
const disown = useAction((hold: number) =>
  must(api.POST('/api/learning/holds/{hold}/disowning', { params: { path: { hold: String(hold) } } })),
);
</script>

<template>
  <section v-if="(looks.data.value ?? []).length > 0" data-testid="looks-here">
    <h2>{{ t('lesson.looksHere') }}</h2>
    <ul class="mt-2">
      <li
        v-for="look in looks.data.value"
        :key="look.id"
        class="flex flex-wrap items-center gap-3 border-t border-hairline py-1"
      >
        <span class="flex-1">
          <strong>{{ look.learner }}</strong>: {{ look.lesson
          }}<template v-if="look.at">, {{ d(look.at, { timeStyle: 'short' }) }}</template>
        </span>
        <button
          type="button"
          class="min-h-12 px-3 text-no underline underline-offset-4"
          :title="t('lesson.notMeSure')"
          :disabled="disown.busy.value"
          @click="disown.run(look.id)"
        >
          {{ t('lesson.notMe') }}
        </button>
      </li>
    </ul>
    <ErrorNote class="mt-2" :error="disown.error.value" @retry="disown.reset()" />
  </section>
</template>
