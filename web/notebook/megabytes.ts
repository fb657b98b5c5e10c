import { formatNumber } from '#base/units';

/** The size of a file as people say it. */
export function megabytes(bytes: number): string {
  return bytes < 1e5 ? `${Math.ceil(bytes / 1000)} kB` : `${formatNumber(bytes / 1e6, 3)} MB`;
}
