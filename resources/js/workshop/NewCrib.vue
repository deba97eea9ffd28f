<script setup lang="ts">
import { api, must } from '@/api/client';
import BigButton from '@/ui/BigButton.vue';
import TextField from '@/ui/TextField.vue';
import { useAction } from '@/ui/useAction';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';

const emit = defineEmits<{ made: [slug: string] }>();
const { t } = useI18n();
const name = ref('');
const make = useAction(
  () => must(api.POST('/api/workshop/cribs', { body: { name: name.value } })),
  (crib) => {
    name.value = '';
    emit('made', crib.slug);
  },
);
</script>

<template>
  <form class="flex items-end gap-2" @submit.prevent="make.run(undefined)">
    <TextField
      v-model="name"
      class="flex-1"
      :label="t('workshop.newCrib')"
      :error="make.fieldErrors.value.name?.[0]"
      required
    />
    <BigButton type="submit" :busy="make.busy.value">{{ t('ui.add') }}</BigButton>
  </form>
</template>
