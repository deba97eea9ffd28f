import { mountIn } from '@/test/mountIn';
import { describe, expect, it } from 'vitest';
import SteelRule from './SteelRule.vue';

const marks = [
  { key: 'a', label: 'First', numeral: '1', state: 'done' as const },
  { key: 'b', label: 'Second', numeral: '2', state: 'waiting' as const },
  { key: 'c', label: 'Third', numeral: '3' },
];

describe('the steel rule', () => {
  it('has a long graduation for each mark and ten fine ones between', () => {
    const rule = mountIn(SteelRule, { marks, current: 'b', label: 'Steps', orientation: 'vertical' });
    expect(rule.findAll('li')).toHaveLength(3);
    expect(rule.findAll('li')[0]?.findAll('line')).toHaveLength(10);
  });

  it('says where one is', () => {
    const rule = mountIn(SteelRule, { marks, current: 'b', label: 'Steps', orientation: 'vertical' });
    expect(rule.findAll('[aria-current="step"]').map((mark) => mark.text())).toEqual([
      expect.stringContaining('Second'),
    ]);
    expect(rule.attributes('aria-label')).toBe('Steps');
  });

  it('says in words what is done and what waits', () => {
    const text = mountIn(SteelRule, { marks, current: null, label: 'Steps', orientation: 'vertical' }).text();
    expect(text).toContain('done');
    expect(text).toContain('waiting');
  });

  it('goes to what is pressed', async () => {
    const rule = mountIn(SteelRule, { marks, current: 'a', label: 'Steps', orientation: 'vertical' });
    await rule.findAll('button')[2]?.trigger('click');
    expect(rule.emitted('select')).toEqual([['c']]);
  });

  it('links the rooms, and goes on beyond the last', () => {
    const rule = mountIn(SteelRule, {
      marks: [{ key: 'today', label: 'Today', to: { name: 'today' } }],
      current: 'today',
      label: 'Rooms',
    });
    expect(rule.find('.rest').exists()).toBe(true);
    expect(rule.find('button').exists()).toBe(false);
  });
});
