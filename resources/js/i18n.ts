import { createI18n } from 'vue-i18n';
import en from './locales/en.json';

/** A second language is a second file of the same shape, listed here. British spelling and British dates. */
export const i18n = createI18n({
  legacy: false,
  locale: 'en-GB',
  fallbackLocale: 'en-GB',
  messages: { 'en-GB': en },
  missingWarn: false,
  fallbackWarn: false,
});
