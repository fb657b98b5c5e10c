import { type Figure, given } from '#base/figure';
import { at, dissolve, holding, type Place } from '#matter/vessel';
import { solubilityFigure, solubilityRange } from '#model/dish';
import type { Facts } from './facts.ts';
import { bookDissolving } from './heat.ts';
import type { Doing } from './outcome.ts';

/** Lets what lies in a vessel dissolve as far as its water holds it at a temperature, and books its heat. */
export function letDissolve(doing: Doing, { tables }: Facts, place: Place, tempC: number): void {
  const before = at(doing.vessels, place);
  const temp = given({ symbol: 'T', name: 'temperature', unit: '°C' }, tempC, 'of the step');
  const { contents, dissolved } = dissolve(before, (species): Figure | undefined => {
    const range = solubilityRange(species, tables);
    if (!range) return undefined;
    const inside = Math.min(range[1], Math.max(range[0], tempC));
    return solubilityFigure(species, inside === tempC ? temp : { ...temp, value: inside }, tables);
  });
  if (dissolved.length === 0) return;
  doing.vessels = holding(doing.vessels, place, contents);
  bookDissolving(doing, dissolved, contents);
}
