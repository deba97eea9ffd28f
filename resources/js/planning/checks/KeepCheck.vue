<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import { useMe } from '@/api/useMe';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import SelectField from '@/ui/SelectField.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';

/** Keeps a check with its machine or its drill, and shows those that were kept. */
const props = defineProps<{
  kind: Schemas['CheckKind'];
  given: Record<string, string | number>;
  /** Whether there is anything to keep. */
  whole: boolean;
  of: 'machine' | 'tool';
  options: { value: string; label: string }[];
}>();
const { t, d } = useI18n();
const { teaches } = useMe();
const chosen = ref('');
watch(
  () => props.options,
  (options) => {
    if (!options.some((option) => option.value === chosen.value)) chosen.value = options[0]?.value ?? '';
  },
  { immediate: true },
);
/** One intent, one key: the same readings sent twice are one entry. */
const key = ref(uuid());
watch([() => props.given, chosen], () => (key.value = uuid()), { deep: true });
const keep = useAction(
  () =>
    must(
      api.PUT('/api/workshop/checks/{kind}/{key}', {
        params: { path: { kind: props.kind, key: key.value } },
        body: { ...props.given, [props.of]: props.of === 'tool' ? Number(chosen.value) : chosen.value },
      }),
    ),
  () => (kept.value = key.value),
);
const kept = ref('');
const log = useQuery({
  queryKey: ['checks', () => props.kind],
  queryFn: () => must(api.GET('/api/workshop/checks/{kind}', { params: { path: { kind: props.kind } } })),
  enabled: teaches,
});
const verdict = computed(() => (said: unknown) => t(`planning.checks.verdict.${String(said)}`));
</script>

<template>
  <section v-if="teaches" class="grid gap-3">
    <form
      v-if="whole && options.length > 0"
      class="flex flex-wrap items-end gap-3"
      @submit.prevent="keep.run(undefined)"
    >
      <SelectField
        v-model="chosen"
        class="min-w-52 flex-1"
        :label="t(`planning.checks.with.${of}`)"
        :options="options"
      />
      <BigButton type="submit" :busy="keep.busy.value" :disabled="kept === key">{{
        t(kept === key ? 'planning.checks.kept' : 'planning.checks.keep')
      }}</BigButton>
    </form>
    <ErrorNote :error="keep.error.value" @retry="keep.run(undefined)" />
    <template v-if="log.data.value && log.data.value.length > 0">
      <h2>{{ t('planning.checks.log') }}</h2>
      <ul class="sheet divide-y divide-hairline">
        <li v-for="entry in log.data.value" :key="entry.key" class="px-4 py-2">
          <strong>{{ entry.of }}</strong>
          <span v-if="entry.crib" class="text-quiet"> · {{ entry.crib }}</span
          ><span> · {{ verdict(entry.found.verdict) }}</span>
          <span class="block text-sm text-quiet">{{
            t('planning.checks.entry', { by: entry.by, at: d(new Date(entry.at), { dateStyle: 'medium' }) })
          }}</span>
        </li>
      </ul>
    </template>
  </section>
</template>
