import { api, must, type Schemas } from '@/api/client';
import { useAction } from '@/ui/useAction';
import { useRemoval } from '@/ui/useRemoval';
import { useQuery } from '@tanstack/vue-query';
import { v7 as uuid } from 'uuid';

/** The saved plans that one may see. */
export function usePlans() {
  return useQuery({ queryKey: ['plans'], queryFn: () => must(api.GET('/api/planning/plans')) });
}

export function usePlan(id: string) {
  return useQuery({
    queryKey: ['saved-plan', id],
    queryFn: () => must(api.GET('/api/planning/plans/{plan}', { params: { path: { plan: id } } })),
    staleTime: 0,
  });
}

export function usePlanChoices() {
  return useQuery({
    queryKey: ['plan-choices'],
    queryFn: () => must(api.GET('/api/planning/choices')),
    staleTime: 60_000,
  });
}

type Input = Schemas['SavePlan'] & { id?: string };

/** Saves a plan under its id, or under a new one. */
export function useSavePlan(done: (plan: Schemas['SavedPlan']) => unknown) {
  return useAction(
    ({ id, ...body }: Input) =>
      must(api.PUT('/api/planning/plans/{plan}', { params: { path: { plan: id ?? uuid() } }, body })),
    (plan) => done(plan as Schemas['SavedPlan']),
  );
}

/** Takes a saved plan away and gives it back; says when one has gone. */
export function usePlanRemoval(gone: (plan: Schemas['PlanEntry']) => unknown) {
  const at = (plan: Schemas['PlanEntry']) => ({ params: { path: { plan: plan.id } } });
  return useRemoval(
    async (plan: Schemas['PlanEntry']) => {
      await must(api.DELETE('/api/planning/plans/{plan}', at(plan)));
      gone(plan);
    },
    (plan) => must(api.POST('/api/planning/plans/{plan}/restoration', at(plan))),
  );
}
