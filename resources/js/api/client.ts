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

  /** The session is over; what was sent was neither done nor refused. */
  get signedOut(): boolean {
    return this.status === 401 || this.status === 419;
  }

  /** Somebody else signed in on this browser meanwhile. */
  get anotherPerson(): boolean {
    return this.code === 'another_person';
  }
}

/** The server could not be reached at all; the same call may go through later. */
export class Unreachable extends Error {}

/** A call that writes was tried for a while and is not tried any more: the person sends it again, or does not. */
export class GaveUp extends Unreachable {}

/** So long a person's call may take. A machine's screen gives up sooner: no answer is no power. */
const PATIENCE_MS = 15_000;
export const GATE_PATIENCE_MS = 3_000;

export const FROM = 'X-Mill-Step-From';

/** Whose page this is; every command says so, and the server refuses another's. */
let from: number | null = null;
export function speakFor(person: number | null) {
  from = person;
}
export const speaker = () => from;

/** Told when a call of a page with somebody on it finds that their session is over, or another's. */
type Lost = (why: 'signed_out' | 'another_person') => void;
let lost: Lost = () => undefined;
export function onSessionLost(tell: Lost) {
  lost = tell;
}

/** When somebody last touched this page; a shared tablet that is left alone signs out. */
let touched = Date.now();
export function touch() {
  touched = Date.now();
}
export const idleSeconds = () => Math.max(0, Math.floor((Date.now() - touched) / 1000));

const asPerson: Middleware = {
  onRequest({ request }) {
    const token = document.cookie.match(/(?:^|; )XSRF-TOKEN=([^;]+)/)?.[1];
    if (token) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(token));
    request.headers.set('Accept', 'application/json');
    // Refusals are said in the language of the page.
    request.headers.set('Accept-Language', document.documentElement.lang || 'en');
    request.headers.set('X-Mill-Step-Idle', String(idleSeconds()));
    if (from !== null && !request.headers.has(FROM)) request.headers.set(FROM, String(from));
    return request;
  },
};

/** Gives up after a while, so that a server that hangs is a server that is away. */
function patient(milliseconds: number): (request: Request) => Promise<Response> {
  return (request) => globalThis.fetch(request, { signal: AbortSignal.timeout(milliseconds) });
}

/** Calls made in a person's session. */
export const api = createClient<paths>({ baseUrl: '/', fetch: patient(PATIENCE_MS) });
api.use(asPerson);

/** Calls made by a machine's screen, with its own token and no cookie. */
export function deviceApi(token: string) {
  return createClient<paths>({
    baseUrl: '/',
    credentials: 'omit',
    fetch: patient(GATE_PATIENCE_MS),
    headers: {
      Authorization: `Bearer ${token}`,
      Accept: 'application/json',
      'Accept-Language': document.documentElement.lang || 'en',
    },
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
    const refused = new Refused(
      problem.message ?? answer.response.statusText,
      answer.response.status,
      problem.code,
      problem.errors ?? {},
    );
    if (from !== null && refused.code === 'signed_out') lost('signed_out');
    if (from !== null && refused.anotherPerson) lost('another_person');
    throw refused;
  }
  return answer.data as T;
}
