import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';

type Need = Schemas['Need'];

/** Puts what the core says is still needed into shop words. */
export function useNext() {
  const { t, te, d } = useI18n();

  function words({ kind, what = '', count = 1, from }: Need): string {
    if (kind === 'wait') return t('next.wait', { at: d(from ?? '', { dateStyle: 'medium', timeStyle: 'short' }) });
    if (kind === 'practice') return t(`next.practice.${what}`, { n: count }, count);
    return te(`next.${kind}`) ? t(`next.${kind}`, { what }) : what;
  }

  /** Many lessons read better as one. */
  function all(needs: Need[]): string {
    const together = (kind: 'lesson' | 'guided') => {
      const codes = needs.filter((need) => need.kind === kind).map((need) => need.what);
      return codes.length > 1 ? t(`next.${kind}s`, { what: codes.join(', ') }) : null;
    };
    const many: Partial<Record<Need['kind'], string | null>> = {
      lesson: together('lesson'),
      guided: together('guided'),
    };
    const said = needs.map((need) => many[need.kind] ?? words(need));
    return [...new Set(said)].join(t('next.and'));
  }

  return { words, all };
}
