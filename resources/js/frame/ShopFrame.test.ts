import { queryClient } from '@/api/queries';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import ShopFrame from './ShopFrame.vue';

const { push, route } = vi.hoisted(() => ({ push: vi.fn(), route: { path: '/today' } }));
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push }),
  useRoute: () => route,
}));

const rooms = (frame: ReturnType<typeof mountIn>) =>
  frame.findAll('nav li a').map((room) => room.text().replace(/\s+/g, ' '));

describe('the frame round every page', () => {
  beforeEach(() => {
    push.mockReset();
    route.path = '/today';
  });

  it('leads whoever teaches to today, teaching, planner and workshop; a learner to path, logbook and planner', () => {
    signedIn('instructor');
    expect(rooms(mountIn(ShopFrame, {}))).toEqual([
      expect.stringContaining('Today'),
      expect.stringContaining('Teaching'),
      expect.stringContaining('Planner'),
      expect.stringContaining('Workshop'),
    ]);
    signedIn('learner');
    expect(rooms(mountIn(ShopFrame, {}))).toEqual([
      expect.stringContaining('My path'),
      expect.stringContaining('Logbook'),
      expect.stringContaining('Planner'),
    ]);
  });

  it.each([
    ['/planner/hole', 'Planner'],
    ['/planner/plans/7', 'Planner'],
    ['/workshop/policy', 'Workshop'],
    ['/today', 'Today'],
  ])('marks the room of %s', (path, room) => {
    signedIn('lead');
    route.path = path;
    expect(mountIn(ShopFrame, {}).find('nav [aria-current]').text()).toContain(room);
  });

  it('says who is signed in and changes the units for that person', async () => {
    signedIn('lead', 'mm');
    serve('PATCH /api/people/me', {});
    serve('GET /api/people/me', { person: { id: 7, name: 'Ada Example', role: 'lead', units: 'in' }, demo: true });
    const frame = mountIn(ShopFrame, {});
    expect(frame.text()).toContain('Ada Example');
    const inches = frame.findAll('[role=group] button')[1];
    expect(inches?.attributes('aria-pressed')).toBe('false');
    await inches?.trigger('click');
    await flushPromises();
    expect(called('PATCH /api/people/me')[0]?.body).toEqual({ units: 'in' });
    expect(inches?.attributes('aria-pressed')).toBe('true');
  });

  it('turns dark and light, and stays so on this device', async () => {
    signedIn('learner');
    const frame = mountIn(ShopFrame, {});
    const theme = frame.findAll('header button').find((button) => /dark|light/i.test(button.text()));
    const before = theme?.text();
    await theme?.trigger('click');
    expect(theme?.text()).not.toBe(before);
    expect(['dark', 'light']).toContain(localStorage.getItem('millstep.theme'));
  });

  it('signs out, and leaves nothing of the person behind', async () => {
    signedIn('learner');
    serve('DELETE /api/people/session', {});
    const frame = mountIn(ShopFrame, {});
    await frame.findAll('header button').at(-1)?.trigger('click');
    await flushPromises();
    expect(push).toHaveBeenCalledWith({ name: 'sign-in' });
    expect(
      queryClient
        .getQueryCache()
        .getAll()
        .every((query) => query.state.data === undefined),
    ).toBe(true);
  });

  it('lets a keyboard skip to the page', () => {
    signedIn('learner');
    const frame = mountIn(ShopFrame, {});
    expect(frame.find('a').attributes('href')).toBe('#main');
    expect(frame.find('main#main').exists()).toBe(true);
  });
});
