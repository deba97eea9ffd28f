import { said as message } from '@/test/shapes';
import type { Schemas } from '@/api/client';
import { queryClient } from '@/api/queries';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve, type Call } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import LessonPage from './LessonPage.vue';
import LessonStep from './LessonStep.vue';

const step = (given: Partial<Schemas['LessonStep']> = {}): Schemas['LessonStep'] => ({
  key: 'clear',
  title: 'Dress and clear',
  do: 'Eye protection on.',
  why: null,
  caution: null,
  right: null,
  wrong: null,
  reading: null,
  choice: null,
  hold: null,
  drawing: null,
  done: false,
  answer: null,
  sent_back: null,
  hold_id: null,
  waiting_since: null,
  ...given,
});
const machine = {
  name: 'Bench drill',
  speeds_rpm: [500],
  speed_change: null,
  depth_scale: { unit: 'in' as const, graduation_mm: 1.5875, travel_mm: 76 },
  crib: 'Metric set',
  in_service: true,
};
const show = (given: Partial<Schemas['LessonStep']>, more: object = {}) =>
  mountIn(LessonStep, {
    step: step(given),
    number: 3,
    total: 10,
    figures: {},
    machine,
    canAnswer: true,
    busy: false,
    ...more,
  });
const said = (given: Partial<NonNullable<Schemas['LessonStep']['answer']>>): Schemas['LessonStep']['answer'] => ({
  value: null,
  verdict: 'right',
  value_mm: null,
  at: '2031-05-02T10:00:00Z',
  said: null,
  ...given,
});

beforeEach(() => signedIn('learner', 'mm'));

describe('a step of a lesson', () => {
  it('has the caution before what to do, then why, then how right and wrong look', () => {
    const text = show({
      caution: 'Chuck key out.',
      why: 'Keys fly.',
      right: 'It turns true.',
      wrong: 'It wobbles.',
    }).text();
    const places = ['Chuck key out.', 'Eye protection on.', 'Keys fly.', 'It turns true.', 'It wobbles.'].map((words) =>
      text.indexOf(words),
    );
    expect(places.every((place) => place >= 0)).toBe(true);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(text).toContain('Step 3 of 10');
  });

  it('is done with one press; not by whoever has not come to it yet', async () => {
    const open = show({});
    await open.find('button').trigger('click');
    expect(open.emitted('answer')).toEqual([[null]]);
    expect(show({}, { canAnswer: false }).find('button').exists()).toBe(false);
  });

  it('asks a choice, and explains at once', async () => {
    const choice = [
      { id: 'a', text: 'Power first' },
      { id: 'b', text: 'Key out and on its hook' },
    ];
    const asked = show({ choice });
    await asked.findAll('button')[1]?.trigger('click');
    expect(asked.emitted('answer')).toEqual([['b']]);
    const wrong = show({ choice, answer: said({ value: 'a', verdict: 'wrong', said: 'That is how keys fly.' }) });
    expect(wrong.find('[role=status]').text()).toBe('✕ That is how keys fly.');
    expect(wrong.find('[aria-pressed=true]').text()).toContain('Power first');
  });

  it("takes a reading in the scale's own unit, a hole in the reader's", async () => {
    const reading = (kind: string) => ({ name: 'touch', kind, ask: 'What does the scale show at the touch?' });
    const scale = show({ reading: reading('scale_touch') });
    expect(scale.text()).toMatch(/inch|in\b/);
    await scale.find('input').setValue('1-1/4');
    await scale.find('form').trigger('submit');
    expect(scale.emitted('answer')).toEqual([['1-1/4']]);
    expect(show({ reading: reading('hole_diameter') }).text()).not.toBe(scale.text());
  });

  it.each([
    ['in', '✓'],
    ['out', '✕'],
    ['doubtful', '?'],
  ])('says in a sign and words that a reading is %s', (verdict, sign) => {
    const text = show({
      reading: { name: 'hole', kind: 'hole_diameter', ask: 'How wide is it?' },
      done: verdict === 'in',
      answer: said({ value: '9.1', verdict, value_mm: 9.1 }),
    });
    expect(text.find('[role=status]').text().startsWith(sign)).toBe(true);
    expect((text.find('input').element as HTMLInputElement).value).toBe('9.1 mm');
  });

  it('says nothing of a reading that was typed over', async () => {
    const text = show({
      reading: { name: 'hole', kind: 'hole_diameter', ask: 'How wide is it?' },
      done: true,
      answer: said({ value: '9.1', verdict: 'in', value_mm: 9.1 }),
    });
    await text.find('input').setValue('about nine');
    expect(text.find('[role=status]').exists()).toBe(false);
    await text.find('input').setValue('9.1 mm');
    expect(text.find('[role=status]').text().startsWith('✓')).toBe(true);
  });

  it('waits for the look that only whoever teaches can give', async () => {
    const hold = show({ hold: 'Clamped against turning and lifting.' });
    await hold.find('button').trigger('click');
    expect(hold.emitted('answer')).toEqual([[null]]);
    const waiting = show({ hold: 'Clamped.', waiting_since: '2031-05-02T10:00:00Z' });
    expect(waiting.find('button').exists()).toBe(false);
    expect(waiting.text()).toContain('‖');
    expect(show({ hold: 'Clamped.', done: true }).text()).toContain('✓');
  });
});

describe('a lesson', () => {
  const lesson = (
    steps: Schemas['LessonStep'][],
    next: string | null,
    more: Partial<Schemas['Lesson']> = {},
  ): Schemas['Lesson'] => ({
    code: 'C6',
    version: 1,
    title: 'Pilot and through hole',
    place: 'drill press',
    minutes: 45,
    tools: ['Vice', 'Brush'],
    frame: {
      opening: 'A vice and a brush.',
      misconceptions: [{ said: 'One clamp is enough.', so: 'It is a hinge.' }],
      words: [{ word: 'quill', is: 'the sleeve of the spindle' }],
      card: ['Six at most.'],
      adaptations: { left_handed: 'From your side.', seated: null, deaf: null },
      ending: { repeat: null, can: 'You can now clamp.', not_yet: null },
    },
    part: null,
    machine: null,
    own_sizes: [],
    steps,
    plans: [],
    figures: {},
    drawing: null,
    fault: null,
    progress: { id: 'p1', open: true, next, notes: '', completed_at: null },
    ...more,
  });
  const first = step({ key: 'a', title: 'First' });
  const second = step({ key: 'b', title: 'Second', choice: [{ id: 'x', text: 'Stop it' }] });
  const third = step({ key: 'c', title: 'Third', hold: 'Look at the clamp.' });
  async function page(body: Schemas['Lesson']) {
    queryClient.removeQueries({ queryKey: ['lesson', 'C6'] });
    serve('GET /api/learning/lessons/C6', body);
    const mounted = mountIn(LessonPage, { code: 'C6' });
    await flushPromises();
    return mounted;
  }
  const title = (mounted: Awaited<ReturnType<typeof page>>) => mounted.find('article h2').text();
  afterEach(() => {
    vi.useRealTimers();
  });

  it('resumes where it was left, and lets one leaf', async () => {
    const mounted = await page(lesson([{ ...first, done: true }, second, third], 'b'));
    expect(title(mounted)).toBe('Second');
    const [back, on] = mounted.findAll('button').filter((button) => /^←|→$/.test(button.text()));
    await back?.trigger('click');
    expect(title(mounted)).toBe('First');
    expect(back?.attributes('disabled')).toBeDefined();
    await on?.trigger('click');
    await on?.trigger('click');
    expect(title(mounted)).toBe('Third');
  });

  it('goes on when a step is done, and stays to say how a choice was', async () => {
    const mounted = await page(lesson([first, second, third], 'a'));
    const moved = lesson([{ ...first, done: true }, second, third], 'b');
    serve('PUT /api/learning/progress/p1/steps/a', moved);
    serve('GET /api/learning/lessons/C6', moved);
    await mounted.find('article button').trigger('click');
    await flushPromises();
    expect(title(mounted)).toBe('Second');
    const answered = { ...second, done: true, answer: said({ value: 'x', said: 'So it is.' }) };
    const chosen = lesson([{ ...first, done: true }, answered, third], 'c');
    serve('PUT /api/learning/progress/p1/steps/b', ({ body }: Call) => {
      expect(body).toEqual({ value: 'x' });
      return chosen;
    });
    serve('GET /api/learning/lessons/C6', chosen);
    await mounted.find('article fieldset button').trigger('click');
    await flushPromises();
    expect(title(mounted)).toBe('Second');
    expect(mounted.text()).toContain('So it is.');
  });

  it('does not call back whoever leafs on before the answer has come', async () => {
    const mounted = await page(lesson([{ ...first, done: true }, second, third], 'b'));
    const moved = lesson(
      [{ ...first, done: true }, { ...second, done: true, answer: said({ value: 'x', said: 'So.' }) }, third],
      'c',
    );
    let arrive: (body: unknown) => void = () => undefined;
    serve('PUT /api/learning/progress/p1/steps/b', () => new Promise((resolve) => (arrive = resolve)));
    await mounted.find('article fieldset button').trigger('click');
    await flushPromises();
    await mounted
      .findAll('button')
      .find((button) => button.text().endsWith('→'))
      ?.trigger('click');
    expect(title(mounted)).toBe('Third');
    serve('GET /api/learning/lessons/C6', moved);
    arrive(moved);
    await flushPromises();
    await flushPromises();
    expect(title(mounted)).toBe('Third');
    expect(mounted.find('article button').exists()).toBe(true);
  });

  it('says why an answer was not taken, and keeps the step', async () => {
    const mounted = await page(lesson([first, second], 'a'));
    serve('PUT /api/learning/progress/p1/steps/a', new Refusal(409, 'The step before comes first.'));
    await mounted.find('article button').trigger('click');
    await flushPromises();
    expect(mounted.find('[role=alert]').text()).toContain('The step before comes first.');
    expect(title(mounted)).toBe('First');
  });

  it('looks again by itself while it waits for the instructor', async () => {
    vi.useFakeTimers();
    const waiting = { ...third, waiting_since: '2031-05-02T10:00:00Z' };
    serve('GET /api/learning/lessons/C6', lesson([waiting, first], 'c'));
    const mounted = mountIn(LessonPage, { code: 'C6' });
    await vi.advanceTimersByTimeAsync(10);
    expect(mounted.text()).toContain('‖');
    serve('GET /api/learning/lessons/C6', lesson([{ ...third, done: true }, first], 'a'));
    await vi.advanceTimersByTimeAsync(3_100);
    expect(title(mounted)).toBe('First');
    expect(called('GET /api/learning/lessons/C6')).toHaveLength(2);
    mounted.unmount();
  });

  it('says when it is completed, and what it lacks', async () => {
    const done = await page(
      lesson([{ ...first, done: true }], null, {
        progress: { id: 'p1', open: true, next: null, notes: '', completed_at: '2031-05-02T10:00:00Z' },
      }),
    );
    expect(done.find('[role=status]').text()).toContain('✓');
    const short = await page(
      lesson([first], 'a', { fault: message('planning.lacks.drill', { wanted_mm: 9, nearest: '8', nearest_mm: 8 }) }),
    );
    expect(short.text()).toContain('The crib has no 9 mm drill.');
  });

  it('turns over by key, but not while something is typed', async () => {
    const mounted = await page(lesson([{ ...first, done: true }, second, third], 'b'));
    const press = async (key: string, target: EventTarget = window) => {
      target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      await flushPromises();
    };
    await press('ArrowRight');
    expect(title(mounted)).toBe('Third');
    await press('PageUp');
    await press('ArrowLeft');
    expect(title(mounted)).toBe('First');
    const field = document.createElement('input');
    document.body.append(field);
    await press('ArrowRight', field);
    expect(title(mounted)).toBe('First');
    field.remove();
    mounted.unmount();
  });

  it('says at the first step what to lay out; what it is about is folded away, and whole', async () => {
    const mounted = await page(lesson([first, second], 'a'));
    expect(mounted.findAll('p').some((line) => line.text().includes('Vice; Brush.'))).toBe(true);
    expect(mounted.find('details').attributes('open')).toBeUndefined();
    const text = mounted.find('details').text();
    for (const words of [
      'A vice and a brush.',
      'It is a hinge.',
      'the sleeve of the spindle',
      'From your side.',
      'You can now clamp.',
    ])
      expect(text).toContain(words);
    const begun = await page(lesson([{ ...first, done: true }, second], 'b'));
    expect(begun.find('article h2').element.closest('div')?.textContent).not.toContain('Vice; Brush.');
  });

  it('puts figures into an option as plain words: a button has no button in it', async () => {
    const mounted = await page(
      lesson([{ ...second, choice: [{ id: 'x', text: 'Set {{final.speed}}.' }] }], 'b', {
        figures: {
          'final.speed': {
            key: 'final.speed',
            unit: 'rpm',
            value: 500,
            name: null,
            rule: 'speed.ok',
            formula: '',
            terms: {},
            teaching_value: true,
            unsure: null,
          },
        },
      }),
    );
    const option = mounted.find('article fieldset button');
    expect(option.text()).toBe('ASet 500 rpm.');
    expect(option.find('button').exists()).toBe(false);
  });

  it('keeps notes when one stops writing, and both where another device wrote', async () => {
    const mounted = await page(lesson([first, second], 'a'));
    const notes = mounted.find('textarea');
    serve('PUT /api/learning/progress/p1/notes', ({ body }: Call) => {
      expect(body).toEqual({ notes: 'Belt two', was: '' });
      return null;
    });
    await notes.setValue('Belt two');
    await notes.trigger('blur');
    await flushPromises();
    expect(called('PUT /api/learning/progress/p1/notes')).toHaveLength(1);
    await notes.trigger('blur');
    await flushPromises();
    expect(called('PUT /api/learning/progress/p1/notes')).toHaveLength(1);
    await notes.setValue('Belt two, guard shut');
    const theirs = lesson([first, second], 'a');
    queryClient.setQueryData(['lesson', 'C6'], {
      ...theirs,
      progress: { ...theirs.progress, notes: 'From the phone' },
    });
    await flushPromises();
    expect((notes.element as HTMLTextAreaElement).value).toBe('From the phone\n\nBelt two, guard shut');
    expect(mounted.text()).toContain('Another device had written here, too');
    mounted.unmount();
  });

  it('has no place for notes where nobody learns', async () => {
    const mounted = await page(lesson([first], null, { progress: null }));
    expect(mounted.find('textarea').exists()).toBe(false);
  });

  it('reads a step aloud in its order, figures in words', async () => {
    const said: string[] = [];
    const cancel = vi.fn();
    vi.stubGlobal(
      'SpeechSynthesisUtterance',
      class {
        lang = '';
        onend: (() => void) | null = null;
        constructor(public text: string) {}
      },
    );
    vi.stubGlobal('speechSynthesis', { cancel, speak: ({ text }: { text: string }) => said.push(text) });
    const mounted = await page(lesson([{ ...first, caution: 'Key out.', why: 'It flies.', do: 'Set it.' }], 'a'));
    await mounted
      .findAll('button')
      .find((button) => button.text() === 'Read aloud')
      ?.trigger('click');
    expect(said).toEqual(['First', 'Caution. Key out.', 'Set it.', 'It flies.']);
    expect(mounted.text()).toContain('Stop reading');
    mounted.unmount();
    expect(cancel).toHaveBeenCalled();
    vi.unstubAllGlobals();
  });
});
