import type { CountryRow } from '../country-row.ts';

/**
 * Countries whose rules and numbers to call are held, as published by their services; looked over in November 2026. Of the
 * European Union each country has its own poison centre: that is for the owner to enter.
 */
export const countryRows = {
  EU: { name: 'European Union', calls: [{ number: '112', what: 'emergency' }] },
  UK: {
    name: 'United Kingdom',
    calls: [
      { number: '999', what: 'emergency, or 112' },
      { number: '111', what: 'poison advice (NHS)' },
    ],
  },
  US: {
    name: 'United States',
    calls: [
      { number: '911', what: 'emergency' },
      { number: '1-800-222-1222', what: 'poison centre' },
    ],
  },
  CA: {
    name: 'Canada',
    calls: [
      { number: '911', what: 'emergency' },
      { number: '1-844-764-7669', what: 'poison centre; in Quebec 1-800-463-5060' },
    ],
  },
  AU: {
    name: 'Australia',
    calls: [
      { number: '000', what: 'emergency, or 112 from a mobile' },
      { number: '13 11 26', what: 'poison centre' },
    ],
  },
  elsewhere: { name: 'elsewhere', calls: [] },
} as const satisfies Readonly<Record<string, CountryRow>>;

export type Country = keyof typeof countryRows;

/** Where there are rules too, and none is held. */
type Elsewhere = 'elsewhere';
/** Whose rules are held. */
export type Jurisdiction = Exclude<Country, Elsewhere> | 'all';
