import type { Schemas } from '@/api/client';
import { useUnits } from '@/measure/useUnits';
import { useI18n } from 'vue-i18n';

/** What a signature covers, in words, the same wherever it is shown. */
export function useScope() {
  const { t } = useI18n();
  const { length } = useUnits();

  const material = (key: string) => key.replaceAll('_', ' ');

  function words(scope: Schemas['Scope']): string {
    const parts = [
      (scope.materials ?? []).map(material).join(t('next.and')) || t('scope.everyMaterial'),
      ...(scope.min_thickness_mm === undefined ? [] : [t('scope.from', { length: length(scope.min_thickness_mm) })]),
      (scope.operations ?? []).map((operation) => t(`operation.${operation}`)).join(t('next.and')) ||
        t('scope.everyOperation'),
      ...(scope.max_diameter_mm === undefined ? [] : [t('scope.upTo', { length: length(scope.max_diameter_mm) })]),
      ...(scope.companion ? [t('scope.companion')] : []),
    ];
    return parts.join('; ');
  }

  /** What somebody said they would do. */
  function request(said: Schemas['GateRequest']): string {
    return [
      ...(said.material === undefined ? [] : [material(said.material)]),
      ...(said.thickness_mm === undefined ? [] : [t('scope.from', { length: length(said.thickness_mm) })]),
      ...(said.operation === undefined ? [] : [t(`operation.${said.operation}`)]),
      ...(said.diameter_mm === undefined ? [] : [t('scope.upTo', { length: length(said.diameter_mm) })]),
    ].join(', ');
  }

  return { words, request, material };
}
