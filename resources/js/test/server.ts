/** What a component asked of the server. */
export interface Call {
  method: string;
  path: string;
  query: string;
  body: unknown;
}
type Answer = (call: Call) => unknown;

const answers = new Map<string, Answer>();
export const calls: Call[] = [];

const SIGNED_OUT = [401, 419];

/** A refusal, as the server words one. */
export class Refusal {
  constructor(
    readonly status: number,
    readonly message: string,
    readonly errors: Record<string, string[]> = {},
  ) {}
}

/** Answers `GET /api/…` with what is given, or with what a function makes of the call. */
export function serve(route: string, answer: unknown) {
  answers.set(route, typeof answer === 'function' ? (answer as Answer) : () => answer);
}

export const called = (route: string) => calls.filter((call) => `${call.method} ${call.path}` === route);

function json(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
}

async function answer(request: Request): Promise<Response> {
  const text = request.method === 'GET' ? '' : await request.text();
  const url = new URL(request.url, 'http://shop.example');
  const path = url.pathname.replace('//', '/');
  const call = { method: request.method, path, query: url.search, body: text === '' ? null : JSON.parse(text) };
  calls.push(call);
  const found = answers.get(`${call.method} ${path}`);
  if (!found) return json({ message: `Nothing is served at ${call.method} ${path}.` }, 404);
  const said = await found(call);
  return said instanceof Refusal
    ? json(
        {
          message: said.message,
          errors: said.errors,
          code: SIGNED_OUT.includes(said.status) ? 'signed_out' : undefined,
        },
        said.status,
      )
    : json(said ?? {});
}

// openapi-fetch takes the fetch that is there when a client is made: this file is set up before any component.
globalThis.fetch = ((input: Request | string, init?: RequestInit) =>
  answer(input instanceof Request ? input : new Request(new URL(input, 'http://shop.example'), init))) as typeof fetch;

/** Before each test: nothing is served, nothing was asked. */
export function forget() {
  answers.clear();
  calls.length = 0;
}
