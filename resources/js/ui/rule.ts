import type { RouteLocationRaw } from 'vue-router';

/** A long graduation of the rule. */
export interface RuleMark {
  key: string;
  label: string;
  /** Numeral at the graduation, as on a steel rule. */
  numeral?: string;
  to?: RouteLocationRaw;
  /** How much waits there. */
  count?: number;
  state?: 'done' | 'open' | 'waiting';
}
