import { useI18n } from 'vue-i18n';

/** Puts what the core says is still needed (`lesson:C6`, `practice:minutes:30`) into shop words. */
export function useNext() {
  const { t, te } = useI18n();

  function words(need: string): string {
    const [kind, what, count] = need.split(':');
    if (kind === 'practice') return t(`next.practice.${what}`, { n: Number(count) }, Number(count));
    return te(`next.${kind}`) ? t(`next.${kind}`, { what }) : need;
  }

  /** Many lessons read better as one line. */
  function all(needs: string[]): string {
    const lessons = needs.filter((need) => need.startsWith('lesson:')).map((need) => need.slice(7));
    if (lessons.length > 1) return t('next.lessons', { what: lessons.join(', ') });
    return needs.map(words).join(t('next.and'));
  }

  return { words, all };
}
