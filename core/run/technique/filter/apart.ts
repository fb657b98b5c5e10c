import { datum, derive, given } from '#base/figure';
import { type Contents, contentsMass, emptyContents, parted, phaseG } from '#matter/vessel';

/** What runs through, and what stays on the paper: solids, and the dirt. */
export function apart(contents: Contents): { readonly filtrate: Contents; readonly cake: Contents } {
  return {
    filtrate: { ...contents, solid: {}, inertG: emptyContents.inertG },
    cake: { ...emptyContents, solid: contents.solid, inertG: contents.inertG },
  };
}

/** Half as much again, or half as much: how well a cake was pressed and rinsed. */
const SPREAD = 0.25;

/** The liquor that a cake keeps, `holds` g for each g of it; the rest runs through. Never more than half of all there is. */
export function heldByCake(
  filtrate: Contents,
  cake: Contents,
  holds: number,
): { readonly through: Contents; readonly held: Contents } {
  const solidG = phaseG(cake.solid);
  const liquidG = contentsMass(filtrate);
  if (!(holds > 0) || !(solidG > 0) || !(liquidG > 0)) return { through: filtrate, held: emptyContents };
  const h = datum(
    { symbol: 'h', name: 'liquor that the cake keeps', unit: 'g/g' },
    { value: holds, uncertainty: { 'cake:holds': { name: 'liquor that the cake keeps', effect: SPREAD * holds } } },
    { source: 'rule of thumb for a pressed, rinsed cake, to be replaced by your own weighings', grade: 'C' },
  );
  const kept = derive(
    { symbol: 'kept', name: 'part of the liquor that runs through', unit: '' },
    'max(0.5; 1 − h × c ÷ L)',
    {
      h,
      c: given({ symbol: 'c', name: 'cake', unit: 'g' }, solidG, 'computed'),
      L: given({ symbol: 'L', name: 'liquor', unit: 'g' }, liquidG, 'computed'),
    },
    (x) => Math.max(0.5, 1 - (x.h * x.c) / x.L),
  );
  const { kept: through, gone: held } = parted(filtrate, kept);
  return { through, held };
}
