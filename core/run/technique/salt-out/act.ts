import { derive } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { molarMassFigure, type SubstanceId } from '#matter/substance';
import { at, holding, withAmount } from '#matter/vessel';
import { saltInAcidAt } from '#model/dish';
import { type At, controlFigure } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

const SALTS: readonly (readonly [SubstanceId, 'NaCl' | 'KCl'])[] = [
  ['sodium-chloride', 'NaCl'],
  ['potassium-chloride', 'KCl'],
];

/** What the cold acid does not hold of its chloride lies at the bottom. Sulfuric acid beside it helps, and is not counted. */
export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const doing = begin(standing);
  const place = placeOf(op);
  const before = at(standing.vessels, place);
  const tempC = controlFigure(step.facts, op.control);
  const acid = before.aqueous['hydrochloric-acid'];
  const found = SALTS.flatMap(([id, salt]) => {
    const n = before.aqueous[id];
    return n && n.value > 0 ? [{ id, salt, n }] : [];
  })[0];
  if (!found || !acid) return ok(doing);
  const { id, salt, n } = found;
  const M = molarMassFigure(salt);
  const down = derive(
    { symbol: 'n', name: 'salt that falls', unit: 'mol' },
    'max(0; n₀ − s(T; c ÷ W) × W ÷ M)',
    { 'n₀': n, T: tempC, c: acid, W: before.waterG, M },
    (x) =>
      Math.max(
        0,
        x['n₀'] - (saltInAcidAt(salt, x.T, (1000 * Math.max(0, x.c)) / Math.max(1e-6, x.W)) * x.W) / 100 / x.M,
      ),
    { source: 'salt in cold hydrochloric acid, Engel; Akerlof and Turck', grade: 'C' },
  );
  doing.figures = {
    'salt.down': derive({ symbol: 'm', name: 'salt that falls', unit: 'g' }, 'n × M', { n: down, M }, (x) => x.n * x.M),
  };
  if (isUnderWay(step)) return ok(doing);
  const rest = derive(
    { symbol: 'n', name: 'salt that stays dissolved', unit: 'mol' },
    'n₀ − n',
    { 'n₀': n, n: down },
    (x) => x['n₀'] - x.n,
  );
  const liquid = { ...before, aqueous: { ...before.aqueous, [id]: rest } };
  doing.vessels = holding(doing.vessels, place, withAmount(liquid, 'solid', id, down));
  doing.figures = {
    ...doing.figures,
    'salt.left': derive(
      { symbol: 'x', name: 'of the salt that stays dissolved', unit: '%' },
      '100 × n ÷ n₀',
      { n: rest, 'n₀': n },
      (x) => (100 * x.n) / x['n₀'],
    ),
  };
  return ok(doing);
}
