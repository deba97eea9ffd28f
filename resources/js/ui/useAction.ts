import { Refused } from '@/api/client';
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
  return { run: mutate, runAsync: mutateAsync, busy: isPending, error, fieldErrors, reset, failures: failureCount };
}
