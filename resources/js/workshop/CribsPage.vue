<script setup lang="ts">
import { useMe } from '@/api/useMe';
import PageState from '@/ui/PageState.vue';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import CribTools from './CribTools.vue';
import NewCrib from './NewCrib.vue';
import { useShop } from './useShop';
import WorkshopTabs from './WorkshopTabs.vue';

/** The sets of tools that lie together, and what is fit in them. */
const { t } = useI18n();
const { teaches } = useMe();
const { cribs } = useShop();
const at = ref('');
watch(
  () => cribs.data.value,
  (list) => {
    if (list?.[0] && !list.some((crib) => crib.slug === at.value)) at.value = list[0].slug;
  },
  { immediate: true },
);
const crib = computed(() => cribs.data.value?.find((each) => each.slug === at.value));
</script>

<template>
  <WorkshopTabs current="cribs" />
  <PageState v-slot="{ data }" :data="cribs.data.value" :error="cribs.error.value" @retry="cribs.refetch()">
    <div class="mt-4 grid items-start gap-5 md:grid-cols-[300px_1fr]">
      <div>
        <h1>{{ t('workshop.cribs') }}</h1>
        <ul class="sheet mt-3">
          <li v-for="each in data" :key="each.slug" class="border-t border-hairline first:border-t-0">
            <button
              type="button"
              class="w-full min-h-12 px-4 py-2 text-left"
              :class="each.slug === at ? 'border-l-4 border-blue font-semibold text-blue' : ''"
              :aria-current="each.slug === at"
              @click="at = each.slug"
            >
              {{ each.name }} <span class="reading text-sm text-quiet">{{ each.tools.length }}</span>
            </button>
          </li>
        </ul>
        <NewCrib v-if="teaches" class="mt-3" @made="at = $event" />
      </div>
      <CribTools v-if="crib" :key="crib.slug" :crib="crib" />
      <p v-else class="sheet p-6">{{ t('workshop.noCribs') }}</p>
    </div>
  </PageState>
</template>
