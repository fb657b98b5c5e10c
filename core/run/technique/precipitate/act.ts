import { derive } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { molarMassFigure } from '#matter/substance';
import { at, slurryVolume, UNDISSOLVED_ML_PER_G } from '#matter/vessel';
import { type At, solidMade } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl } from '../product.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

/** What an insoluble product has come to. */
export function act(standing: Standing, op: FieldsOf<typeof fields>, { facts }: At): Result<Outcome> {
  const doing = begin(standing);
  const contents = at(standing.vessels, placeOf(op));
  const made = solidMade(facts);
  const n = made && contents.solid[made.solid.id];
  if (!made || !n) return ok(doing);
  const M = molarMassFigure(made.solid.formula);
  const crystals = derive(
    { symbol: 'm(solid)', name: `${made.solid.name}, about`, unit: 'g' },
    'n × M',
    { n, M },
    (x) => x.n * x.M,
    { source: 'as its usual formula; basic carbonates vary by several percent', grade: 'C' },
  );
  const liquor = Math.max(0, slurryVolume(contents, facts.tables) - crystals.value * UNDISSOLVED_ML_PER_G);
  doing.figures = { 'crystals.mass': crystals, 'liquor.volume': aboutMl('mother liquor', liquor) };
  return ok(doing);
}
