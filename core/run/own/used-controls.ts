import type { Route } from '#run/route';
import { referencesOf } from '#run/technique';

/** Controls that a dose, a step or a method of the route hangs on. */
export function usedControls({ roles, steps }: Pick<Route, 'roles' | 'steps'>): ReadonlySet<string> {
  return new Set([
    ...roles.flatMap(({ dose }) =>
      (['control', 'spare', 'excessControl'] as const).flatMap((key) =>
        key in dose ? [String(dose[key as keyof typeof dose])] : [],
      ),
    ),
    ...steps.flatMap(({ op, only }) => [...(referencesOf(op).controls ?? []), ...(only ? [only.control] : [])]),
  ]);
}
