import { speak } from '@/i18n';
import { mountIn } from '@/test/mountIn';
import { describe, expect, it } from 'vitest';
import { defineComponent, h } from 'vue';
import { useChangeWords } from './useChangeWords';

function said(before: object, after: object, change = 'update'): string {
  let words = '';
  mountIn(
    defineComponent(() => {
      words = useChangeWords()({ change, before, after });
      return () => h('i');
    }),
    {},
  );
  return words;
}

describe('a line of the audit log', () => {
  it('says of a secret only what became of it, in the language that is spoken', async () => {
    expect(said({}, { pin_hash: 'taken away' })).toBe('PIN: taken away');
    await speak('es', false);
    expect(said({}, { pin_hash: 'taken away' })).toBe('PIN: quitada');
    await speak('en', false);
  });

  it('writes moments and days as people do', () => {
    expect(said({}, { pin_set_at: '2031-05-02T10:00:00+00:00' })).toMatch(/^PIN set: 2 May 2031, \d\d:00$/);
    expect(said({}, { born_on: '2015-03-01' })).toBe('born: 1 Mar 2015');
  });

  it('says of settings only what differs', () => {
    const was = { lever: 40, blade: { width: 2, ratio: 8 } };
    expect(said({ settings: was }, { settings: { lever: 40, blade: { width: 2, ratio: 6.5 } } })).toBe(
      'ratio: 8 → 6.5',
    );
  });

  it('names lists, yes and nothing', () => {
    expect(said({ speeds_rpm: [400], active: true }, { speeds_rpm: [400, 800], active: false, note: null })).toBe(
      'speeds, rpm: 400 → 400 and 800 · active: yes → no · note: nothing',
    );
  });
});
