import { api, must, type Schemas } from '@/api/client';
import { useAction } from '@/ui/useAction';
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

export function useRemovePlan(done: (plan: Schemas['PlanEntry']) => unknown) {
  return useAction(
    (plan: Schemas['PlanEntry']) =>
      must(api.DELETE('/api/planning/plans/{plan}', { params: { path: { plan: plan.id } } })),
    (_nothing, plan) => done(plan),
  );
}

export function useRestorePlan() {
  return useAction((id: string) =>
    must(api.POST('/api/planning/plans/{plan}/restoration', { params: { path: { plan: id } } })),
  );
}
