import { datum, derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { molarVolume } from '#matter/reaction';
import { molarMassFigure, substanceOf } from '#matter/substance';
import { at, type Contents, contentsMass, entriesOf, holding, withAmount } from '#matter/vessel';
import { saltBeside } from '#model/dish';
import { weighingSd } from '../add/mass.ts';
import { type At, controlFigure } from '../facts.ts';
import { liquidFigures } from '../liquid.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { letReact, reactOn } from '../reacting.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import { allOfIt, dripIn, gasMade } from './dripped.ts';
import type { fields } from './op.ts';
import { type Shared, sharing } from './sharing.ts';
import { answerFor, lyeIn, roomIn, stopShare } from './stream.ts';

type Op = FieldsOf<typeof fields>;

export function act(standing: Standing, op: Op, step: At): Result<Outcome> {
  const doing = begin(standing);
  const read = gainedRead(step);
  // Until something was weighed, or dripped, nothing says how far it has come.
  if (isUnderWay(step) && !read && !(op.drips && step.entries.readings.dripped)) return ok(doing);
  const absorber = at(doing.vessels, op.into);
  const along = op.along ? controlFigure(step.facts, op.along).value / 100 : 0;
  const ceilingC = controlFigure(step.facts, op.ceiling).value;
  const room = roomIn(absorber, op, { ceilingC, along });
  const ofGas = substanceOf(op.gas);
  const all = op.drips ? allOfIt(doing, op, step) : undefined;
  const wanted = all && wantedFor(op, { step, room, read, all });
  const came = dripIn(doing, op, { step, wanted });
  const made = gasMade(doing, op, step);
  // What the generator takes comes from the plate under it; what the absorber gives stands among the figures.
  doing.heats = [];
  if (!made || !(made.value > 0)) return ok(doing);
  const shared = sharing(made, { op, step, read, room, along: came });
  doing.figures = figuresOf(absorber, op, { shared, made, step, along, ceilingC });
  goOver(doing, op, { shared, made, step });
  // What it could come to is all of the gas; of crystals, all that the lye takes.
  const most = op.takes && step.facts.recipe.makes.kind === 'solid' && room !== null && room < made.value;
  // Where not all of the reagent is to go in, the lye says when to stop.
  const byLye = most || (op.takes !== undefined && all !== undefined && made.value < all.value * ALL_OF_IT);
  const limiting = byLye ? lyeIn(absorber, op)?.substanceId : doing.progress.madeBy.get(op.gas);
  const extent = most
    ? given({ symbol: 'n', name: `${ofGas.name} that the lye takes`, unit: 'mol' }, room, 'the lye that stood there')
    : made;
  doing.progress = { ...doing.progress, extent, limiting: limiting ?? doing.progress.limiting };
  Object.assign(doing.figures, liquidFigures(doing.vessels, step.facts));
  return ok(doing);
}

/** Less than this of what all of it would make is not all of it. */
const ALL_OF_IT = 0.999;

/** mol of gas that are to be made: for what was weighed, or for what the absorber is led to. */
function wantedFor(
  op: Op,
  { step, room, read, all }: { step: At; room: number | null; read: Figure | undefined; all: Figure },
): Figure | undefined {
  const naming = { symbol: 'n', name: `${substanceOf(op.gas).name} wanted`, unit: 'mol' };
  const arrives = controlFigure(step.facts, op.arrives);
  if (read) {
    const M = molarMassFigure(substanceOf(op.gas).formula);
    return derive(naming, '100 × m ÷ (M × set)', { m: read, M, set: arrives }, (x) => (100 * x.m) / (x.M * x.set));
  }
  if (room === null) return undefined;
  const most = given(
    { symbol: 'r', name: 'that the absorber is led to', unit: 'mol' },
    room * stopShare(op),
    'its lye',
  );
  return derive(naming, 'min(n₀; 100 × r ÷ set)', { 'n₀': all, r: most, set: arrives }, (x) =>
    Math.min(x['n₀'], (100 * x.r) / x.set),
  );
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

/** From the air, where a reaction leaves its gas, to where it really went. */
function goOver(doing: Doing, op: Op, { shared, made, step }: { shared: Shared; made: Figure; step: At }): void {
  const air = at(doing.vessels, 'air');
  const place = placeOf(op);
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
  const as = op.takes ? op.gas : op.as;
  doing.vessels = holding(doing.vessels, op.into, withAmount(absorber, 'aqueous', as, shared.taken));
  if (!op.takes) return;
  // Acid first: it takes its lye before the gas does. Their heat stands among the figures.
  reactOn(doing, step.facts, op.into);
  letReact(doing, step.facts, op.into, op.takes);
  doing.heats = [];
  saltFalls(doing, op);
}

/** Sodium chloride that strong lye and hypochlorite do not hold any longer: about, as beside lye alone of the same sodium. */
function saltFalls(doing: Doing, op: Op): void {
  const absorber = at(doing.vessels, op.into);
  const water = absorber.waterG;
  const salt = absorber.aqueous['sodium-chloride'];
  if (!salt || !(water.value > 0)) return;
  const sodium = (id: 'sodium-hydroxide' | 'sodium-hypochlorite') => absorber.aqueous[id]?.value ?? 0;
  const beside = saltBeside(
    'NaOH',
    (1000 * (sodium('sodium-hydroxide') + sodium('sodium-hypochlorite'))) / water.value,
  );
  if (!beside.ok) {
    doing.notKnown.push({ what: 'solubility', says: 'How much salt stays dissolved in lye so strong is not held.' });
    return;
  }
  const { gPer100gWater, source, grade } = beside.value;
  const holds = datum(
    { symbol: 's', name: 'sodium chloride that 100 g of water hold there', unit: 'g' },
    {
      value: gPer100gWater,
      uncertainty: { salt: { name: 'salt beside lye and hypochlorite', effect: gPer100gWater / 8 } },
    },
    { source, grade },
  );
  const M = molarMassFigure('NaCl');
  const down = derive(
    { symbol: 'n', name: 'sodium chloride that falls', unit: 'mol' },
    'max(0; n − s × W ÷ (100 × M))',
    { n: salt, s: holds, W: water, M },
    (x) => Math.max(0, x.n - (x.s * x.W) / (100 * x.M)),
  );
  doing.figures = { ...doing.figures, 'absorbed.salt': grams('sodium chloride that falls', down, M) };
  if (!(down.value > 0)) return;
  doing.figures = { ...doing.figures, 'absorbed.slurry': slurryOf(absorber, down, M) };
  const stays = derive({ symbol: 'n', name: 'sodium chloride', unit: 'mol' }, 'n − d', { n: salt, d: down }, (x) =>
    Math.max(0, x.n - x.d),
  );
  const less = { ...absorber, aqueous: { ...absorber.aqueous, 'sodium-chloride': stays } };
  doing.vessels = holding(doing.vessels, op.into, withAmount(less, 'solid', 'sodium-chloride', down));
}

/** Mass % of solid in what stands there: up to about 20 it pours and stirs, past 30 it sets. */
const slurryOf = (absorber: Contents, down: Figure, M: Figure): Figure =>
  derive(
    { symbol: 's', name: 'solid in the slurry', unit: '%' },
    '100 × n × M ÷ m',
    {
      n: down,
      M,
      m: given({ symbol: 'm', name: 'all that stands there', unit: 'g' }, contentsMass(absorber), 'what went in'),
    },
    (x) => (100 * x.n * x.M) / x.m,
  );

const grams = (name: string, n: Figure, M: Figure): Figure =>
  derive({ symbol: 'm', name, unit: 'g' }, 'n × M', { n, M }, (x) => x.n * x.M);

function figuresOf(
  absorber: Contents,
  op: Op,
  { shared, made, step, along, ceilingC }: { shared: Shared; made: Figure; step: At; along: number; ceilingC: number },
): Record<string, Figure> {
  const { name, formula } = substanceOf(op.gas);
  const M = molarMassFigure(formula);
  const asked = { startC: step.facts.bench.tempC, ceilingC, along, mlPerMin: null, waits: null };
  const found = answerFor(absorber, op, { mol: shared.taken.value, ...asked });
  const published = (naming: { symbol: string; name: string; unit: string }, value: number, sd: number) =>
    datum(
      naming,
      { value, uncertainty: { [naming.symbol]: { name: 'heat of absorption', effect: sd * value } } },
      { source: 'heats of absorption as published', grade: 'B' },
    );
  const gas = grams(`${name} that the absorber gains`, shared.taken, M);
  const acid = shared.along && grams('acid that comes along', shared.along, molarMassFigure('HCl'));
  return {
    'absorbed.gained': acid
      ? derive(
          { symbol: 'm', name: 'that the absorber gains', unit: 'g' },
          'g + a',
          { g: gas, a: acid },
          (x) => x.g + x.a,
        )
      : gas,
    'absorbed.escapes': grams(`${name} that escapes`, shared.escapes, M),
    'absorbed.gas': derive(
      { symbol: 'V', name: `${name} in all`, unit: 'L' },
      'n × Vm',
      {
        n: made,
        Vm: given({ symbol: 'Vm', name: 'molar volume', unit: 'L/mol' }, molarVolume(20, 1013.25), 'ideal gas'),
      },
      (x) => x.n * x.Vm,
    ),
    ...(op.takes ? guarding(made) : {}),
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

/** Lye in a second absorber that takes all of the gas, should the first fail. */
function guarding(made: Figure): Record<string, Figure> {
  const M = molarMassFigure('NaOH');
  return {
    'absorbed.guard': derive(
      { symbol: 'm', name: 'sodium hydroxide for all of the gas', unit: 'g' },
      '2 × 1.2 × n × M',
      { n: made, M },
      (x) => 2.4 * x.n * x.M,
    ),
  };
}
