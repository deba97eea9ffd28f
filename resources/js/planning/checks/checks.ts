import type { Schemas } from '@/api/client';

export type CheckKind = Exclude<Schemas['CheckKind'], 'drill_grind_check'>;
export interface CheckField {
  key: string;
  as: 'length' | 'reading' | 'over_or_between';
  optional?: boolean;
}

const length = (key: string): CheckField => ({ key, as: 'length' });
const reading = (key: string): CheckField => ({ key, as: 'reading' });
const perhaps = (key: string): CheckField => ({ key, as: 'length', optional: true });

/** What each check asks for, in the order in which it is read off. A drill's point has a page of its own. */
export const CHECKS: Record<CheckKind, CheckField[]> = {
  pin_place: [
    { key: 'of', as: 'over_or_between' },
    length('reading'),
    length('pin_a'),
    perhaps('pin_b'),
    perhaps('nominal'),
    perhaps('within'),
    perhaps('hole_a'),
    perhaps('hole_b'),
    perhaps('uncertainty'),
  ],
  pin_size: [length('go'), length('no_go'), perhaps('lower'), perhaps('upper')],
  run_out_check: [reading('least'), reading('most')],
  tram_check: [reading('reading_a'), reading('reading_b'), length('swing')],
  tailstock_check: [length('at_head'), length('at_tail'), length('apart'), perhaps('length')],
  taper_fit_check: [length('taper_length'), length('at_large'), length('at_small')],
};
export const KINDS = Object.keys(CHECKS) as CheckKind[];

/** What is kept with a machine, and planned with. */
export const KEPT: readonly Schemas['CheckKind'][] = [
  'run_out_check',
  'tram_check',
  'tailstock_check',
  'taper_fit_check',
];

/** What a verdict means for the work, as a sign and a colour. */
export const TONES: Record<string, { sign: string; tone: string }> = {
  in: { sign: '●', tone: 'text-alone' },
  square: { sign: '●', tone: 'text-alone' },
  sound: { sign: '●', tone: 'text-alone' },
  in_line: { sign: '●', tone: 'text-alone' },
  bears: { sign: '●', tone: 'text-alone' },
  hollow: { sign: '◆', tone: 'text-supervised' },
  spots: { sign: '◆', tone: 'text-supervised' },
  large_end_only: { sign: '■', tone: 'text-no' },
  small_end_only: { sign: '■', tone: 'text-no' },
  doubtful: { sign: '◆', tone: 'text-supervised' },
  runs_out: { sign: '◆', tone: 'text-supervised' },
  towards_tool: { sign: '◆', tone: 'text-supervised' },
  away_from_tool: { sign: '◆', tone: 'text-supervised' },
  out: { sign: '■', tone: 'text-no' },
  out_of_square: { sign: '■', tone: 'text-no' },
};
