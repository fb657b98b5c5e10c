import { useEffect, useState } from 'react';
import type { Spread } from '#base/figure';
import type { Plan } from '#run/plan';
import { door } from './door.ts';

let tokens = 0;

/** The spread of a plan's result by Monte Carlo; a newer plan drops the one under way. Undefined while it is computed. */
export function useSpread(plan: Plan): Spread | undefined {
  const [state, setState] = useState<{ plan: Plan; spread: Spread }>();
  useEffect(() => {
    let alive = true;
    const token = ++tokens;
    void (async () => {
      const spread = await door().spread(plan, token);
      if (alive && spread) setState({ plan, spread });
    })();
    return () => {
      alive = false;
      void door().drop(token);
    };
  }, [plan]);
  return state?.plan === plan ? state.spread : undefined;
}
