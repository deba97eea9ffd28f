import { formatLocale } from '@/i18n';
import { useNow } from '@vueuse/core';

const STEPS = [
  ['day', 86_400_000],
  ['hour', 3_600_000],
  ['minute', 60_000],
] as const;

/** How long something is past, in the reader's language; it goes on by itself. */
export function useAgo() {
  const now = useNow({ interval: 30_000 });
  function ago(since: string): string {
    const past = now.value.getTime() - new Date(since).getTime();
    const [unit, length] = STEPS.find(([, step]) => past >= step) ?? (['minute', 60_000] as const);
    return new Intl.RelativeTimeFormat(formatLocale(), { numeric: 'auto' }).format(-Math.floor(past / length), unit);
  }
  return { ago };
}
