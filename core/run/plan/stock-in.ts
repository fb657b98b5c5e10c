import type { BottleThen } from '#matter/stock';
import type { Plan } from './plan.ts';

/** A bottle of a plan as it stood then; ids come from files too, and one named like a member of every object is none. */
export function stockIn({ stock }: Pick<Plan, 'stock'>, bottleId: string | null | undefined): BottleThen | undefined {
  return bottleId && Object.hasOwn(stock, bottleId) ? stock[bottleId] : undefined;
}
