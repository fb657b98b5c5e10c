import type { BottleCard } from './bottle.ts';

/** The day from which its strength ages: when it was last measured, else when it was bought or made. */
export function strengthSince({ since, measured }: BottleCard): string {
  return measured?.day ?? since;
}
