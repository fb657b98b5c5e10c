import { derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { molarMassFigure, substanceOf } from '#matter/substance';
import { at, holding, phases, total, withAmount } from '#matter/vessel';
import { coldFigure, solubilityFigure, solubilityOf } from '#model/dish';
import { weighingSd } from '../add/mass.ts';
import { type At, controlFigure, settingOf } from '../facts.ts';
import { liquidFigures } from '../liquid.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;

/** Per cent that a share in the cold is known to, whatever is set. */
const SHARE_SD = 8;

/** What the liquor does not hold lies at the bottom. */
export function act(standing: Standing, op: Op, step: At): Result<Outcome> {
  const doing = begin(standing);
  const place = placeOf(op);
  const before = at(standing.vessels, place);
  const phase = phases.find((each) => each !== 'solid' && (before[each][op.substanceId]?.value ?? 0) > 0);
  const n = phase && before[phase][op.substanceId];
  if (!phase || !n) return ok(doing);
  const down =
    weighed(step, op, n) ?? bySolubility(doing, op, { step, n, W: before.waterG }) ?? byShare(doing, op, { step, n });
  const M = molarMassFigure(substanceOf(op.substanceId).formula);
  doing.figures = {
    'fallen.mass': derive(
      { symbol: 'm', name: `${substanceOf(op.substanceId).name} that falls`, unit: 'g' },
      'n × M',
      { n: down, M },
      (x) => x.n * x.M,
    ),
  };
  if (isUnderWay(step)) return ok(doing);
  const stays = derive(
    { symbol: 'n', name: `${substanceOf(op.substanceId).name} in the liquor`, unit: 'mol' },
    'n₀ − n',
    { 'n₀': n, n: down },
    (x) => Math.max(0, x['n₀'] - x.n),
  );
  // Of an intermediate, what stays in the liquor could have become product: it counts in what there could have been.
  if (op.share) {
    const { extent } = doing.progress;
    doing.progress = {
      ...doing.progress,
      extent: extent ? total('extent of reaction, in all', 'mol', extent, stays) : stays,
    };
  }
  const less = { ...before, [phase]: { ...before[phase], [op.substanceId]: stays } };
  doing.vessels = holding(doing.vessels, place, withAmount(less, 'solid', op.substanceId, down));
  Object.assign(doing.figures, liquidFigures(doing.vessels, step.facts));
  return ok(doing);
}

const naming = (op: Op) =>
  ({ symbol: 'n', name: `${substanceOf(op.substanceId).name} that falls`, unit: 'mol' }) as const;

/** As it was weighed dry; wet it says nothing yet. */
function weighed({ entries, facts }: At, op: Op, n: Figure): Figure | undefined {
  const read = entries.readings.mass && readingValue(entries.readings.mass);
  if (read?.unit !== 'g' || !entries.dryMass || !(read.value >= 0)) return undefined;
  const m = given(
    { symbol: 'm', name: 'weighed dry', unit: 'g' },
    {
      value: read.value,
      uncertainty: {
        fallen: { name: 'weighing what fell', effect: Math.max(read.sd, weighingSd(facts.bench.balanceG)) },
      },
    },
    'weighed at the bench',
  );
  const M = molarMassFigure(substanceOf(op.substanceId).formula);
  return derive(naming(op), 'min(n₀; m ÷ M)', { 'n₀': n, m, M }, (x) => Math.min(x['n₀'], x.m / x.M));
}

/** By its solubility in water alone: beside other salts of its ions less stays. */
function bySolubility(
  doing: Doing,
  op: Op,
  { step, n, W }: { readonly step: At; readonly n: Figure; readonly W: Figure },
): Figure | undefined {
  if (!op.cold) return undefined;
  const species = substanceOf(op.substanceId);
  const coldC = settingOf(step.facts, op.cold);
  if (!solubilityOf(species, coldC, step.facts.tables).ok) {
    doing.notKnown.push({ what: 'solubility', says: `No solubility is held for ${species.name} at that temperature.` });
    return undefined;
  }
  const s = solubilityFigure(species, coldFigure(coldC), step.facts.tables);
  const M = molarMassFigure(species.formula);
  return derive(naming(op), 'max(0; n − s × W ÷ (100 × M))', { n, s, W, M }, (x) =>
    Math.max(0, x.n - (x.s * x.W) / (100 * x.M)),
  );
}

/** By what usually falls; nothing where neither is said. */
function byShare(doing: Doing, op: Op, { step, n }: { readonly step: At; readonly n: Figure }): Figure {
  if (!op.share) return given(naming(op), 0, 'nothing says how much falls');
  const { name } = substanceOf(op.substanceId);
  doing.notKnown.push({
    what: 'solubility',
    says: `No solubility is held for ${name}: how much of it falls is what usually does. Dry and weigh it to know.`,
  });
  const set = controlFigure(step.facts, op.share);
  const effect = Math.min(SHARE_SD, set.value, 100 - set.value);
  const share = { ...set, symbol: 'set', uncertainty: { share: { name: 'how much of it falls', effect } } };
  return derive(naming(op), 'n × set ÷ 100', { n, set: share }, (x) => (x.n * x.set) / 100);
}
