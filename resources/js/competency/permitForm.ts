import type { Schemas } from '@/api/client';
import { asTyped } from '@/measure/asTyped';
import { typedNumber } from '@/ui/typedNumber';

type Permit = Schemas['PermitDefinition'];

/** A permit as its editor holds it: numbers as they are typed. */
export const emptyPermit = () => ({
  code: '',
  name: '',
  lessons: [] as string[],
  guided: [] as string[],
  checks: [] as string[],
  assessments: [] as string[],
  prerequisites: [] as string[],
  practice_count: '0',
  practice_minutes: '0',
  recency_days: '',
  renewal_check_days: '',
  materials: [] as string[],
  operations: [] as string[],
  max_diameter: '',
  min_thickness: '',
  companion: false,
  further: false,
  validity_days: '365',
  machines: [] as number[],
  signers: [] as number[],
  ground: '',
  authorised_until: '',
  authorised_machines: [] as number[],
  supervisors: [] as number[],
  statement: '',
  grace_days: '14',
  later_days: '90',
});

export type PermitForm = ReturnType<typeof emptyPermit>;

const typed = (value: number | null | undefined) => (value == null ? '' : String(value));
const number = (text: string) => (typedNumber(text) ?? null) as number | null;

export function formOf(permit: Permit): PermitForm {
  const { requirement, scope } = permit;
  return {
    ...emptyPermit(),
    code: permit.code,
    name: permit.name,
    lessons: requirement.lessons,
    guided: requirement.guided,
    checks: requirement.checks,
    assessments: requirement.assessments,
    prerequisites: requirement.prerequisites,
    practice_count: typed(requirement.practice_count),
    practice_minutes: typed(requirement.practice_minutes),
    recency_days: typed(requirement.recency_days),
    renewal_check_days: typed(requirement.renewal_check_days),
    materials: scope.materials ?? [],
    operations: scope.operations ?? [],
    max_diameter: asTyped(scope.max_diameter_mm),
    min_thickness: asTyped(scope.min_thickness_mm),
    companion: scope.companion ?? false,
    further: permit.further,
    validity_days: typed(permit.validity_days),
    machines: permit.machines,
    signers: permit.signers,
    supervisors: permit.supervisors,
    statement: permit.statement,
  };
}

export function asGiven(form: PermitForm): Schemas['PermitGiven'] {
  return {
    name: form.name,
    requirement: {
      lessons: form.lessons,
      guided: form.guided.filter((code) => !form.lessons.includes(code)),
      checks: form.checks,
      assessments: form.assessments,
      prerequisites: form.prerequisites,
      practice_count: number(form.practice_count) as number,
      practice_minutes: number(form.practice_minutes) as number,
      recency_days: number(form.recency_days),
      renewal_check_days: number(form.renewal_check_days),
    },
    scope: {
      materials: form.materials,
      operations: form.operations,
      max_diameter: form.max_diameter || null,
      min_thickness: form.min_thickness || null,
      companion: form.companion,
    },
    validity_days: number(form.validity_days) as number,
    further: form.further,
    statement: form.statement,
    grace_days: number(form.grace_days) ?? 0,
    later_days: number(form.later_days) ?? 0,
    machines: form.machines,
    signers: form.signers,
    ...(form.ground.trim()
      ? {
          authorising: {
            ground: form.ground.trim(),
            until: form.authorised_until || null,
            machines: form.authorised_machines,
          },
        }
      : {}),
    supervisors: form.supervisors.filter((id) => !form.signers.includes(id)),
  };
}

/** Whether it asks for something that was not asked before. */
export function asksForMore(form: PermitForm, permit: Permit): boolean {
  const lists = ['lessons', 'guided', 'checks', 'assessments', 'prerequisites'] as const;
  return lists.some((list) => form[list].some((code) => !(permit.requirement[list] ?? []).includes(code)));
}
