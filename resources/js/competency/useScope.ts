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

  const names = (list: string[]) => list.join(t('next.and'));

  /** What was covered and no longer is, where anything is. */
  function lost(gone: Schemas['ScopeLost'], machines: string[] = []): string {
    const parts = [
      ...(Array.isArray(gone.materials)
        ? [t('scope.lost.materials', { names: names(gone.materials.map(material)) })]
        : []),
      ...(gone.materials === true ? [t('scope.lost.everyMaterial')] : []),
      ...(gone.min_thickness_mm === undefined ? [] : [t('scope.lost.min', { length: length(gone.min_thickness_mm) })]),
      ...(Array.isArray(gone.operations)
        ? [
            t('scope.lost.operations', {
              names: names(gone.operations.map((operation) => t(`operation.${operation}`))),
            }),
          ]
        : []),
      ...(gone.operations === true ? [t('scope.lost.everyOperation')] : []),
      ...(gone.max_diameter_mm === undefined ? [] : [t('scope.lost.max', { length: length(gone.max_diameter_mm) })]),
      ...(gone.companion ? [t('scope.lost.companion')] : []),
      ...(machines.length === 0 ? [] : [t('scope.lost.machines', { names: names(machines) })]),
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

  return { words, lost, request, material };
}
