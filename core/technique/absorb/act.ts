import { datum, derive, type Figure, given } from '#core/figure';
import { readingValue } from '#core/log';
import { ok, type Result } from '#core/problem';
import { molarVolume } from '#core/reaction';
import type { FieldsOf } from '#core/shape';
import { molarMassFigure, substanceOf } from '#core/substance';
import { at, type Contents, entriesOf, holding, withAmount } from '#core/vessel';
import { weighingSd } from '../add/mass.ts';
import { type At, controlFigure } from '../facts.ts';
import { liquidFigures } from '../liquid.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { letReact } from '../reacting.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';
import { answerFor, roomIn } from './stream.ts';

type Op = FieldsOf<typeof fields>;

/** Where gas goes: into the absorber, into the air, or nowhere. */
interface Shared {
  readonly taken: Figure;
  readonly stays: Figure;
  readonly escapes: Figure;
}

export function act(standing: Standing, op: Op, step: At): Result<Outcome> {
  const doing = begin(standing);
  const read = gainedRead(step);
  // Until something was weighed nothing says how far it has come.
  if (isUnderWay(step) && !read) return ok(doing);
  letReact(doing, step.facts, placeOf(op), op.reaction);
  // What the generator takes comes from the plate under it; what the absorber gives stands among the figures.
  doing.heats = [];
  const made = doing.gases.find(({ id }) => id === op.gas)?.amount;
  if (!made || !(made.value > 0)) return ok(doing);
  // What it could come to is all of the gas.
  const limiting = doing.progress.madeBy.get(op.gas);
  doing.progress = { ...doing.progress, extent: made, limiting: limiting ?? doing.progress.limiting };
  const absorber = at(doing.vessels, op.into);
  const shared = sharing(made, { absorber, op, step, read });
  doing.figures = figuresOf(absorber, op, { shared, made, step });
  goOver(doing, op, { shared, made, place: placeOf(op) });
  Object.assign(doing.figures, liquidFigures(doing.vessels, step.facts));
  return ok(doing);
}

/** g that the absorber weighs more. */
function gainedRead({ entries, facts }: At): Figure | undefined {
  const read = entries.readings.mass && readingValue(entries.readings.mass);
  if (read?.unit !== 'g' || !(read.value >= 0)) return undefined;
  // A difference of two weighings.
  const sd = Math.SQRT2 * weighingSd(facts.bench.balanceG);
  return given(
    { symbol: 'm', name: 'gained by the absorber', unit: 'g' },
    {
      value: read.value,
      uncertainty: { gained: { name: 'weighing the absorber, twice', effect: Math.max(read.sd, sd) } },
    },
    'weighed at the bench',
  );
}

interface Into {
  readonly absorber: Contents;
  readonly op: Op;
  readonly step: At;
  readonly read: Figure | undefined;
}

function sharing(made: Figure, { absorber, op, step, read }: Into): Shared {
  const { name } = substanceOf(op.gas);
  const naming = (what: string) => ({ symbol: 'n', name: `${name} ${what}`, unit: 'mol' });
  const arrives = arriving(controlFigure(step.facts, op.arrives));
  const M = molarMassFigure(substanceOf(op.gas).formula);
  const room = roomIn(absorber, op, controlFigure(step.facts, op.ceiling).value);
  const most = datum(naming('that the water takes at its ceiling'), room ?? made.value, {
    source: 'solubility at 1013 hPa, as tabulated',
    grade: 'B',
  });
  const taken = read
    ? derive(naming('taken up'), 'min(n₀; m ÷ M)', { 'n₀': made, m: read, M }, (x) => Math.min(x['n₀'], x.m / x.M))
    : derive(naming('taken up'), 'min(n₀ × set ÷ 100; r)', { 'n₀': made, set: arrives, r: most }, (x) =>
        Math.min((x['n₀'] * x.set) / 100, x.r),
      );
  const stays = derive(
    naming('that never left the generator'),
    'min(n₀ − n; n₀ × (100 − set) ÷ 100)',
    {
      'n₀': made,
      n: taken,
      set: arrives,
    },
    (x) => Math.max(0, Math.min(x['n₀'] - x.n, (x['n₀'] * (100 - x.set)) / 100)),
  );
  const escapes = derive(naming('that escapes'), 'n₀ − n − g', { 'n₀': made, n: taken, g: stays }, (x) =>
    Math.max(0, x['n₀'] - x.n - x.g),
  );
  return { taken, stays, escapes };
}

/** Per cent that is known so badly, whatever is set. */
const ARRIVES_SD = 8;

/** The part that arrives, with how badly it is known; all of it is all of it. */
function arriving(set: Figure): Figure {
  const effect = Math.min(ARRIVES_SD, 100 - set.value);
  const uncertainty = { arrives: { name: 'how much of the gas arrives', effect } };
  return { ...set, symbol: 'set', uncertainty };
}

/** From the air, where a reaction leaves its gas, to where it really went. */
function goOver(
  doing: Doing,
  op: Op,
  { shared, made, place }: { shared: Shared; made: Figure; place: ReturnType<typeof placeOf> },
): void {
  const air = at(doing.vessels, 'air');
  const had = air.gas[op.gas];
  if (had) {
    const before = derive({ symbol: 'n', name: had.name, unit: 'mol' }, 'h − n₀', { h: had, 'n₀': made }, (x) =>
      Math.max(0, x.h - x['n₀']),
    );
    const others = Object.fromEntries(entriesOf(air.gas).filter(([id]) => id !== op.gas));
    doing.vessels = holding(doing.vessels, 'air', { ...air, gas: { ...others, [op.gas]: before } });
    doing.vessels = holding(doing.vessels, 'air', withAmount(at(doing.vessels, 'air'), 'gas', op.gas, shared.escapes));
  }
  doing.vessels = holding(doing.vessels, place, withAmount(at(doing.vessels, place), 'gas', op.gas, shared.stays));
  const absorber = at(doing.vessels, op.into);
  doing.vessels = holding(doing.vessels, op.into, withAmount(absorber, 'aqueous', op.as, shared.taken));
}

function figuresOf(
  absorber: Contents,
  op: Op,
  { shared, made, step }: { shared: Shared; made: Figure; step: At },
): Record<string, Figure> {
  const { name, formula } = substanceOf(op.gas);
  const M = molarMassFigure(formula);
  const ceilingC = controlFigure(step.facts, op.ceiling).value;
  const found = answerFor(absorber, op, { mol: shared.taken.value, startC: step.facts.bench.tempC, ceilingC });
  const grams = (symbol: string, what: string, n: Figure) =>
    derive({ symbol, name: `${name} ${what}`, unit: 'g' }, 'n × M', { n, M }, (x) => x.n * x.M);
  const published = (naming: { symbol: string; name: string; unit: string }, value: number, sd: number) =>
    datum(
      naming,
      { value, uncertainty: { [naming.symbol]: { name: 'heat of absorption', effect: sd * value } } },
      { source: 'heats of absorption as published', grade: 'B' },
    );
  return {
    'absorbed.gained': grams('m', 'that the absorber gains', shared.taken),
    'absorbed.escapes': grams('m', 'that escapes', shared.escapes),
    'absorbed.gas': derive(
      { symbol: 'V', name: `${name} in all`, unit: 'L' },
      'n × Vm',
      {
        n: made,
        Vm: given({ symbol: 'Vm', name: 'molar volume', unit: 'L/mol' }, molarVolume(20, 1013.25), 'ideal gas'),
      },
      (x) => x.n * x.Vm,
    ),
    ...(found
      ? {
          'absorbed.heat': published(
            { symbol: 'Q', name: 'heat in the absorber', unit: 'kJ' },
            found.answer.heatKJ,
            0.02,
          ),
          'absorbed.ice': published(
            { symbol: 'm(ice)', name: 'ice that it takes', unit: 'g' },
            found.answer.iceG,
            0.07,
          ),
        }
      : {}),
  };
}
