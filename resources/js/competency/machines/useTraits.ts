import type { Schemas } from '@/api/client';
import { useI18n } from 'vue-i18n';

type Trait = Schemas['MachineTrait'];

/** What of a machine one must be shown, in words. */
export function useTraits() {
  const { t, locale } = useI18n();
  const word = (trait: Trait) => t(`workshop.trait.${trait}`);
  return {
    word,
    list: (traits: Trait[]) => new Intl.ListFormat(locale.value, { type: 'conjunction' }).format(traits.map(word)),
    /** What its record says of it; how speed is changed is one of three ways, the rest is in the shop's own words. */
    says: (trait: Trait, said: string | null) =>
      said === null ? null : trait === 'speed_change' ? t(`workshop.change.${said}`) : said,
  };
}
