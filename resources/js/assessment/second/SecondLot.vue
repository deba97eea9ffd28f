<script setup lang="ts">
import { api, must, type Schemas } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import ErrorNote from '@/ui/ErrorNote.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { useClipboard } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** A second view that was drawn by lot: whether it is given, and by whom; else an invitation to somebody from outside. */
const props = defineProps<{ attempt: Schemas['AssessmentAttempt'] }>();
const { t, d } = useI18n();
const name = ref('');
const inviting = ref(false);
const link = ref('');
const { copy, copied } = useClipboard();
const invite = useAction(
  () =>
    must(
      api.POST('/api/assessment/attempts/{attempt}/reviews', {
        params: { path: { attempt: props.attempt.id } },
        body: { name: name.value.trim() },
      }),
    ),
  (made) => {
    link.value = `${window.location.origin}${made.link}`;
    inviting.value = false;
  },
);
const mayInvite = computed(() => props.attempt.word.may.includes('invite'));
</script>

<template>
  <section
    v-if="attempt.second_wanted || attempt.reviews.length > 0"
    class="mt-3 border-l-4 px-4 py-2"
    :class="attempt.second_open ? 'border-supervised' : 'border-alone'"
    data-testid="lot"
  >
    <p class="font-semibold">
      {{ attempt.second_open ? '‖' : '✓' }}
      {{
        t(
          attempt.second_open
            ? attempt.concluded_at
              ? 'sheet.lot.open'
              : 'sheet.lot.openAtMachine'
            : 'sheet.lot.given',
        )
      }}
    </p>
    <p v-for="review in attempt.reviews" :key="review.id">
      <template v-if="review.said_at">
        {{ review.agrees ? '✓' : '▲' }}
        {{ t(review.agrees ? 'sheet.lot.agrees' : 'sheet.lot.disagrees', { name: review.name }) }}
        <q v-if="review.says">{{ review.says }}</q>
      </template>
      <span v-else class="text-quiet">{{
        t('sheet.lot.invited', { name: review.name, until: d(review.expires_at, { dateStyle: 'medium' }) })
      }}</span>
    </p>
    <div v-if="attempt.second_open && mayInvite" class="mt-2 print:hidden">
      <div v-if="link" class="space-y-2">
        <p class="font-semibold">{{ t('sheet.lot.link') }}</p>
        <p class="reading break-all select-all">{{ link }}</p>
        <BigButton @click="copy(link)">{{ t(copied ? 'sheet.lot.copied' : 'sheet.lot.copy') }}</BigButton>
      </div>
      <form v-else-if="inviting" class="max-w-md space-y-3" @submit.prevent="invite.run(undefined)">
        <p class="text-quiet">{{ t('sheet.lot.inviteWords') }}</p>
        <TextField
          v-model="name"
          required
          maxlength="120"
          :label="t('sheet.lot.name')"
          :error="invite.fieldErrors.value.name?.[0]"
        />
        <BigButton type="submit" tone="main" :busy="invite.busy.value" :disabled="name.trim().length < 2">{{
          t('sheet.lot.invite')
        }}</BigButton>
        <ErrorNote :error="invite.error.value" />
      </form>
      <BigButton v-else @click="inviting = true">{{ t('sheet.lot.invite') }}</BigButton>
    </div>
  </section>
</template>
