import type { Schemas } from '@/api/client';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve, type Call } from '@/test/server';
import { figure } from '@/test/shapes';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import HiddenAnswers from './HiddenAnswers.vue';

const questions: Schemas['PlanQuestions'] = {
  heading: { what: 'clearance for M8', machine: 'Bench drill', cribs: '', material: 'Mild steel' },
  questions: [
    { key: '0.rpm', operation: 0, field: 'rpm', unit: 'rpm', tool: null },
    { key: '0.total_depth_mm', operation: 0, field: 'total_depth_mm', unit: 'mm', tool: null },
  ] as never,
  operations: [{ kind: 'drill', tool: null, cautions: ['Chuck key out.'], dangers: [], standing: [] }] as never,
  missing: [],
};
const RIGHT: Record<string, string> = { '0.rpm': '500', '0.total_depth_mm': '11.7' };

describe('the figures of a plan, worked out by a learner', () => {
  let page: ReturnType<typeof mountIn>;
  beforeEach(async () => {
    signedIn('learner', 'in');
    serve('POST /api/planning/hole/questions', questions);
    serve('POST /api/planning/hole/answers', ({ body }: Call) => {
      const { key, answer, give_up } = body as { key: string; answer: string; give_up: boolean };
      if (answer === 'much') return new Refusal(422, 'Write a number, with its unit if it has one.');
      const right = answer === RIGHT[key];
      return { right, figure: right || give_up ? figure() : null };
    });
    page = mountIn(HiddenAnswers, { kind: 'hole', request: { size: 'M8' } });
    await flushPromises();
  });
  async function type(index: number, text: string) {
    const form = page.findAll('form')[index];
    await form?.find('input').setValue(text);
    await form?.trigger('submit');
    await flushPromises();
    return page.findAll('form')[index]?.text() ?? '';
  }

  it('are asked for without being shown, with the cautions and without the tool', () => {
    expect(page.text()).toContain('0 of 2 worked out');
    expect(page.text()).toContain('◇ Chuck key out.');
    expect(page.text()).toContain('which size?');
    expect(page.findAll('input').map((input) => input.attributes('placeholder'))).toEqual(['rpm', 'in']);
  });

  it('are judged one by one by the server', async () => {
    expect(await type(0, '1400')).toContain('Not yet. Try again.');
    expect(page.text()).toContain('0 of 2 worked out');
    expect(await type(0, '500')).toContain('✓ Right');
    expect(page.text()).toContain('1 of 2 worked out');
    expect(page.findAll('form')[0]?.text()).toContain('n = 1000 · v');
    expect(called('POST /api/planning/hole/answers')[0]?.body).toEqual({
      size: 'M8',
      key: '0.rpm',
      answer: '1400',
      give_up: false,
    });
  });

  it('are shown to whoever gives up, and do not count', async () => {
    expect(page.text()).not.toContain('Show me');
    await type(1, '9');
    await page
      .findAll('button')
      .find((each) => each.text() === 'Show me')
      ?.trigger('click');
    await flushPromises();
    expect(page.findAll('form')[1]?.text()).toContain('n = 1000 · v');
    expect(page.text()).toContain('0 of 2 worked out');
    expect(page.findAll('input')[1]?.attributes('disabled')).toBeDefined();
  });

  it('may be written badly without anything being lost', async () => {
    expect(await type(0, 'much')).toContain('Write a number, with its unit if it has one.');
    expect((page.findAll('input')[0]?.element as HTMLInputElement).value).toBe('much');
    expect(await type(1, '')).not.toContain('Not yet');
    expect(called('POST /api/planning/hole/answers')).toHaveLength(1);
  });
});
