import { createI18n } from 'vue-i18n';

export const LANGUAGES = ['en', 'es'] as const;
export type Language = (typeof LANGUAGES)[number];

type Words = { [key: string]: string | Words };

// Every room brings its own words. English comes with the page; another language is fetched when it is asked for.
const english = import.meta.glob<Words>('./*/locale/en.json', { eager: true, import: 'default' });
const others = import.meta.glob<Words>(['./*/locale/*.json', '!./*/locale/en.json'], { import: 'default' });

/** One tree of the rooms' trees: the same branch may grow in more than one room. */
function merge(into: Words, from: Words): Words {
  for (const [key, value] of Object.entries(from)) {
    const known = into[key];
    into[key] =
      typeof value === 'object' ? merge(typeof known === 'object' ? known : {}, value) : value;
  }
  return into;
}

export const i18n = createI18n({
  legacy: false,
  locale: 'en',
  fallbackLocale: 'en',
  messages: { en: Object.values(english).reduce<Words>(merge, {}) },
  missingWarn: false,
  fallbackWarn: false,
});

/** The language as a browser's formatter wants it: British dates in English. */
export function formatLocale(language: string = i18n.global.locale.value): string {
  return language === 'en' ? 'en-GB' : language;
}

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
  if (language !== 'en' && !i18n.global.availableLocales.includes(language as 'en')) {
    const files = Object.entries(others).filter(([path]) => path.endsWith(`/${language}.json`));
    const rooms = await Promise.all(files.map(([, load]) => load()));
    i18n.global.setLocaleMessage(language as 'en', rooms.reduce<Words>(merge, {}));
  }
  i18n.global.locale.value = language as 'en';
  document.documentElement.lang = language;
  if (keep) localStorage.setItem(KEPT, language);
}
