import { mountIn, signedIn } from '@/test/mountIn';
import { called, Refusal, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import SignInPage from './SignInPage.vue';

const { push, route } = vi.hoisted(() => ({ push: vi.fn(), route: { query: {} as Record<string, string> } }));
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push }),
  useRoute: () => route,
}));

beforeEach(() => {
  push.mockReset();
  route.query = {};
  signedIn('learner');
  serve('GET /api/people/me', { person: { id: 7, name: 'Ada Example', role: 'learner', units: 'mm' }, demo: true });
  serve('POST /api/people/session', {});
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

  it.each(['//elsewhere.example/', 'https://elsewhere.example'])(
    'never leads away from the shop (%s)',
    async (next) => {
      route.query = { next };
      await signIn();
      expect(push).toHaveBeenLastCalledWith({ name: 'home' });
    },
  );

  it('says why not, and keeps the address', async () => {
    serve('POST /api/people/session', new Refusal(422, 'No.', { email: ['Address and password do not go together.'] }));
    const page = await signIn();
    expect(page.text()).toContain('Address and password do not go together.');
    expect(page.findAll('input')[0]?.element.value).toBe('ada@shop.example');
    expect(push).not.toHaveBeenCalled();
  });

  it('offers the demo people in a demo, filled in by a press', async () => {
    const page = mountIn(SignInPage, {});
    await page.findAll('li button')[1]?.trigger('click');
    expect(page.findAll('input').map((input) => input.element.value)).toEqual([
      'instructor@millstep.example',
      'mast-and-vane',
    ]);
    expect(called('POST /api/people/session')).toHaveLength(0);
  });
});
