<script setup lang="ts">
import { formatLocale } from '@/i18n';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMe, type Role } from '@/api/useMe';

/** A page that another role works with: says whose it is, who is signed in, and the way back. */
const props = defineProps<{ roles: readonly Role[] }>();
const { t } = useI18n();
const { person } = useMe();
const whose = computed(() =>
  new Intl.ListFormat(formatLocale(), { type: 'disjunction' }).format(props.roles.map((role) => t(`role.${role}`))),
);
</script>

<template>
  <section class="py-10" data-testid="not-yours">
    <h1>{{ t('people.notYours.title') }}</h1>
    <p class="mt-2">
      {{ t('people.notYours.words', { whose, name: person?.name, role: person ? t(`role.${person.role}`) : '' }) }}
    </p>
    <RouterLink :to="{ name: 'home' }" class="mt-4 inline-flex min-h-12 items-center font-semibold">{{
      t('ui.missing.home')
    }}</RouterLink>
  </section>
</template>
