import { queryClient } from '@/api/queries';
import { afterEach, expect, it, vi } from 'vitest';
import { api, Unreachable } from './client';
import { askMe, meQuery } from './useMe';

const person = { id: 4, name: 'Tomas Brackwater' };
afterEach(() => {
  queryClient.clear();
  vi.restoreAllMocks();
});

it('is told who is signed in though everything is read again while it asks', async () => {
  const answers: ((answer: unknown) => void)[] = [];
  vi.spyOn(api, 'GET').mockImplementation(() => new Promise((resolve) => answers.push(resolve)) as never);
  const answer = { data: { person }, response: new Response(null, { status: 200 }) };
  queryClient.setQueryData(meQuery.queryKey, { person });
  await queryClient.invalidateQueries();

  const first = askMe();
  const joined = askMe();
  const again = queryClient.fetchQuery({ ...meQuery, staleTime: 0 });
  // What a change elsewhere in the shop does: what is under way is dropped and asked for anew.
  void queryClient.getQueryCache().find({ queryKey: meQuery.queryKey })?.fetch(undefined, { cancelRefetch: true });
  await expect(again).rejects.toThrow();
  answers.forEach((give) => give(answer));
  expect([(await first).person?.id, (await joined).person?.id]).toEqual([4, 4]);
});

it('does not hide that the server is away', async () => {
  vi.spyOn(queryClient, 'fetchQuery').mockRejectedValue(new Unreachable('away'));
  await expect(askMe()).rejects.toThrow('away');
});
