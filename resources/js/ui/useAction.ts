import { GaveUp, Refused, Unreachable } from '@/api/client';
import { useMutation, useQueryClient } from '@tanstack/vue-query';
import { computed } from 'vue';

/**
 * Something that writes. Says when it is under way, keeps the refusal with its fields, and has everything
 * that was read before read again once it is done.
 */
export function useAction<Input, Output>(
  write: (input: Input) => Promise<Output>,
  done?: (output: Output, input: Input) => unknown,
) {
  const client = useQueryClient();
  const { mutate, mutateAsync, isPending, error, reset, failureCount } = useMutation({
    mutationFn: write,
    onSuccess: async (output, input) => {
      await done?.(output, input);
      await client.invalidateQueries();
    },
  });
  const fieldErrors = computed<Record<string, string[]>>(() =>
    error.value instanceof Refused ? error.value.errors : {},
  );
  const told = computed(() => (error.value instanceof Unreachable ? new GaveUp('gave up') : error.value));
  return {
    run: mutate,
    runAsync: mutateAsync,
    busy: isPending,
    error: told,
    fieldErrors,
    reset,
    failures: failureCount,
  };
}
