<script setup lang="ts">
import type { Schemas } from '@/api/client';
import HoleGlyph from '@/ui/HoleGlyph.vue';
import { useI18n } from 'vue-i18n';
import { begun, usePermitLadder } from './usePermitLadder';

/** Every permit of the shop with where one stands, what it waits for and what it opens; one is looked at more closely. */
const props = defineProps<{ permits: Schemas['PermitRecord'][]; chosen: string | null }>();
defineEmits<{ choose: [code: string] }>();
const { t } = useI18n();
const { columns } = usePermitLadder(() => props.permits);
const names = (permits: Schemas['PermitRecord'][]) => permits.map((permit) => permit.name).join('; ');
</script>

<template>
  <nav
    :aria-label="t('record.ladder')"
    class="grid items-start gap-x-6 gap-y-4 lg:grid-cols-2 xl:grid-cols-3 print:hidden"
  >
    <ol v-for="column in columns" :key="column[0]?.permit.code">
      <li
        v-for="{ permit, depth, waitsFor, opens } in column"
        :key="permit.code"
        class="border-l-2 border-hairline"
        :style="{ marginLeft: `${depth * 14}px` }"
      >
        <button
          type="button"
          class="flex min-h-14 w-full items-center gap-3 px-3 py-1 text-left"
          :class="permit.code === chosen ? 'border-2 border-blue bg-sheet' : 'border-b border-hairline'"
          :aria-current="permit.code === chosen ? 'true' : undefined"
          :data-permit="permit.code"
          @click="$emit('choose', permit.code)"
        >
          <HoleGlyph
            :stage="begun(permit) ? permit.standing.stage : 0"
            :held="permit.standing.held"
            :lapsed="permit.standing.lapsed"
            :size="36"
            :class="begun(permit) ? 'text-ink' : 'text-quiet'"
          />
          <span class="min-w-0 flex-1">
            <span class="block font-semibold">{{ permit.name }}</span>
            <span v-if="begun(permit)" class="block text-sm text-quiet">
              {{ t('stage.of', { name: t(`stage.${permit.standing.stage}`), stage: permit.standing.stage })
              }}<template v-if="permit.standing.held">, {{ t('record.held') }}</template>
            </span>
            <span v-else class="block text-sm text-quiet">{{ t('record.notBegun') }}</span>
            <span v-if="waitsFor.length > 0 && permit.standing.stage < 5" class="block text-sm text-supervised">
              {{ t('record.after', { names: names(waitsFor) }) }}
            </span>
            <span v-else-if="opens.length > 0 && permit.standing.stage < 5" class="block text-sm text-quiet">
              {{ opens.length > 2 ? t('record.opensMany', opens.length) : t('record.opens', { names: names(opens) }) }}
            </span>
          </span>
        </button>
      </li>
    </ol>
  </nav>
</template>
