import type { Schemas } from '@/api/client';

export type ChartKind = Schemas['ChartKind'];

/** In the order in which they are offered. */
export const CHARTS: ChartKind[] = ['speeds', 'tap_drills', 'sizes', 'reaming', 'seats', 'chips'];
