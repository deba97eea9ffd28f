import { createI18n } from 'vue-i18n';

export const LANGUAGES = ['en', 'es'] as const;
export type Language = (typeof LANGUAGES)[number];

type Words = { [key: string]: string | Words };

// Every room brings its own words. English comes with the page; another language is fetched when it is asked for.
const english = import.meta.glob<Words>('../*/locale/en.json', { eager: true, import: 'default' });
const others = import.meta.glob<Words>(['../*/locale/*.json', '!../*/locale/en.json'], { import: 'default' });

/** One tree of the rooms' trees: the same branch may grow in more than one room. */
function merge(into: Words, from: Words): Words {
  for (const [key, value] of Object.entries(from)) {
    const known = into[key];
    into[key] = typeof value === 'object' ? merge(typeof known === 'object' ? known : {}, value) : value;
  }
  return into;
}

export const i18n = createI18n({
  legacy: false,
  locale: 'en-GB',
  fallbackLocale: 'en-GB',
  messages: { 'en-GB': Object.values(english).reduce<Words>(merge, {}) },
  missingWarn: false,
  fallbackWarn: false,
});

/** A language as the browser's formatters want it: British dates in English. */
const TAGS: Record<Language, string> = { en: 'en-GB', es: 'es' };

/** How numbers, dates and lists are written now. */
export const formatLocale = (): string => i18n.global.locale.value;

/** The language that is spoken now. */
export const spoken = (): Language => LANGUAGES.find((each) => TAGS[each] === i18n.global.locale.value) ?? 'en';

function isLanguage(language: string | null | undefined): language is Language {
  return LANGUAGES.includes(language as Language);
}

const KEPT = 'millstep.language';

/** What this browser was last told, or asks for itself. */
export function languageOfBrowser(): Language {
  const kept = localStorage.getItem(KEPT);
  if (isLanguage(kept)) return kept;
  return navigator.languages.map((tag) => tag.slice(0, 2)).find(isLanguage) ?? 'en';
}

/** Speaks a language from now on; what is not known stays as it is. */
export async function speak(language: string | null | undefined, keep = true): Promise<void> {
  if (!isLanguage(language)) return;
  const tag = TAGS[language] as 'en-GB';
  if (!i18n.global.availableLocales.includes(tag)) {
    const files = Object.entries(others).filter(([path]) => path.endsWith(`/${language}.json`));
    const rooms = await Promise.all(files.map(([, load]) => load()));
    i18n.global.setLocaleMessage(tag, rooms.reduce<Words>(merge, {}));
  }
  i18n.global.locale.value = tag;
  document.documentElement.lang = language;
  if (keep) localStorage.setItem(KEPT, language);
}
