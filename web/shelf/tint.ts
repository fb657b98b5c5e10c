// Colours of contents by substance, as words of the palette; the rest are white if solid, clear if liquid.
const TINTS: Readonly<Record<string, string>> = {
  'hydrochloric-acid': 'straw',
  'sodium-hypochlorite': 'lime',
  'copper-sulfate-pentahydrate': 'blue',
  'iron-sulfate-heptahydrate': 'green',
  zinc: 'grey',
  copper: 'amber',
};
const LIQUIDS = /-acid$|^ammonia$|peroxide$|hypochlorite$|ethanol|propanol|acetone/;

export function tintOf(substanceId: string): string {
  return TINTS[substanceId] ?? (LIQUIDS.test(substanceId) ? 'clear' : 'white');
}
