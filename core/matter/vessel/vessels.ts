import type { Figure } from '#base/figure';
import type { SubstanceId } from '#matter/substance';
import { type Contents, contentsMass, emptyContents, together, withAmount } from './contents.ts';

/** The vessels that a run can hold, by name; a step says from which to which. `pot` is the one it works in. */
export const vesselNames = [
  'pot',
  'liquor',
  'paper',
  'dish',
  'jar',
  'funnel',
  'receiver 1',
  'receiver 2',
  'receiver 3',
  'receiver 4',
  'absorber',
  'condenser',
  'anode side',
  'cathode side',
] as const;

/** Where things go that are no longer in any vessel: into the air, out as test portions, poured off elsewhere, or found to lack. */
export const awayNames = ['air', 'samples', 'elsewhere', 'unfound'] as const;

export type VesselName = (typeof vesselNames)[number];
export type Place = VesselName | (typeof awayNames)[number];

/** What each vessel of a run holds, and what has gone. Mass is kept over all places, in every step. */
export type Vessels = Readonly<Partial<Record<Place, Contents>>>;

/** What a place holds; nothing where nothing was put yet. */
export function at(vessels: Vessels, place: Place): Contents {
  return vessels[place] ?? emptyContents;
}

/** The vessels with what one of them now holds. */
export function holding(vessels: Vessels, place: Place, contents: Contents): Vessels {
  return { ...vessels, [place]: contents };
}

/** The vessels with more in one of them. */
export function poured(vessels: Vessels, place: Place, contents: Contents): Vessels {
  const had = vessels[place];
  return { ...vessels, [place]: had ? together(had, contents) : contents };
}

/** Water that left as steam; less than none is water that came in and was not entered. */
export function steamedOff(vessels: Vessels, waterG: Figure): Vessels {
  return waterG.value !== 0 ? poured(vessels, 'air', { ...emptyContents, waterG }) : vessels;
}

/** Gas that was led off. */
export function ledOff(vessels: Vessels, gases: readonly { id: SubstanceId; amount: Figure }[]): Vessels {
  return gases.reduce(
    (now, { id, amount }) => holding(now, 'air', withAmount(at(now, 'air'), 'gas', id, amount)),
    vessels,
  );
}

/** g over all places. */
export function massOverAll(vessels: Vessels): number {
  return Object.values(vessels).reduce((sum, contents) => sum + (contents ? contentsMass(contents) : 0), 0);
}
