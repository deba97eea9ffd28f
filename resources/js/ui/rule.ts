import type { RouteLocationRaw } from 'vue-router';

/** A long graduation of the rule. */
export interface RuleMark {
  key: string;
  label: string;
  /** Numeral at the graduation, as on a steel rule. */
  numeral?: string;
  to?: RouteLocationRaw;
  state?: 'done' | 'open' | 'waiting';
}
