import { describe, expect, it } from 'vitest';
import { blank, front, moved, sectionAt, sections, startOfLine, withFront, withStep } from './lessonText';

const text =
  '---\ncode: X1\nversion: 2\ntitle: "Ours"\n---\n\n## One {#one}\nDo: A.\n\n## Two {#two}\nDo: B.\n\n## Three {#three}\nDo: C.\n';
const words = { step: 'New step', do: 'Do it.', why: 'So.' };
const keys = (of: string) => sections(of).map(({ key }) => key);

describe("a lesson's text", () => {
  it('knows its steps, and in which one a place lies', () => {
    expect(keys(text)).toEqual(['one', 'two', 'three']);
    expect(sectionAt(text, text.indexOf('Do: B'))?.key).toBe('two');
    expect(sectionAt(text, 3)).toBeUndefined();
  });

  it('moves a step and moves it back to the letter', () => {
    const down = moved(text, 'one', 1);
    expect(keys(down)).toEqual(['two', 'one', 'three']);
    expect(moved(down, 'one', -1)).toBe(text);
    const last = moved(text, 'three', -1);
    expect(keys(last)).toEqual(['one', 'three', 'two']);
    expect(last.endsWith('Do: B.\n')).toBe(true);
    expect(moved(last, 'three', 1)).toBe(text);
  });

  it('stays as it is where there is nothing to change places with', () => {
    expect(moved(text, 'one', -1)).toBe(text);
    expect(moved(text, 'three', 1)).toBe(text);
    expect(moved(text, 'none', 1)).toBe(text);
  });

  it('takes a value of its front matter, and gives it back, also one with a sign of its own', () => {
    expect(front(withFront(text, 'version', 3), 'version')).toBe('3');
    const counts = withFront(text, 'accepted_from', 1);
    expect(counts).toContain('version: 2\naccepted_from: 1\ntitle');
    expect(withFront(counts, 'accepted_from', null)).toBe(text);
    expect(front(withFront(text, 'place', '$& $1'), 'place')).toBe('$& $1');
    expect(withFront('no front', 'version', 3)).toBe('no front');
  });

  it('begins as something that can be published, and grows by steps of other keys', () => {
    const begun = withStep(withStep(blank('X9', 'A "new" one', words), words), words);
    expect(keys(begun)).toEqual(['step-1', 'step-2', 'step-3']);
    expect(keys(withStep(begun.replace('{#step-2}', '{#step-4}'), words))).toEqual([
      'step-1',
      'step-4',
      'step-3',
      'step-5',
    ]);
  });

  it('finds the beginning of a line', () => {
    expect(text.slice(startOfLine(text, 3))).toMatch(/^version: 2/);
    expect(startOfLine(text, 999)).toBe(text.length);
  });
});
