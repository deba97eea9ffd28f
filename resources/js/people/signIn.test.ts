import { queryClient } from '@/api/queries';
import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import SignInPage from './SignInPage.vue';

const { push, route } = vi.hoisted(() => ({ push: vi.fn(), route: { query: {} as Record<string, string> } }));
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push, resolve: (to: string) => ({ meta: to === '/today' ? { roles: ['instructor'] } : {} }) }),
  useRoute: () => route,
}));

beforeEach(() => {
  push.mockReset();
  route.query = {};
  signedIn('learner');
  serve('GET /api/people/me', { person: { id: 7, name: 'Ada Example', role: 'learner', units: 'mm' }, demo: true });
  serve('POST /api/people/session', { id: 7, email: 'ada@shop.example' });
});
async function signIn() {
  const page = mountIn(SignInPage, {});
  const [email, password] = page.findAll('input');
  await email?.setValue('ada@shop.example');
  await password?.setValue('secret');
  await page.find('form').trigger('submit');
  await flushPromises();
  return page;
}

describe('signing in', () => {
  it('goes home, or back to where one was sent from', async () => {
    await signIn();
    expect(push).toHaveBeenLastCalledWith({ name: 'home' });
    route.query = { next: '/planner/hole' };
    await signIn();
    expect(push).toHaveBeenLastCalledWith('/planner/hole');
  });

  it('goes home where the page before was another role’s', async () => {
    route.query = { next: '/today' };
    await signIn();
    expect(push).toHaveBeenLastCalledWith({ name: 'home' });
  });

  it.each(['//elsewhere.example/', 'https://elsewhere.example'])(
    'never leads away from the shop (%s)',
    async (next) => {
      route.query = { next };
      await signIn();
      expect(push).toHaveBeenLastCalledWith({ name: 'home' });
    },
  );

  it('waits for what was asked of a guest before it signs in, so that no late answer brings a guest’s cookie', async () => {
    queryClient.clear();
    let answer: (me: unknown) => void = () => undefined;
    serve('GET /api/people/me', () => new Promise((done) => (answer = done)));
    await signIn();
    expect(called('GET /api/people/me')).toHaveLength(1);
    expect(called('POST /api/people/session')).toHaveLength(0);
    serve('GET /api/people/me', { person: { id: 7, name: 'Ada Example', role: 'learner', units: 'mm' }, demo: true });
    answer({ person: null, demo: true });
    await flushPromises();
    expect(called('POST /api/people/session')).toHaveLength(1);
    expect(push).toHaveBeenLastCalledWith({ name: 'home' });
  });

  it('says why not, and keeps the address', async () => {
    serve('POST /api/people/session', new Refusal(422, 'No.', { email: ['Address and password do not go together.'] }));
    const page = await signIn();
    expect(page.text()).toContain('Address and password do not go together.');
    expect(page.findAll('input')[0]?.element.value).toBe('ada@shop.example');
    expect(push).not.toHaveBeenCalled();
  });

  it('asks for the second factor, and lets nobody in before it is given', async () => {
    serve('POST /api/people/session', { second_factor: true });
    serve('POST /api/people/session/second-factor', { id: 7, email: 'ada@shop.example' });
    const page = await signIn();
    expect(push).not.toHaveBeenCalled();
    expect(page.text()).toContain('six digits');
    await page.find('input').setValue('123456');
    await page.find('form').trigger('submit');
    await flushPromises();
    expect(push).toHaveBeenLastCalledWith({ name: 'home' });
  });

  it('says that a code is wrong, and lets one go back', async () => {
    serve('POST /api/people/session', { second_factor: true });
    serve('POST /api/people/session/second-factor', new Refusal(422, 'No.', { code: ['This code is not right.'] }));
    const page = await signIn();
    await page.find('input').setValue('000000');
    await page.find('form').trigger('submit');
    await flushPromises();
    expect(page.text()).toContain('This code is not right.');
    await page.find('button[type=button]').trigger('click');
    expect(page.find('input[type=password]').exists()).toBe(true);
  });

  it('offers the demo people in a demo, filled in by a press', async () => {
    const page = mountIn(SignInPage, {});
    await page.findAll('li button')[1]?.trigger('click');
    expect(page.findAll<HTMLInputElement>('input:not([type=checkbox])').map((input) => input.element.value)).toEqual([
      'instructor@millstep.example',
      'mast-and-vane',
    ]);
    expect(called('POST /api/people/session')).toHaveLength(0);
  });
});
