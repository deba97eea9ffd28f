// The server first: whatever makes a client finds its fetch.
import { forget } from './server';
import { openOutbox } from '@/api/outbox';
import { queryClient } from '@/api/queries';
import { forgetSizes } from '@/measure/understand';
import { beforeEach } from 'vitest';

beforeEach(() => {
  forget();
  queryClient.clear();
  localStorage.clear();
  sessionStorage.clear();
  openOutbox();
  forgetSizes();
});
