<script setup lang="ts">
import { useSay, type Words } from '@/language/useSay';
import { useI18n } from 'vue-i18n';

/** Whether it can be made as it stands; if not, what is missing and what would do instead. */
defineProps<{ ready: boolean; missing: Words[]; warnings?: Words[]; words: string; layout?: boolean }>();
const { t } = useI18n();
const { say } = useSay();
</script>

<template>
  <section v-if="!ready" class="border-2 border-no bg-sheet p-4" role="status">
    <h2 class="text-no">■ {{ t(layout ? 'planning.layout.missing' : 'planning.missing') }}</h2>
    <ul class="mt-1 ml-5 list-disc">
      <li v-for="(each, index) in missing" :key="index">{{ say(each) }}</li>
    </ul>
  </section>
  <p v-else class="text-lg font-semibold text-alone" role="status">
    ● {{ t(layout ? 'planning.layout.ready' : 'planning.ready')
    }}<span class="font-normal text-ink">{{ words ? `, ${words}` : '' }}</span>
  </p>
  <ul v-if="warnings && warnings.length > 0" class="mt-2 ml-5 list-disc text-supervised">
    <li v-for="(each, index) in warnings" :key="index">{{ say(each) }}</li>
  </ul>
</template>
