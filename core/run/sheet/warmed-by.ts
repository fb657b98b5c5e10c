import { formatNumber } from '#base/units';
import type { VesselName } from '#matter/vessel';
import type { Live } from '#run/log';
import { riseOf } from '#run/technique';
import type { Sheet } from './sheet.ts';

/** An unplanned thing that warmed what it went into, by the heat that is booked for it. */
export interface Warmed {
  readonly vessel: string;
  readonly says: string;
}

/** What an unplanned thing set free at a step that is not over, where it is enough to boil and spit. */
export function warmedBy({ besides, now }: Sheet, live: Live): readonly Warmed[] {
  const over = new Set(live.flatMap(({ body }) => (body.kind === 'finished' ? [body.step] : [])));
  return besides.flatMap(({ step, in: place, name, heat }) => {
    const contents = now?.vessels[place as VesselName];
    if (!heat || !contents || over.has(step)) return [];
    const warmerK = riseOf(heat, contents).value;
    if (warmerK < SPITS_K) return [];
    const says = `${name} went into it: up to ${formatNumber(warmerK, 2)} K warmer, if it all came at once`;
    return [{ vessel: place, says }];
  });
}

/** K that mixing may warm by before it spits. */
const SPITS_K = 25;
