import type { Schemas } from '@/api/client';
import { mountIn } from '@/test/mountIn';
import { describe, expect, it } from 'vitest';
import { defineComponent, h } from 'vue';
import { useNext } from './useNext';

function words(needs: Schemas['Need'][]): string {
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
  it.each<[Schemas['Need'][], string | RegExp]>([
    [[{ kind: 'lesson', what: 'C6' }], 'lesson C6'],
    [
      [
        { kind: 'lesson', what: 'C6' },
        { kind: 'lesson', what: 'C7' },
      ],
      'lessons C6, C7',
    ],
    [[{ kind: 'guided', what: 'C6' }], "lesson C6 under an instructor's eyes"],
    [
      [
        { kind: 'practice', what: 'count', count: 1 },
        { kind: 'guided', what: 'C7' },
        { kind: 'guided', what: 'C6' },
      ],
      "1 more supervised exercise, lessons C7, C6 under an instructor's eyes",
    ],
    [
      [
        { kind: 'wait', from: '2026-11-27T09:00:00Z' },
        { kind: 'practice', what: 'count', count: 1 },
      ],
      /^waits until .*2026.*, 1 more supervised exercise$/,
    ],
    [[{ kind: 'check', what: 'SC' }], 'the safety check'],
    [
      [
        { kind: 'practice', what: 'count', count: 1 },
        { kind: 'practice', what: 'minutes', count: 25 },
      ],
      '1 more supervised exercise, 25 more minutes of practice',
    ],
    [[{ kind: 'practice', what: 'count', count: 2 }], '2 more supervised exercises'],
    [[{ kind: 'assessment', what: 'PS' }], 'the practical assessment'],
    [[{ kind: 'sign_off' }], 'the sign-off'],
    [[], ''],
  ])('%j reads %s', (needs, sentence) =>
    sentence instanceof RegExp ? expect(words(needs)).toMatch(sentence) : expect(words(needs)).toBe(sentence),
  );
});
