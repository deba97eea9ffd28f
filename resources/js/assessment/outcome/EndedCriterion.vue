<script setup lang="ts">
import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';
import FoundNote from '@/assessment/measuring/FoundNote.vue';
import PhotoStrip from '@/assessment/machine/PhotoStrip.vue';
import ReadingList from '@/assessment/measuring/ReadingList.vue';
import { shapeOf } from '@/assessment/results';

/** One line of a sheet that has ended: what was found, by whom, what stood before, and what a second instructor saw. */
const props = defineProps<{
  criterion: Schemas['Criterion'];
  attempt: Pick<Schemas['AssessmentAttempt'], 'photos' | 'learner' | 'assessor' | 'second'>;
}>();
const { t, d } = useI18n();
const { length } = useUnits();
const said = (result: string | number | null | undefined) =>
  result == null ? '' : typeof result === 'number' ? t('sheet.points', result) : t(`sheet.${result}`);
const photos = () => props.attempt.photos.filter((photo) => photo.criterion === props.criterion.id);
</script>

<template>
  <li class="grid gap-x-4 gap-y-1 px-4 py-2 sm:grid-cols-[1fr_20rem]">
    <p>
      {{ criterion.text }} <span v-if="criterion.critical" class="text-no" :title="t('sheet.critical')">◆</span>
      <span v-for="note in criterion.notes" :key="note.id" class="block text-sm text-quiet"
        >✎ {{ note.text }}, {{ note.by }}</span
      >
    </p>
    <div>
      <template v-if="criterion.kind === 'measured'">
        <ReadingList
          v-if="criterion.learner?.readings?.length"
          :readings="criterion.learner.readings"
          :who="attempt.learner.name"
        />
        <p v-else-if="criterion.learner?.declined" class="text-sm text-quiet">
          ○ {{ t('sheet.declined', { name: attempt.learner.name }) }}
          <q v-if="criterion.learner.why">{{ criterion.learner.why }}</q>
        </p>
        <ReadingList v-if="criterion.readings?.length" :readings="criterion.readings" :who="attempt.assessor" />
        <FoundNote v-if="criterion.found" :found="criterion.found" />
        <p v-else class="text-quiet">{{ t('sheet.notMeasured') }}</p>
        <p v-if="criterion.apart_mm != null" class="text-sm text-quiet">
          {{ t('sheet.apart', { by: length(Math.abs(criterion.apart_mm), 3) }) }}
        </p>
      </template>
      <p v-else class="font-semibold" :class="shapeOf(criterion).tone">
        {{ shapeOf(criterion).shape }} {{ said(criterion.mark?.result ?? 'not_marked') }}
        <span v-if="criterion.mark?.by" class="text-sm font-normal text-quiet">{{ criterion.mark.by }}</span>
      </p>
      <p v-for="(one, place) in criterion.before" :key="place" class="text-sm text-quiet">
        {{ t('sheet.before', { what: one.typed ?? said(one.result), by: one.by }) }}
      </p>
      <p v-if="criterion.mark?.said_at" class="text-sm text-quiet" data-testid="said-at">
        {{
          t('sheet.saidAt', {
            said: d(criterion.mark.said_at, { dateStyle: 'medium', timeStyle: 'short' }),
            taken: d(criterion.mark.made_at, { dateStyle: 'medium', timeStyle: 'short' }),
          })
        }}
      </p>
      <p v-if="criterion.mark?.why" class="text-sm text-quiet">{{ t('sheet.because', { why: criterion.mark.why }) }}</p>
      <p
        v-if="criterion.second !== null && criterion.second !== criterion.mark?.result"
        class="text-sm font-semibold text-supervised"
      >
        ▲ {{ t('sheet.secondSaw', { name: attempt.second?.name ?? '', what: said(criterion.second) }) }}
      </p>
      <PhotoStrip :photos="photos()" />
      <slot />
    </div>
  </li>
</template>
