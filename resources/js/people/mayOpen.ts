import type { Role } from '@/api/useMe';
import type { RouteMeta } from 'vue-router';

/** Whether a page is for this role. What is on it is the server's to give; this keeps people from empty rooms. */
export function mayOpen({ roles }: RouteMeta, role: Role): boolean {
  return roles === undefined || roles.includes(role);
}
