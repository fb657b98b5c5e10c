import type { TechniqueName } from '#run/technique';

/** What can be seen, smelt or felt, in the words of the one at the bench. */
export const observations = {
  gas: 'gas where none was expected',
  'brown-fume': 'brown fume',
  'green-gas': 'yellow-green gas',
  'white-fume': 'white fume or mist',
  foam: 'foam climbing',
  spatter: 'spitting or bumping',
  heat: 'sudden heat',
  cold: 'colder than expected',
  yellow: 'yellow or brown tint',
  green: 'green tint',
  blue: 'blue tint',
  violet: 'pink or violet tint',
  dark: 'dark or black specks',
  cloud: 'clouding',
  crust: 'a crust, or solid where none was expected',
  caking: 'caking, or one solid lump',
  'no-change': 'nothing happens',
  stall: 'it has stopped too early',
  'no-crystals': 'no crystals come',
  'slow-filter': 'it will not filter',
  'bleach-smell': 'a smell of bleach or swimming pool',
  'ammonia-smell': 'a smell of ammonia',
  'sulfur-smell': 'a choking, burnt smell',
  'egg-smell': 'a smell of rotten eggs',
  'vinegar-smell': 'a smell of vinegar',
  layer: 'an oily layer or film',
  current: 'the current falls',
  crack: 'a crack in the vessel',
  wet: 'it will not dry',
} as const;

export type Observation = keyof typeof observations;

export interface Cause {
  readonly observation: Observation;
  readonly cause: string;
  /** Groups of classes: one of each group must be in the vessel for it to fit. Empty: fits anything. */
  readonly needs: readonly (readonly string[])[];
  /** Balanced equation behind it, or empty where it is no reaction. */
  readonly via: string;
  /** stop: get away or stop now; act: do something soon; note: know it. */
  readonly danger: 'stop' | 'act' | 'note';
  /** For stop: what to do this moment. */
  readonly now: string;
  readonly check: string;
  readonly move: string;
  /** How often it is this, when it fits: 1 seldom to 3 mostly. */
  readonly weight: 1 | 2 | 3;
  /** Only while hot, or only in these kinds of step. */
  readonly overC: number | null;
  readonly techniques: readonly TechniqueName[];
  readonly source: string;
}
