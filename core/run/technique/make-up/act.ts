import { derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { densityFigure } from '#matter/solution';
import { molarMass, molarMassFigure } from '#matter/substance';
import { amountOf, at, type Contents, contentsMass, holding, slurryVolume } from '#matter/vessel';
import { finalMass } from '../add/planned.ts';
import { waterAt } from '../at-volume.ts';
import { AS_IT_REALLY_IS, type At, wantedFigure } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const { facts } = step;
  const doing = begin(standing);
  const place = placeOf(op);
  const contents = at(standing.vessels, place);
  const { substance } = facts.target;
  const n = amountOf(contents, substance.id);
  if (!n || n.value <= 0) return ok(doing);
  const M = molarMassFigure(substance.formula);
  const w = wantedFigure(facts);
  const rho = densityFigure(substance, w, facts.bench.tempC);
  if (!rho.ok) return rho;
  const mass = finalMass(facts, n);
  const planned = derive(
    { symbol: 'V', name: 'volume to make up to', unit: 'mL' },
    'm₁ ÷ ρ',
    { 'm₁': mass, ρ: rho.value },
    (x) => x['m₁'] / x.ρ,
  );
  const read = step.entries.readings.volume;
  const found = read ? readingValue(read) : undefined;
  // Made up to nothing is a slip of the pen, not a volume.
  const value = found && found.value > 0.001 ? found : overTheMark(contents, planned, step);
  const filled = given(
    { symbol: 'V', name: value ? 'volume it was made up to' : 'made up to', unit: 'mL' },
    {
      value: value?.value ?? planned.value,
      uncertainty: {
        mark: { name: 'reading the mark', effect: Math.max((value?.value ?? planned.value) * 0.005, value?.sd ?? 0) },
      },
    },
    value ? 'read at the bench' : 'as planned; a jug mark is good to 1 %',
  );
  const titrated = titratedPct(step);
  const strength = titrated
    ? derive(
        { symbol: 'c', name: `strength of the ${substance.name} made, as titrated`, unit: 'mol/L' },
        '10 × ρ × w ÷ M',
        { ρ: rho.value, w: titrated, M },
        (x) => (10 * x.ρ * x.w) / x.M,
      )
    : derive(
        { symbol: 'c', name: `strength of the ${substance.name} made`, unit: 'mol/L' },
        '1000 × n ÷ V',
        { n, V: filled },
        (x) => (1000 * x.n) / x.V,
      );
  const weighed = derive(
    { symbol: 'w', name: 'strength by mass', unit: '%' },
    '100 × n × M ÷ (V × ρ)',
    { n, M, V: filled, ρ: rho.value },
    (x) => (100 * x.n * x.M) / (x.V * x.ρ),
  );
  const toMark = waterToMark(contents, filled, { step, asPlanned: mass, rho: rho.value });
  // A mark that was read says how much water there is; what was there is never less for being made up.
  const isRead = facts.tables >= AS_IT_REALLY_IS && found !== undefined && value === found;
  const waterG = given(
    { symbol: 'm(water)', name: 'water', unit: 'g' },
    isRead ? Math.max(0, toMark) : Math.max(contents.waterG.value, toMark),
    'made up to the mark',
  );
  doing.vessels = holding(doing.vessels, place, { ...contents, waterG });
  doing.figures = {
    'made.volume': planned,
    'made.filled': filled,
    'made.mass': step.facts.tables >= AS_IT_REALLY_IS ? massOf(at(doing.vessels, place)) : mass,
    'made.strength': strength,
    'made.pct': titrated ?? weighed,
    'made.water': derive(
      { symbol: 'm(water)', name: 'water to the mark', unit: 'g' },
      'W − W₀',
      { W: waterG, 'W₀': contents.waterG },
      (x) => x.W - x['W₀'],
    ),
  };
  return ok(doing);
}

/** More than this share over the mark it was not made up, but too full before. */
const OVER = 0.03;

/** A vessel that stood above its mark before any water was added: it stands there. */
function overTheMark(
  contents: Contents,
  planned: Figure,
  { facts }: At,
): { readonly value: number; readonly sd: number } | undefined {
  if (facts.tables < AS_IT_REALLY_IS) return undefined;
  const value = slurryVolume(contents, facts.tables);
  return value > planned.value * (1 + OVER) ? { value, sd: 0.03 * value } : undefined;
}

/** g of water at the mark: by the density of what was planned, where it is that; else by what is in it, within 4 %. */
function waterToMark(
  contents: Contents,
  filled: Figure,
  { step: { facts }, asPlanned, rho }: { readonly step: At; readonly asPlanned: Figure; readonly rho: Figure },
): number {
  const others = contentsMass(contents) - contents.waterG.value;
  const all = filled.value * rho.value;
  const { substance } = facts.target;
  const besides = others - (amountOf(contents, substance.id)?.value ?? 0) * molarMass(substance.formula);
  const isPlanned = Math.abs(all / asPlanned.value - 1) < OVER && besides < OVER * all;
  return facts.tables < AS_IT_REALLY_IS || isPlanned ? all - others : waterAt(contents, filled, facts).value;
}

/** g of all that stands at the mark. */
function massOf(contents: Contents): Figure {
  const { value, uncertainty } = contents.waterG;
  const all = { value: contentsMass(contents), uncertainty };
  return value > 0
    ? given({ symbol: 'm', name: 'mass of what was made', unit: 'g' }, all, 'as it stands there')
    : contents.waterG;
}

/** What titrating a portion found, mass %: it takes the place of what the weighings come to. */
function titratedPct({ entries }: At): Figure | undefined {
  const read = entries.readings.strength;
  const found = read ? readingValue(read) : undefined;
  if (!found || !(found.value > 0 && found.value <= 100)) return undefined;
  const source = { 'read:strength': { name: 'titration of a portion', effect: found.sd } };
  return given(
    { symbol: 'w', name: 'strength, titrated', unit: '%' },
    { value: found.value, uncertainty: source },
    'titrated at the bench',
  );
}
