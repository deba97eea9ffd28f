import { computed, reactive, ref } from 'vue';
import { api, FROM, must, Refused, speaker, Unreachable } from './client';
import { queryClient } from './queries';

/**
 * The one door for everything that a person writes. A command is made once for one intent, with its id in it; it is kept
 * on this device until the server has answered, over a reload and a lost network, and sent again as it was. Nothing that
 * the server refuses is dropped unless the person says so.
 */
export interface Command {
  id: string;
  /** What it is about. A later one about the same takes the place of one that has not gone out. */
  about: string;
  /** Whose it is; it is sent in nobody else's session. */
  from: number;
  method: 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  path: string;
  body: unknown;
  /** Key and words for "this is not saved yet". */
  label: { key: string; words?: Record<string, string> };
  madeAt: string;
  refused: { status: number; code: string | undefined; message: string } | null;
}

export interface Draft {
  about: string;
  method: Command['method'];
  path: string;
  body?: unknown;
  label: Command['label'];
}

const KEPT = 'millstep.outbox.';
const AGAIN_MS = 4_000;
const SLOW_DOWN_MS = 15_000;

const state = reactive<{ commands: Command[] }>({ commands: [] });
/** Why nothing goes out at the moment, if so. */
export const stuck = ref<'unreachable' | 'signed_out' | 'another_person' | null>(null);
/** When what waits is sent again by itself, in milliseconds since 1970; null where it waits for a person. */
export const nextTry = ref<number | null>(null);
/** The other pages of this device. */
const others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('millstep.outbox');
const waiters = new Map<string, { done: (data: unknown) => void; failed: (cause: Error) => void }[]>();
let sending: string | null = null;
let queued = false;
let again: ReturnType<typeof setTimeout> | undefined;

function read(): Command[] {
  const found: Command[] = [];
  for (let place = 0; place < localStorage.length; place++) {
    const key = localStorage.key(place) ?? '';
    if (!key.startsWith(KEPT)) continue;
    try {
      found.push(JSON.parse(localStorage.getItem(key) ?? '') as Command);
    } catch {
      // Not ours, or cut off while it was written: there is nothing to send.
    }
  }
  return found.sort((a, b) => a.madeAt.localeCompare(b.madeAt) || a.id.localeCompare(b.id));
}

function keep(command: Command) {
  localStorage.setItem(KEPT + command.id, JSON.stringify(command));
}

function forget(id: string) {
  localStorage.removeItem(KEPT + id);
  state.commands = state.commands.filter((command) => command.id !== id);
}

const mine = () => state.commands.filter((command) => command.from === speaker());

/** Puts a command into the outbox and answers when the server has. A refusal is thrown, and kept. */
export function send<Output>(id: string, draft: Draft): Promise<Output> {
  const from = speaker();
  if (from === null) return Promise.reject(new Error('Nobody is signed in.'));
  const command: Command = {
    id,
    about: draft.about,
    from,
    method: draft.method,
    path: draft.path,
    body: draft.body ?? null,
    label: draft.label,
    madeAt: new Date().toISOString(),
    refused: null,
  };
  const waiting: NonNullable<ReturnType<typeof waiters.get>> = [];
  for (const older of mine().filter((each) => each.about === draft.about && each.id !== sending)) {
    waiting.push(...(waiters.get(older.id) ?? []));
    waiters.delete(older.id);
    forget(older.id);
  }
  state.commands = [...state.commands, command];
  keep(command);
  const answered = new Promise<Output>((done, failed) =>
    waiting.push({ done: done as (data: unknown) => void, failed }),
  );
  waiters.set(id, waiting);
  void flush();
  return answered;
}

/** Sends what waits, in the order in which it was made. Of several pages of one device one sends at a time. */
export async function flush(): Promise<void> {
  if (sending !== null || queued) return;
  queued = true;
  await alone(async () => {
    queued = false;
    await flushAlone();
  });
}

async function flushAlone(): Promise<void> {
  if (sending !== null) return;
  clearTimeout(again);
  stuck.value = null;
  nextTry.value = null;
  for (;;) {
    // What another page has sent meanwhile is gone, what it has made has come.
    state.commands = read();
    const next = mine().find((command) => command.refused === null);
    if (!next) return;
    sending = next.id;
    try {
      settle(next, await call(next));
    } catch (cause) {
      if (!refuse(next, cause as Error)) return;
    } finally {
      sending = null;
    }
  }
}

/** Where the browser has locks, nobody else sends meanwhile. */
async function alone(work: () => Promise<void>): Promise<void> {
  if (typeof navigator !== 'undefined' && 'locks' in navigator && navigator.locks)
    await navigator.locks.request(`${KEPT}sending`, work);
  else await work();
}

function call(command: Command): Promise<unknown> {
  // The paths were typed where the command was made; here they are data.
  const request = api.request as unknown as (
    method: string,
    path: string,
    init: object,
  ) => Promise<{ data?: unknown; error?: unknown; response: Response }>;
  return must(
    request(command.method.toLowerCase(), command.path, {
      body: command.body ?? undefined,
      headers: { [FROM]: String(command.from) },
    }),
  );
}

function settle(command: Command, data: unknown) {
  forget(command.id);
  waiters.get(command.id)?.forEach((waiter) => waiter.done(data));
  waiters.delete(command.id);
  others?.postMessage({ id: command.id, data });
}

/** What another page has sent for this one. */
function settledElsewhere({ id, data }: { id: string; data: unknown }) {
  state.commands = state.commands.filter((command) => command.id !== id);
  waiters.get(id)?.forEach((waiter) => waiter.done(data));
  waiters.delete(id);
  void queryClient.invalidateQueries();
}

/** Whether the next one may be tried. */
function refuse(command: Command, cause: Error): boolean {
  if (cause instanceof Unreachable || (cause instanceof Refused && (cause.status >= 500 || cause.status === 429))) {
    stuck.value = 'unreachable';
    const wait = cause instanceof Refused ? SLOW_DOWN_MS : AGAIN_MS;
    nextTry.value = Date.now() + wait;
    again = setTimeout(() => void flush(), wait);
    return false;
  }
  if (!(cause instanceof Refused)) throw cause;
  if (cause.signedOut || cause.anotherPerson) {
    stuck.value = cause.anotherPerson ? 'another_person' : 'signed_out';
    return false;
  }
  const listening = waiters.get(command.id) ?? [];
  // What cannot be understood is the typist's to mend, where they typed it and still see it.
  if (cause.status === 422 && listening.length > 0) forget(command.id);
  else {
    command = { ...command, refused: { status: cause.status, code: cause.code, message: cause.message } };
    state.commands = state.commands.map((each) => (each.id === command.id ? command : each));
    keep(command);
  }
  listening.forEach((waiter) => waiter.failed(cause));
  waiters.delete(command.id);
  return true;
}

/** The person says that a refused one need not be kept. */
export function throwAway(id: string) {
  forget(id);
}

/** Sends a refused one again: what stood in its way may be gone. */
export function tryAgain(id: string) {
  state.commands = state.commands.map((each) => (each.id === id ? { ...each, refused: null } : each));
  const command = state.commands.find((each) => each.id === id);
  if (command) keep(command);
  void flush();
}

/** What is not with the server yet, of whoever is signed in here. */
export function useOutbox() {
  const commands = computed(mine);
  return {
    commands,
    about: (start: string) => commands.value.filter((command) => command.about.startsWith(start)),
    refused: computed(() => commands.value.filter((command) => command.refused !== null)),
    stuck,
    nextTry,
  };
}

/** Reads what was kept and sends it: at the start, after signing in, and when another tab or the network comes back. */
export function openOutbox() {
  state.commands = read();
  if (mine().length > 0) void flush().then(() => queryClient.invalidateQueries());
}

export function watchOutbox() {
  window.addEventListener('online', () => void flush());
  others?.addEventListener('message', (event: MessageEvent<{ id: string; data: unknown }>) =>
    settledElsewhere(event.data),
  );
  // What another page makes waits here too, and what it has sent waits no longer.
  window.addEventListener('storage', (event) => {
    if (event.key?.startsWith(KEPT)) state.commands = read();
  });
}
