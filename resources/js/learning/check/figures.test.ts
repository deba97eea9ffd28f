import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { beforeEach, expect, it } from 'vitest';
import ItemRow from './ItemRow.vue';

const item = (given: Partial<Schemas['ItemFigures']> = {}): Schemas['ItemFigures'] => ({
  id: 'held',
  kind: 'one',
  lesson: 'C1',
  critical: true,
  text: 'How is a {diameter_mm} mm hole held?',
  explanation: 'By a vice.',
  asked: 20,
  right: 7,
  success: 0.35,
  wrong: [{ chosen: 'By hand.', times: 11 }],
  correlation: -0.2,
  verdict: 'misleads',
  ...given,
});

beforeEach(() => signedIn('instructor'));

it('says in plain words that a question misleads, and what was chosen instead', () => {
  const row = mountIn(ItemRow, { item: item() }).text();
  expect(row).toContain('7 of 20 knew it');
  expect(row).toContain('It misleads');
  expect(row).toContain('11 ×');
  expect(row).toContain('By hand.');
  expect(row).toContain('How is a … mm hole held?');
  expect(row).toContain('◆');
});

it('says nothing of a question that was asked too seldom', () => {
  const row = mountIn(ItemRow, { item: item({ asked: 0, right: 0, success: null, wrong: [], verdict: 'too_few' }) });
  expect(row.text()).toContain('Too few answers');
  expect(row.text()).not.toContain('knew it');
});

it('names a place of a drawn set-up by what is seen there', () => {
  const chosen = { code: 'setup.scene.place.key', terms: {} };
  expect(mountIn(ItemRow, { item: item({ kind: 'hazard', wrong: [{ chosen, times: 2 }] }) }).text()).toContain('key');
});
