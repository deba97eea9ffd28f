<script setup lang="ts">
import { api, must } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import FormField from '@/ui/FormField.vue';
import { useAction } from '@/ui/useAction';
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** The instructor stands beside the learner: who they are, their PIN, and the step is open. */
const props = defineProps<{ hold: number }>();
const emit = defineEmits<{ opened: [] }>();
const { t } = useI18n();
const asked = ref(false);
const by = ref('');
const pin = ref('');
const openers = useQuery({
  queryKey: ['openers', () => props.hold],
  enabled: asked,
  queryFn: () =>
    must(api.GET('/api/learning/holds/{hold}/openers', { params: { path: { hold: String(props.hold) } } })),
});
const open = useAction(
  () =>
    must(
      api.POST('/api/learning/holds/{hold}/opening-here', {
        params: { path: { hold: String(props.hold) } },
        body: { by: Number(by.value), pin: pin.value },
      }),
    ),
  () => emit('opened'),
);
/** A PIN that was wrong is not left in the field. */
async function send() {
  await open.run(undefined);
  pin.value = '';
}
</script>

<template>
  <div class="mt-3">
    <button v-if="!asked" type="button" class="min-h-12 underline underline-offset-4" @click="asked = true">
      {{ t('lesson.openHere') }}
    </button>
    <p v-else-if="openers.data.value?.length === 0" class="text-quiet">{{ t('lesson.openHereNobody') }}</p>
    <form v-else class="flex flex-wrap items-end gap-3 border border-hairline p-3" @submit.prevent="send">
      <FormField v-slot="field" :label="t('lesson.openHereWho')">
        <select :id="field.id" v-model="by" class="field" required>
          <option value="" disabled>{{ t('practice.choose') }}</option>
          <option v-for="each in openers.data.value ?? []" :key="each.id" :value="String(each.id)">
            {{ each.name }}
          </option>
        </select>
      </FormField>
      <FormField v-slot="field" :label="t('lesson.openHerePin')">
        <input
          :id="field.id"
          v-model="pin"
          type="password"
          class="field reading w-36"
          inputmode="numeric"
          autocomplete="off"
          required
          maxlength="20"
        />
      </FormField>
      <BigButton type="submit" tone="main" :busy="open.busy.value">{{ t('lesson.openHereAct') }}</BigButton>
      <ErrorNote class="basis-full" :error="open.error.value" @retry="open.reset()" />
    </form>
  </div>
</template>
