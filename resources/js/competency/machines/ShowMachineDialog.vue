<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import CautionNote from '@/ui/CautionNote.vue';
import DialogButtons from '@/ui/DialogButtons.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SheetDialog from '@/ui/SheetDialog.vue';
import { capital } from '@/ui/capital';
import { useAction } from '@/ui/useAction';
import { useIntent } from '@/ui/useIntent';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useTraits } from './useTraits';

/** Two minutes at one more machine: what differs from the one that they know, shown and ticked one by one. */
const props = defineProps<{ one: Schemas['KnownMachine']; learnerId: number; name: string }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const { word, says } = useTraits();
const shown = ref<Schemas['MachineTrait'][]>([]);
const all = computed(() => props.one.to_show.every(({ trait }) => shown.value.includes(trait)));
const intent = useIntent(`machine.${props.learnerId}.${props.one.machine}`);
const enter = useAction(
  () =>
    must(
      api.POST('/api/competency/learners/{learner}/machines/{machine}', {
        params: { path: { learner: String(props.learnerId), machine: props.one.machine } },
        body: { id: intent.id.value, shown: shown.value },
      }),
    ),
  () => {
    intent.done();
    emit('close');
  },
);
</script>

<template>
  <SheetDialog open :title="t('known.showTitle', { machine: one.name, name })" @close="emit('close')">
    <form class="mt-3 space-y-4" @submit.prevent="enter.run(undefined)">
      <CautionNote>{{ t('known.caution') }}</CautionNote>
      <p class="font-semibold">{{ one.from ? t('known.differsFrom', { machine: one.from }) : t('known.all') }}</p>
      <ul class="divide-y divide-hairline border-y border-hairline">
        <li v-for="{ trait, here, there, differs } in one.to_show" :key="trait">
          <label class="flex min-h-12 items-center gap-3 py-2">
            <input v-model="shown" type="checkbox" class="size-6 shrink-0" :value="trait" />
            <span class="grow">
              <strong class="block">{{ capital(word(trait)) }}</strong>
              <span v-if="trait === 'scale'" class="block text-sm">{{ t('known.scaleWords') }}</span>
              <template v-else>
                <span class="block text-sm"
                  >{{ t('known.here') }}: {{ says(trait, here) ?? t('known.notWritten') }}</span
                >
                <span v-if="one.from" class="block text-sm text-quiet">{{
                  differs ? `${t('known.there')}: ${says(trait, there) ?? '—'}` : t('known.same')
                }}</span>
              </template>
            </span>
          </label>
        </li>
      </ul>
      <ErrorNote :error="enter.error.value" @retry="enter.run(undefined)" />
      <DialogButtons :label="t('known.act')" :busy="enter.busy.value" :disabled="!all" @cancel="emit('close')" />
    </form>
  </SheetDialog>
</template>
