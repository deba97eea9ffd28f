import createClient, { type Middleware } from 'openapi-fetch';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];

/** What the server said instead of yes: words for the person, a stable code, the fields at fault. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly code: string | undefined,
    readonly errors: Record<string, string[]>,
  ) {
    super(message);
  }
}

/** The server could not be reached at all; the same call may go through later. */
export class Unreachable extends Error {}

const csrf: Middleware = {
  onRequest({ request }) {
    const token = document.cookie.match(/(?:^|; )XSRF-TOKEN=([^;]+)/)?.[1];
    if (token) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(token));
    request.headers.set('Accept', 'application/json');
    return request;
  },
};

/** Calls made in a person's session. */
export const api = createClient<paths>({ baseUrl: '/' });
api.use(csrf);

/** Calls made by a machine's screen, with its own token and no cookie. */
export function deviceApi(token: string) {
  return createClient<paths>({
    baseUrl: '/',
    credentials: 'omit',
    headers: { Authorization: `Bearer ${token}`, Accept: 'application/json' },
  });
}

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** Unwraps an answer, or throws what went wrong in words. */
export async function must<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch {
    throw new Unreachable('unreachable');
  }
  if (!answer.response.ok) {
    const problem = (answer.error ?? {}) as Partial<Schemas['Problem']>;
    throw new Refused(
      problem.message ?? answer.response.statusText,
      answer.response.status,
      problem.code,
      problem.errors ?? {},
    );
  }
  return answer.data as T;
}
