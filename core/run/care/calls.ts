import type { Bench, Country } from '#matter/gear';

/** A number to call. */
export interface Call {
  readonly number: string;
  readonly what: string;
}

/**
 * Emergency numbers and poison centres by country, as published by their services; looked over in November 2026. Of the
 * European Union each country has its own poison centre: that is for the owner to enter.
 */
const BY_COUNTRY: Readonly<Record<Country, readonly Call[]>> = {
  EU: [{ number: '112', what: 'emergency' }],
  UK: [
    { number: '999', what: 'emergency, or 112' },
    { number: '111', what: 'poison advice (NHS)' },
  ],
  US: [
    { number: '911', what: 'emergency' },
    { number: '1-800-222-1222', what: 'poison centre' },
  ],
  CA: [
    { number: '911', what: 'emergency' },
    { number: '1-844-764-7669', what: 'poison centre; in Quebec 1-800-463-5060' },
  ],
  AU: [
    { number: '000', what: 'emergency, or 112 from a mobile' },
    { number: '13 11 26', what: 'poison centre' },
  ],
  elsewhere: [],
};

/** Whom to call from here: one’s own entries first after the emergency number; what is not known is said to be missing. */
export function callsOf({ country, calls }: Pick<Bench, 'country' | 'calls'>): readonly Call[] {
  const known = country ? BY_COUNTRY[country] : [];
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
