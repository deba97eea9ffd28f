import type { Schemas } from '@/api/client';
import { formatLocale } from '@/i18n';
import { useUnits } from '@/measure/useUnits';
import { capital } from '@/ui/capital';
import { useI18n } from 'vue-i18n';

export type Message = Schemas['Message'];
export type Words = Message | string;

function isMessage(term: unknown): term is Message {
  return typeof term === 'object' && term !== null && 'code' in term;
}

/**
 * Says what the core means, in the reader's language and units. A term whose name ends in `_mm` is a length; `count`
 * decides between singular and plural; a list is joined, whole sentences with a blank.
 */
export function useSay() {
  const { t, te, tm } = useI18n();
  const { length, number } = useUnits();

  function say(words: Words | null | undefined): string {
    if (words == null) return '';
    if (typeof words === 'string') return words;
    const { code } = words;
    const terms = words.terms as Record<string, unknown>;
    if (code === 'input.any_of' || code === 'input.all_of')
      return new Intl.ListFormat(formatLocale(), {
        type: code === 'input.any_of' ? 'disjunction' : 'conjunction',
      }).format((terms.list as Words[]).map((one) => say(one)));
    const known = (key: string) => te(key) || te(key, 'en-GB');
    const key = known(`core.${code}`) ? `core.${code}` : code;
    if (!known(key)) return code;
    const named = Object.fromEntries(Object.entries(terms).map(([name, term]) => [name, termIn(name, term)]));
    const said = typeof terms.count === 'number' ? t(key, named, terms.count) : t(key, named);
    // A sentence begins with a capital, also where it begins with a term or ends in another sentence; a name stays as it is.
    const template = String(tm(key)).trimEnd();
    return /\.( \{\w+\})?$/.test(template) && !template.startsWith('{key}') ? capital(said) : said;
  }

  function termIn(name: string, term: unknown): string {
    if (isMessage(term)) return say(term);
    if (Array.isArray(term)) return term.map((one) => termIn('', one)).join(name === 'sentences' ? ' ' : ', ');
    if (typeof term === 'number') return name.endsWith('_mm') ? length(term, 3) : number(term);
    return String(term);
  }

  /** Several, one after the other. */
  const sayAll = (messages: readonly Words[] | null | undefined) => (messages ?? []).map((one) => say(one)).join(' ');

  return { say, sayAll };
}
