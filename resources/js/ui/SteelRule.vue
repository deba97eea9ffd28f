<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { RouterLink } from 'vue-router';
import type { RuleMark } from './rule';

/**
 * The shop's most familiar object, for place and progress: long graduations with a name, ten fine ones
 * between, the half a little longer, and a cursor at where one is.
 */
defineProps<{ marks: RuleMark[]; current: string | null; orientation?: 'horizontal' | 'vertical'; label: string }>();
const emit = defineEmits<{ select: [key: string] }>();
const { t } = useI18n();

const fine = Array.from({ length: 10 }, (_, index) => ({ at: index * 10, long: index === 0, half: index === 5 }));
const reach = (tick: { long: boolean; half: boolean }) => (tick.long ? 100 : tick.half ? 62 : 38);
</script>

<template>
  <nav :aria-label="label" :class="orientation === 'vertical' ? 'rule-vertical' : 'rule-horizontal'">
    <ol>
      <li v-for="mark in marks" :key="mark.key" :class="{ current: mark.key === current }">
        <component
          :is="mark.to ? RouterLink : 'button'"
          v-bind="mark.to ? { to: mark.to } : { type: 'button' }"
          :aria-current="mark.key === current ? 'step' : undefined"
          class="mark"
          @click="emit('select', mark.key)"
        >
          <svg class="ticks" viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
            <template v-if="orientation === 'vertical'">
              <line v-for="tick in fine" :key="tick.at" x1="0" :x2="reach(tick)" :y1="tick.at" :y2="tick.at" />
            </template>
            <template v-else>
              <line v-for="tick in fine" :key="tick.at" :x1="tick.at" :x2="tick.at" y1="100" :y2="100 - reach(tick)" />
            </template>
          </svg>
          <span v-if="mark.numeral" class="numeral">{{ mark.numeral }}</span>
          <span class="name">{{ mark.label }}</span>
          <span v-if="mark.count" class="count" :title="t('ui.countWaiting', mark.count)"
            >‖{{ mark.count }}<span class="sr-only"> {{ t('ui.countWaiting', mark.count) }}</span></span
          >
          <span v-if="mark.state === 'done'" class="state" :title="t('ui.done')"
            >✓<span class="sr-only"> {{ t('ui.done') }}</span></span
          >
          <span v-else-if="mark.state === 'waiting'" class="state" :title="t('ui.waiting')"
            >‖<span class="sr-only"> {{ t('ui.waiting') }}</span></span
          >
        </component>
      </li>
      <li v-if="orientation !== 'vertical'" class="rest" aria-hidden="true" />
    </ol>
  </nav>
</template>

<style scoped>
nav {
  background: var(--steel);
  color: var(--ink);
}
.mark {
  position: relative;
  display: flex;
  width: 100%;
  text-align: left;
  color: inherit;
  text-decoration: none;
  min-height: 48px;
}
.ticks line {
  stroke: var(--quiet);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.ticks {
  position: absolute;
}
.current .mark {
  color: var(--blue);
  font-weight: 700;
}
.numeral {
  font-family: var(--font-mono);
  color: var(--quiet);
  font-size: 0.85rem;
}
.state {
  margin-left: auto;
  color: var(--alone);
  font-weight: 700;
}
.count {
  min-width: 1.5rem;
  padding: 0 0.35rem;
  text-align: center;
  font-family: var(--font-mono);
  font-size: 0.85rem;
  font-weight: 700;
  background: var(--supervised);
  color: var(--sheet);
}
.mark:hover {
  background: color-mix(in srgb, var(--blue) 8%, transparent);
}

.rule-horizontal ol {
  display: flex;
  border-bottom: 1px solid var(--quiet);
}
.rule-horizontal li {
  width: 8.75rem;
}
/* The rule goes on where no more rooms are. */
.rule-horizontal .rest {
  flex: 1;
  align-self: flex-end;
  height: 14px;
  background:
    repeating-linear-gradient(to right, var(--quiet) 0 1px, transparent 1px 8.75rem),
    repeating-linear-gradient(to right, var(--quiet) 0 1px, transparent 1px 0.875rem) bottom / 100% 38% no-repeat;
}
.rule-horizontal .mark {
  align-items: center;
  padding: 0.25rem 1rem 0.75rem 0.75rem;
  gap: 0.5rem;
}
.rule-horizontal .ticks {
  left: 0;
  bottom: 0;
  width: 100%;
  height: 14px;
}
.rule-horizontal .current .mark::after {
  content: '';
  position: absolute;
  left: -1px;
  right: 0;
  bottom: -1px;
  height: 5px;
  background: var(--blue);
}
/* On a phone the rooms stand closer; the last letters give way before the page does. */
@media (max-width: 40rem) {
  .rule-horizontal li {
    min-width: 0;
    flex: 0 1 auto;
  }
  .rule-horizontal .rest {
    flex: 1 1 0;
  }
  .rule-horizontal .mark {
    gap: 0.25rem;
    padding: 0.25rem 0.45rem 0.75rem;
    font-size: 0.9rem;
  }
  .rule-horizontal .name {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
}

.rule-vertical ol {
  border-left: 1px solid var(--quiet);
}
.rule-vertical .mark {
  align-items: baseline;
  gap: 0.6rem;
  padding: 0.55rem 0.75rem 0.55rem 2.1rem;
}
.rule-vertical .ticks {
  left: 0;
  top: 0;
  width: 22px;
  height: 100%;
}
.rule-vertical .numeral {
  min-width: 1.4rem;
}
.rule-vertical .current .mark {
  background: var(--sheet);
}
.rule-vertical .current .mark::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0;
  width: 5px;
  height: 100%;
  background: var(--blue);
  transition: top 0.15s;
}
</style>
