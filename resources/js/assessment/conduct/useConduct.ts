import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';

const MINUTE = 60;

/** What was said while a sheet was done, in words. */
export function useConduct() {
  const { t, d } = useI18n();
  return {
    /** Minutes and seconds. */
    time: (seconds: number) =>
      `${Math.floor(seconds / MINUTE)}:${String(Math.floor(seconds % MINUTE)).padStart(2, '0')} min`,
    times: (said: Schemas['AssessmentAttempt']['conduct']['said']) =>
      said.map(({ moment, at }) => `${t(`sheet.moment.${moment}`)} ${d(at, { timeStyle: 'short' })}`).join(' · '),
  };
}
