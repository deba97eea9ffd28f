import { formatLocale } from '@/i18n';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

type Row = Record<string, unknown>;
type Change = { change: string; before: unknown; after: unknown };

/** Of secrets, and of what is known of a person, the database says only what became of them. */
const BECAME: readonly unknown[] = ['set', 'changed', 'taken away'];
const INSTANT = /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d(:?\d\d)?)?$/;
const DAY = /^\d{4}-\d\d-\d\d$/;
const LONGEST = 80;

/** What a line of the audit log says was changed: names, days and numbers as people write them, and of a list what differs. */
export function useChangeWords() {
  const { t, te, d, n } = useI18n();
  const list = computed(() => new Intl.ListFormat(formatLocale(), { type: 'conjunction' }));

  const named = (column: string) =>
    te(`records.column.${column}`) ? t(`records.column.${column}`) : column.replaceAll('_', ' ');

  const isRow = (value: unknown): value is Row => typeof value === 'object' && value !== null && !Array.isArray(value);

  function text(value: unknown): string {
    if (value === null || value === '' || value === undefined) return t('records.value.nothing');
    if (typeof value === 'boolean') return t(`records.value.${value ? 'yes' : 'no'}`);
    if (typeof value === 'number') return n(value, { maximumFractionDigits: 6, useGrouping: false });
    if (Array.isArray(value))
      return value.length === 0 ? t('records.value.nothing') : list.value.format(value.map(text));
    if (isRow(value))
      return Object.entries(value)
        .map(([key, each]) => `${named(key)} ${text(each)}`)
        .join(', ');
    const said = String(value);
    if (DAY.test(said)) return d(`${said}T12:00:00`, { dateStyle: 'medium' });
    if (INSTANT.test(said))
      return d(said.replace(' ', 'T').replace(/([+-]\d\d)$/, '$1:00'), { dateStyle: 'medium', timeStyle: 'short' });
    return said;
  }

  function short(value: unknown): string {
    const said = text(value);
    return said.length > LONGEST ? `${said.slice(0, LONGEST)}…` : said;
  }

  function one(key: string, was: unknown, is: unknown): string[] {
    if (was === undefined && BECAME.includes(is))
      return [`${named(key)}: ${t(`records.secret.${String(is).replace(' ', '_')}`)}`];
    if (isRow(was) && isRow(is))
      return [...new Set([...Object.keys(was), ...Object.keys(is)])]
        .filter((inner) => JSON.stringify(was[inner]) !== JSON.stringify(is[inner]))
        .flatMap((inner) => one(inner, was[inner] ?? null, is[inner] ?? null));
    return [
      was === undefined || was === null ? `${named(key)}: ${short(is)}` : `${named(key)}: ${short(was)} → ${short(is)}`,
    ];
  }

  return (change: Change): string =>
    Object.entries(change.after as Row)
      .filter(([key, value]) => key !== 'id' && (value !== null || change.change !== 'insert'))
      .flatMap(([key, value]) => one(key, (change.before as Row)[key], value))
      .join(' · ');
}
