import { mountIn } from '@/test/mountIn';
import { describe, expect, it } from 'vitest';
import { defineComponent, h } from 'vue';
import { useNext } from './useNext';

function words(needs: string[]): string {
  return mountIn(
    defineComponent({
      setup: () => {
        const { all } = useNext();
        return () => h('p', all(needs));
      },
    }),
    {},
  ).text();
}

describe('what is still needed, in shop words', () => {
  it.each([
    [['lesson:C6'], 'lesson C6'],
    [['lesson:C6', 'lesson:C7'], 'lessons C6, C7'],
    [['guided:C6'], "lesson C6 under an instructor's eyes"],
    [
      ['practice:count:1', 'guided:C7', 'guided:C6'],
      "1 more supervised exercise, lessons C7, C6 under an instructor's eyes",
    ],
    [['wait:2026-11-27T09:00:00Z', 'practice:count:1'], /^waits until .*2026.*, 1 more supervised exercise$/],
    [['check:SC'], 'the safety check'],
    [['practice:count:1', 'practice:minutes:25'], '1 more supervised exercise, 25 more minutes of practice'],
    [['practice:count:2'], '2 more supervised exercises'],
    [['assessment:PS'], 'the practical assessment'],
    [['sign_off'], 'the sign-off'],
    [[], ''],
  ])('%j reads %s', (needs, sentence) =>
    sentence instanceof RegExp ? expect(words(needs)).toMatch(sentence) : expect(words(needs)).toBe(sentence),
  );
});
