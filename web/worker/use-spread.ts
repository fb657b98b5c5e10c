import { useEffect, useState } from 'react';
import type { Spread } from '#base/figure';
import type { Plan } from '#run/plan';
import { askWorker } from './door.ts';

let tokens = 0;

/** The spread of a plan's result by Monte Carlo; a newer plan drops the one under way. Undefined while it is computed. */
export function useSpread(plan: Plan): Spread | undefined {
  const [state, setState] = useState<{ plan: Plan; spread: Spread }>();
  useEffect(() => {
    let alive = true;
    const token = ++tokens;
    void (async () => {
      // Where it cannot be had, the first-order uncertainty stands alone.
      const spread = await askWorker(async (door) => await door.spread(plan, token)).catch(() => null);
      if (alive && spread) setState({ plan, spread });
    })();
    return () => {
      alive = false;
      void askWorker(async (door) => await door.drop(token)).catch(() => undefined);
    };
  }, [plan]);
  return state?.plan === plan ? state.spread : undefined;
}
