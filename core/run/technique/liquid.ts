import { derive, type Figure, given } from '#base/figure';
import { molarMassFigure, substanceOf } from '#matter/substance';
import { amountOf, at, contentsMass, liquidVolume, type Vessels } from '#matter/vessel';
import type { Facts } from './facts.ts';
import { aboutMl } from './product.ts';

/** What the product of a recipe that makes a liquid comes to, as it stands in its vessel; none before any is there. */
export function liquidFigures(vessels: Vessels, { recipe, tables }: Facts): Record<string, Figure> {
  const { makes } = recipe;
  if (makes.kind !== 'liquid') return {};
  const contents = at(vessels, makes.vessel);
  const { name, formula } = substanceOf(makes.substanceId);
  const n = amountOf(contents, makes.substanceId);
  if (!n || !(n.value > 0)) return {};
  const M = molarMassFigure(formula);
  const mass = derive({ symbol: 'm', name: `${name} in it`, unit: 'g' }, 'n × M', { n, M }, (x) => x.n * x.M);
  const W = contents.waterG;
  // Salt and dirt beside it weigh, and are not what counts.
  const rest = contentsMass(contents) - W.value - mass.value;
  const besides = given(
    { symbol: 'o', name: 'what else is in it', unit: 'g' },
    Math.max(0, rest),
    'salt and dirt that came along',
  );
  const all = derive(
    { symbol: 'm', name: `the ${name}, as it came`, unit: 'g' },
    'm + W + o',
    { m: mass, W, o: besides },
    (x) => x.m + x.W + x.o,
  );
  return {
    'product.mass': mass,
    'product.all': all,
    'product.pct': derive(
      { symbol: 'w', name: `strength of the ${name}`, unit: '%' },
      '100 × m ÷ a',
      { m: mass, a: all },
      (x) => (100 * x.m) / x.a,
    ),
    'product.volume': aboutMl(`the ${name}, as it came`, liquidVolume(contents, tables)),
  };
}
