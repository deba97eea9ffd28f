/** A lesson as its text has it: front matter, then one `## Title {#key}` section a step. Nothing here knows what is right. */
export interface Section {
  title: string;
  key: string;
  /** Where it begins and ends in the text. */
  from: number;
  to: number;
}

const HEADING = /^## (.*?)\s*(?:\{#([a-z0-9-]+)\})?\s*$/gm;

/** The steps in their order. */
export function sections(text: string): Section[] {
  const found = [...text.matchAll(HEADING)];
  return found.map((heading, place) => ({
    title: heading[1] ?? '',
    key: heading[2] ?? '',
    from: heading.index,
    to: found[place + 1]?.index ?? text.length,
  }));
}

/** The step in which a place of the text lies; none where that is before the first. */
export function sectionAt(text: string, place: number): Section | undefined {
  return sections(text).findLast((section) => section.from <= place);
}

/** The text with one step moved before or behind its neighbour; as it was where there is none. */
export function moved(text: string, key: string, by: -1 | 1): string {
  const all = sections(text);
  const at = all.findIndex((section) => section.key === key);
  const [first, second] = by === -1 ? [all[at - 1], all[at]] : [all[at], all[at + 1]];
  if (at < 0 || !first || !second) return text;
  // The last step of a text need not end in an empty line; between two steps there is one.
  const apart = (part: string) => part.replace(/\n*$/, '\n\n');
  const ending = text.slice(second.from, second.to).match(/\n*$/)?.[0] ?? '';
  const last = second.to === text.length;
  const swapped = apart(text.slice(second.from, second.to)) + text.slice(first.from, first.to);
  return text.slice(0, first.from) + (last ? swapped.replace(/\n*$/, ending) : swapped) + text.slice(second.to);
}

/** The text with one value of its front matter set, or taken out. */
export function withFront(text: string, key: string, value: string | number | null): string {
  const front = text.match(/^---\n([\s\S]*?\n)---\n/)?.[1];
  if (front === undefined) return text;
  const line = new RegExp(`^${key}:.*\\n`, 'm');
  const written = value === null ? '' : `${key}: ${value}\n`;
  const next = line.test(front)
    ? front.replace(line, () => written)
    : key === 'accepted_from'
      ? front.replace(/^version:.*\n/m, (version) => version + written)
      : front + written;
  return text.replace(front, () => next);
}

export function front(text: string, key: string): string | null {
  const lines = text.match(/^---\n([\s\S]*?\n)---\n/)?.[1];
  return lines?.match(new RegExp(`^${key}: *(.*)$`, 'm'))?.[1]?.replace(/^(["'])(.*)\1$/, '$2') ?? null;
}

/** Where a line begins, counted from 1. */
export function startOfLine(text: string, line: number): number {
  let at = 0;
  for (let passed = 1; passed < line; passed++) {
    const next = text.indexOf('\n', at);
    if (next < 0) return at;
    at = next + 1;
  }
  return at;
}

/** What a new lesson begins with, and what a new step. */
export const blank = (code: string, title: string, words: { step: string; do: string; why: string }) =>
  `---\ncode: ${code}\nversion: 1\ntitle: ${JSON.stringify(title)}\nplace: bench\nminutes: 15\n---\n\n` +
  `## ${words.step} {#step-1}\nDo: ${words.do}\nWhy: ${words.why}\n`;

/** The text with a step more at its end, whose key is in use nowhere else. */
export function withStep(text: string, words: { step: string; do: string; why: string }): string {
  const keys = sections(text).map((section) => section.key);
  let number = keys.length + 1;
  while (keys.includes(`step-${number}`)) number++;
  return `${text.replace(/\n*$/, '\n\n')}## ${words.step} {#step-${number}}\nDo: ${words.do}\nWhy: ${words.why}\n`;
}
