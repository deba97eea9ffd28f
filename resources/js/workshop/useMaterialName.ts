import type { Schemas } from '@/api/client';
import { spoken } from '@/i18n';
import { useSay } from '@/language/useSay';
import { capital } from '@/ui/capital';

/** What a material is called in a list: in English by the table's full name, else by its word in the reader's language. */
export function useMaterialName() {
  const { say } = useSay();
  return (material: Pick<Schemas['Material'], 'name' | 'word'>): string =>
    spoken() === 'en' ? material.name : capital(say(material.word));
}
