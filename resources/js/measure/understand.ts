import { api, must, type Schemas } from '@/api/client';

export type SizeKind = Schemas['SizeKind'];
type Size = Schemas['Size'];
type Units = 'mm' | 'in';

interface Asked {
  text: string;
  as: SizeKind;
  answers: { resolve: (size: Size) => void; reject: (why: unknown) => void }[];
}

/** So long fields wait for one another, in milliseconds; so many go in one call. */
const TOGETHER_MS = 10;
const MOST = 100;
const waiting = new Map<Units, Asked[]>();

async function send(units: Units, asked: Asked[]) {
  try {
    const sizes = asked.map(({ text, as }) => ({ text, as }));
    const understood = await must(api.POST('/api/measure/sizes', { body: { default_unit: units, sizes } }));
    asked.forEach(({ answers }, index) => {
      const size = understood[index];
      for (const { resolve, reject } of answers)
        if (size) resolve(size);
        else reject(new Error('a size is missing from the answer'));
    });
  } catch (why) {
    for (const { answers } of asked) for (const { reject } of answers) reject(why);
  }
}

function flush(units: Units) {
  const asked = waiting.get(units) ?? [];
  waiting.delete(units);
  for (let from = 0; from < asked.length; from += MOST) void send(units, asked.slice(from, from + MOST));
}

/** What the core makes of a size; the fields of a page that ask at the same time are asked for in one call. */
export function understand(text: string, as: SizeKind, units: Units): Promise<Size> {
  return new Promise((resolve, reject) => {
    const asked = waiting.get(units) ?? [];
    if (asked.length === 0) {
      waiting.set(units, asked);
      setTimeout(() => {
        flush(units);
      }, TOGETHER_MS);
    }
    const same = asked.find((each) => each.text === text && each.as === as);
    if (same) same.answers.push({ resolve, reject });
    else asked.push({ text, as, answers: [{ resolve, reject }] });
  });
}

/** Nothing waits any more: a page that is left takes no answers. */
export function forgetSizes() {
  waiting.clear();
}
