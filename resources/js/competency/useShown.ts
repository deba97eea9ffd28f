import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';

type Shown = NonNullable<Schemas['SignOffProposal']['shown']>;

/** What was seen on passed sheets: as lines to read, and whether a pair of operation and material is among it. */
export function useShown() {
  const { t } = useI18n();
  const { length } = useUnits();
  const covers = (shown: Shown | null, operation: string, material: string) =>
    shown === null ||
    shown.some((one) => (one.operation ?? operation) === operation && one.materials.includes(material));
  const line = (one: Shown[number], name: (material: string) => string) =>
    [
      t('sign.shownLine', {
        operation: one.operation ? t(`operation.${one.operation}`) : t('sign.shownAny'),
        materials: one.materials.map(name).join(', '),
      }),
      one.up_to_mm === undefined ? '' : t('sign.shownUpTo', { size: length(one.up_to_mm) }),
    ]
      .filter(Boolean)
      .join(', ');
  return { covers, line };
}
