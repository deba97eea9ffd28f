import { mountIn, signedIn } from '@/test/mountIn';
import { beforeEach, expect, it } from 'vitest';
import TextDiff from './TextDiff.vue';

const rows = (before: string, after: string) =>
  mountIn(TextDiff, { before, after, beforeLabel: 'Version 1', afterLabel: 'Version 2' })
    .findAll('tbody tr')
    .map((row) => row.findAll('td').map((cell) => cell.text()));

beforeEach(() => signedIn('lead'));

it('puts what went beside what came, and folds what stayed', () => {
  const lines = Array.from({ length: 9 }, (_, place) => `line ${place + 1}`);
  const changed = lines.map((line) => (line === 'line 5' ? 'line five' : line));
  expect(rows(`${lines.join('\n')}\n`, `${changed.join('\n')}\n`)).toEqual([
    ['⋮'],
    ['line 3', 'line 3'],
    ['line 4', 'line 4'],
    ['− line 5', '+ line five'],
    ['line 6', 'line 6'],
    ['line 7', 'line 7'],
    ['⋮'],
  ]);
});

it('shows a line that was taken out, and one that was put in, alone', () => {
  expect(rows('a\nb\n', 'a\n')).toContainEqual(['− b', '']);
  expect(rows('a\n', 'a\nb\n')).toContainEqual(['', '+ b']);
});

it('says that nothing differs', () => {
  const none = mountIn(TextDiff, { before: 'a\n', after: 'a\n', beforeLabel: '1', afterLabel: '2' });
  expect(none.text()).toContain('Nothing differs.');
});
