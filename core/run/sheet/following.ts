import { derive, type Figure } from '#base/figure';
import { molarMassFigure } from '#matter/substance';
import { at, type Place, total } from '#matter/vessel';
import { type Doing, type Facts, type Standing, solidMade } from '#run/technique';

/** Figures that say how much of the product stands there as a solid. */
const FOLLOW = ['crystals.mass', 'product.mass'];
/** mol: less than this is the noise of sums. */
const NOTHING = 1e-12;

/**
 * Does something to a vessel that its step did not foresee. What precipitates or dissolves of a product that is already solid
 * there changes the figures that say how much of it there is.
 */
export function following(
  doing: Doing,
  { facts, place, standing }: { readonly facts: Facts; readonly place: Place; readonly standing: Standing },
  change: () => void,
): void {
  const made = solidMade(facts);
  const solid = () => (made ? at(doing.vessels, place).solid[made.solid.id] : undefined);
  const before = solid();
  change();
  const now = solid();
  if (!made || Math.abs((now?.value ?? 0) - (before?.value ?? 0)) < NOTHING) return;
  const M = molarMassFigure(made.solid.formula);
  const grams = (n: Figure, sign: 1 | -1) =>
    derive(
      { symbol: 'm', name: `${made.solid.name} ${sign > 0 ? 'that stands there' : 'that stood there'}`, unit: 'g' },
      sign > 0 ? 'n × M' : '−n × M',
      { n, M },
      (x) => sign * x.n * x.M,
    );
  for (const name of FOLLOW) {
    const figure = name in doing.figures ? doing.figures[name] : standing.figures[name];
    if (!figure) continue;
    const parts = [figure, ...(now ? [grams(now, 1)] : []), ...(before ? [grams(before, -1)] : [])];
    doing.figures = { ...doing.figures, [name]: total(figure.name, 'g', ...parts) };
  }
}
