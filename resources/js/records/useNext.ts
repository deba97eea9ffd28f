import { useI18n } from 'vue-i18n';

/** Puts what the core says is still needed (`lesson:C6`, `practice:minutes:30`) into shop words. */
export function useNext() {
  const { t, te, d } = useI18n();

  function words(need: string): string {
    const [kind, what, count] = need.split(':');
    if (kind === 'wait') return t('next.wait', { at: d(need.slice(5), { dateStyle: 'medium', timeStyle: 'short' }) });
    if (kind === 'practice') return t(`next.practice.${what}`, { n: Number(count) }, Number(count));
    return te(`next.${kind}`) ? t(`next.${kind}`, { what }) : need;
  }

  /** Many lessons read better as one. */
  function all(needs: string[]): string {
    const together = (kind: string) => {
      const codes = needs.filter((need) => need.startsWith(`${kind}:`)).map((need) => need.slice(kind.length + 1));
      return codes.length > 1 ? t(`next.${kind}s`, { what: codes.join(', ') }) : null;
    };
    const many: Record<string, string | null> = { lesson: together('lesson'), guided: together('guided') };
    const said = needs.map((need) => many[need.split(':')[0] ?? ''] ?? words(need));
    return [...new Set(said)].join(t('next.and'));
  }

  return { words, all };
}
