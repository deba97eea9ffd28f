const DAY =
  Number(process.env.MILLSTEP_DAY) || Math.floor((Date.now() - Date.UTC(new Date().getUTCFullYear())) / 86_400_000);

/**
 * One in so many of what a sweep walks over all pages, by the day of the year (MILLSTEP_DAY says another),; all of them by
 * bin/test --long.
 */
export function drawn<T>(all: readonly T[], share: number): T[] {
  return process.env.MILLSTEP_LONG === 'yes' ? [...all] : all.filter((_, place) => (place + DAY) % share === 0);
}
