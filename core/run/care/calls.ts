import { countryRows } from '#matter/data';
import type { Bench } from '#matter/gear';

/** A number to call. */
export interface Call {
  readonly number: string;
  readonly what: string;
}

/** Whom to call from here: one’s own entries first after the emergency number; what is not known is said to be missing. */
export function callsOf({ country, calls }: Pick<Bench, 'country' | 'calls'>): readonly Call[] {
  const known: readonly Call[] = country ? countryRows[country].calls : [];
  const emergency = known[0] ?? {
    number: 'your emergency number',
    what: country ? 'none is held for your country' : 'choose your country in your bench',
  };
  const poison = calls?.poison ? [{ number: calls.poison, what: 'poison centre' }] : known.slice(1);
  const missing =
    poison.length > 0 ? poison : [{ number: 'your poison centre', what: 'not entered yet: write it in your bench' }];
  const checkIn = calls?.checkIn ? [{ number: calls.checkIn, what: 'your check-in' }] : [];
  const other = calls?.other ? [{ number: calls.other, what: 'your own entry' }] : [];
  return [emergency, ...missing, ...checkIn, ...other];
}
