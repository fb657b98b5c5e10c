import { isGasFormula, type Phrase, type Stuff, strengthPct, unitSentence } from '#ask/phrase';
import { derive, type Figure, given } from '#base/figure';
import { must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { findUnit } from '#base/units';
import { densityFigure, hasDensity } from '#matter/solution';
import { molarMassFigure } from '#matter/substance';

/** Gas constant in L hPa/(mol K). */
const R = 83.14462618;

/** An amount of a pure substance, a solution or a gas, in another unit: g, mL, mol or any of their kin. */
export function convertAmount(stuff: Stuff, phrase: Phrase): Result<Figure> {
  const { amount, substance } = stuff;
  if (!amount) return fail('missing-part', 'How much of it? Put an amount before it, such as 12.5 g.', { at: [0, 0] });
  const unit = findUnit(phrase.wanted ?? 'mol');
  if (!unit || !['mass', 'volume', 'amount'].includes(unit.dimension)) {
    return fail(
      'unit-does-not-fit',
      unitSentence(phrase.wanted ?? '', ['g', 'kg', 'mL', 'L', 'mol', 'mmol']),
      phrase.wantedAt ? { at: phrase.wantedAt } : {},
    );
  }
  const pct = strengthPct(stuff, phrase);
  if (!pct.ok) return pct;
  const isGas =
    isGasFormula(substance.formula) &&
    pct.value === undefined &&
    (amount.dimension === 'volume' || unit.dimension === 'volume');
  const moles = isGas ? gasMoles(stuff, phrase) : solidMoles(stuff, pct.value, phrase);
  if (!moles.ok) return moles;
  const result =
    isGas && unit.dimension === 'volume'
      ? gasVolume(moles.value, phrase)
      : fromMoles(moles.value, stuff, pct.value, unit.dimension as 'mass', phrase);
  if (!result.ok) return result;
  return ok(inUnit(result.value, unit.factor, unit.name));
}

function asked({ amount: typed }: Stuff): Figure {
  const amount = must(typed, 'amount');
  const naming = { mass: ['m', 'mass', 'g'], volume: ['V', 'volume', 'mL'], amount: ['n', 'amount', 'mol'] } as const;
  const [symbol, name, unit] = naming[amount.dimension];
  return given({ symbol, name, unit }, amount.value, 'as typed');
}

function gasMoles(stuff: Stuff, phrase: Phrase): Result<Figure> {
  const start = asked(stuff);
  if (stuff.amount?.dimension === 'amount') return ok(start);
  if (stuff.amount?.dimension === 'mass') return solidMoles(stuff, undefined, phrase);
  const [T, p] = conditions(phrase);
  return ok(
    derive(
      { symbol: 'n', name: `${stuff.substance.name}, amount`, unit: 'mol' },
      'V ÷ 1000 × p ÷ (83.145 × T)',
      { V: start, p, T },
      (x) => ((x.V / 1000) * x.p) / (R * x.T),
      { source: 'ideal gas law', grade: 'A' },
    ),
  );
}

function gasVolume(moles: Figure, phrase: Phrase): Result<Figure> {
  const [T, p] = conditions(phrase);
  return ok(
    derive(
      { symbol: 'V', name: 'volume of gas', unit: 'mL' },
      '1000 × 83.145 × n × T ÷ p',
      { n: moles, T, p },
      (x) => (1000 * R * x.n * x.T) / x.p,
      { source: 'ideal gas law', grade: 'A' },
    ),
  );
}

function conditions(phrase: Phrase): readonly [Figure, Figure] {
  return [
    given(
      { symbol: 'T', name: 'temperature', unit: 'K' },
      phrase.tempC + 273.15,
      phrase.tempGiven ? 'as typed' : '20 °C unless said',
    ),
    given({ symbol: 'p', name: 'pressure', unit: 'hPa' }, phrase.pressureHPa, '1013.25 hPa unless said'),
  ];
}

/** mol of the substance in an amount of it, pure or in solution; not of a gas by its volume. */
export function molesOf(stuff: Stuff, phrase: Phrase): Result<Figure> {
  const pct = strengthPct(stuff, phrase);
  return pct.ok ? solidMoles(stuff, pct.value, phrase) : pct;
}

/** What holds so many mol of it, as g or mL of the substance or of its solution. */
export function holding(moles: Figure, stuff: Stuff, dimension: 'mass' | 'volume', phrase: Phrase): Result<Figure> {
  const pct = strengthPct(stuff, phrase);
  return pct.ok ? fromMoles(moles, stuff, pct.value, dimension, phrase) : pct;
}

function solidMoles(stuff: Stuff, pct: number | undefined, phrase: Phrase): Result<Figure> {
  const start = asked(stuff);
  if (stuff.amount?.dimension === 'amount') return ok(start);
  const mass = massOf(stuff, start, pct, phrase);
  if (!mass.ok) return mass;
  const M = molarMassFigure(stuff.substance.formula);
  const naming = { symbol: 'n', name: `${stuff.substance.name}, amount`, unit: 'mol' };
  if (pct === undefined) return ok(derive(naming, 'm ÷ M', { m: mass.value, M }, (x) => x.m / x.M));
  const w = percent(pct);
  return ok(derive(naming, 'm × w ÷ (100 × M)', { m: mass.value, w, M }, (x) => (x.m * x.w) / (100 * x.M)));
}

function massOf(stuff: Stuff, start: Figure, pct: number | undefined, phrase: Phrase): Result<Figure> {
  if (stuff.amount?.dimension === 'mass') return ok(start);
  const rho = densityHere(stuff, pct, phrase);
  if (!rho.ok) return rho;
  return ok(derive({ symbol: 'm', name: 'mass', unit: 'g' }, 'V × ρ', { V: start, ρ: rho.value }, (x) => x.V * x.ρ));
}

function densityHere({ substance }: Stuff, pct: number | undefined, phrase: Phrase): Result<Figure> {
  if (!hasDensity(substance))
    return fail('no-density', `A volume of ${substance.name} needs its density, which is not held; give its mass.`);
  if (pct === undefined && substance.form !== 'liquid') {
    return fail('missing-part', `How strong? A volume of ${substance.name} solution needs a strength, such as 10 %.`);
  }
  return densityFigure(substance, percent(pct ?? (substance.id === 'water' ? 0 : 100)), phrase.tempC);
}

function fromMoles(
  moles: Figure,
  stuff: Stuff,
  pct: number | undefined,
  dimension: 'mass' | 'volume' | 'amount',
  phrase: Phrase,
): Result<Figure> {
  if (dimension === 'amount') return ok(moles);
  const M = molarMassFigure(stuff.substance.formula);
  const pure = {
    symbol: 'm',
    name: pct === undefined ? stuff.substance.name : `${stuff.substance.name} solution`,
    unit: 'g',
  };
  const mass =
    pct === undefined
      ? derive(pure, 'n × M', { n: moles, M }, (x) => x.n * x.M)
      : derive(pure, '100 × n × M ÷ w', { n: moles, M, w: percent(pct) }, (x) => (100 * x.n * x.M) / x.w);
  if (dimension === 'mass') return ok(mass);
  const rho = densityHere(stuff, pct, phrase);
  if (!rho.ok) return rho;
  return ok(derive({ symbol: 'V', name: 'volume', unit: 'mL' }, 'm ÷ ρ', { m: mass, ρ: rho.value }, (x) => x.m / x.ρ));
}

function percent(pct: number): Figure {
  return given({ symbol: 'w', name: 'strength by mass', unit: '%' }, pct, 'as typed, by mass');
}

/** The figure in a unit of the same dimension. */
export function inUnit(figure: Figure, factor: number, unit: string): Figure {
  if (factor === 1) return { ...figure, unit };
  const x = figure;
  return derive({ symbol: figure.symbol, name: figure.name, unit }, `x ÷ ${factor}`, { x }, (v) => v.x / factor);
}
