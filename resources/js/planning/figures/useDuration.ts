import { useI18n } from 'vue-i18n';

/** Seconds as somebody would say them: `32 s`, `2 min 5 s`. */
export function useDuration() {
  const { t } = useI18n();
  return (seconds: number) => {
    const whole = Math.round(seconds);
    return whole < 60
      ? t('planning.seconds', { seconds: whole })
      : t('planning.minutes', { minutes: Math.floor(whole / 60), seconds: whole % 60 });
  };
}
