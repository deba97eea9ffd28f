import { api, must, type Schemas } from '@/api/client';
import { useCommand } from '@/ui/useCommand';
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
    queryFn: () => must(api.GET('/api/content/plan-choices')),
    staleTime: 60_000,
  });
}

type Input = Schemas['SavePlan'] & { id?: string };

/** Saves a plan under its id, or under a new one. */
export function useSavePlan(done: (plan: Schemas['SavedPlan']) => unknown) {
  // A new plan keeps its id until it is saved, however often that is tried.
  let fresh = uuid();
  const command = useCommand<Input, Schemas['SavedPlan']>(
    ({ id, ...body }) => ({
      about: `plan:${id ?? fresh}`,
      method: 'PUT',
      path: `/api/planning/plans/${id ?? fresh}`,
      body,
      label: { key: 'outbox.plan', words: { what: body.name } },
    }),
    (plan) => {
      fresh = uuid();
      return done(plan);
    },
  );
  return command;
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
