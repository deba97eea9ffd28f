import type { PlanKind } from '@/planning/drafts';
import { useAction } from '@/ui/useAction';
import { FROM, Refused, speaker } from '@/api/client';

export type Format = 'svg' | 'dxf' | 'csv';

/** Fetches a file of a plan and hands it to the browser to keep. */
export function useDownload(kind: PlanKind) {
  return useAction(async ({ format, request, name }: { format: Format; request: unknown; name: string }) => {
    const token = decodeURIComponent(document.cookie.match(/(?:^|; )XSRF-TOKEN=([^;]+)/)?.[1] ?? '');
    const response = await fetch(`/api/planning/${kind}/files/${format}`, {
      method: 'POST',
      headers: {
        'Content-Type': 'application/json',
        Accept: 'application/json',
        'X-XSRF-TOKEN': token,
        [FROM]: String(speaker() ?? ''),
      },
      body: JSON.stringify(request),
    });
    if (!response.ok) {
      const problem = (await response.json().catch(() => ({}))) as { message?: string };
      throw new Refused(problem.message ?? response.statusText, response.status, undefined, {});
    }
    const link = document.createElement('a');
    link.href = URL.createObjectURL(await response.blob());
    link.download = `${name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase() || kind}.${format}`;
    link.click();
    URL.revokeObjectURL(link.href);
  });
}
