import { createI18n } from 'vue-i18n';
import en from './locales/en.json';

/** A second language is a second file of the same shape, listed here. */
export const i18n = createI18n({
  legacy: false,
  locale: 'en',
  fallbackLocale: 'en',
  messages: { en },
  missingWarn: false,
  fallbackWarn: false,
});
