import { mountIn, signedIn } from '@/test/mountIn';
import { called, serve } from '@/test/server';
import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import WaitingNote from './WaitingNote.vue';
import { queryClient } from '@/api/queries';

const { route } = vi.hoisted(() => ({ route: { name: 'planner' } }));
vi.mock('vue-router', async (original) => ({ ...(await original<object>()), useRoute: () => route }));

describe('the note that somebody waits', () => {
  beforeEach(() => {
    route.name = 'planner';
    signedIn('instructor');
  });
  async function note(look: number) {
    serve('GET /api/records/waiting', { look, practice: 3 });
    const mounted = mountIn(WaitingNote, {});
    await flushPromises();
    return mounted;
  }

  it('stands on every page but Today, until it is read', async () => {
    const mounted = await note(2);
    expect(mounted.text()).toContain('2 learners wait at the machine');
    await mounted.find('button').trigger('click');
    expect(mounted.find('[role=status]').exists()).toBe(false);
    // One more, and it is there again; fewer, and one more, too.
    for (const look of [3, 1]) {
      serve('GET /api/records/waiting', { look, practice: 0 });
      await queryClient.invalidateQueries();
      await flushPromises();
      expect(mounted.find('[role=status]').exists()).toBe(look === 3);
      if (look === 3) await mounted.find('button').trigger('click');
    }
    serve('GET /api/records/waiting', { look: 2, practice: 0 });
    await queryClient.invalidateQueries();
    await flushPromises();
    expect(mounted.find('[role=status]').exists()).toBe(true);
    mounted.unmount();
  });

  it('is not said on Today, which says it already, and nothing is asked for a learner', async () => {
    route.name = 'today';
    expect((await note(2)).find('[role=status]').exists()).toBe(false);
    queryClient.clear();
    signedIn('learner');
    const before = called('GET /api/records/waiting').length;
    expect((await note(2)).find('[role=status]').exists()).toBe(false);
    expect(called('GET /api/records/waiting')).toHaveLength(before);
  });
});
