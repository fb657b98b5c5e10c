import { type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { exactReading } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import type { Content } from '#matter/stock';
import { add, at, holding, type Place, total } from '#matter/vessel';
import { type ActualAddition, type At, type Facts, roleOf } from '../facts.ts';
import { bookDilution } from '../heat.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { letReact, meetLeftOver, reactOn } from '../reacting.ts';
import { letDissolve } from '../solving.ts';
import { placeOf } from '../where.ts';
import { type Dose, measured } from './dose.ts';
import { contentFor, lotsOf, nameFor, plainWater } from './lots.ts';
import { massOfReading } from './mass.ts';
import type { fields } from './op.ts';
import { plannedMass } from './planned.ts';

/** Puts a role in: what was weighed, or what is planned; then what reacts as it goes in. */
export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const { facts } = step;
  const place = placeOf(op);
  const doing = begin(standing);
  const role = roleOf(facts, op.role);
  const content = facts.contents[op.role];
  const name = facts.names[op.role] ?? role.name;
  const dosed = step.going.takenThen.get(step.key) ?? plannedMass({ facts, standing, step, place }, op.role);
  const dose = measured(role, dosed, content ? content.density : facts.water, facts.bench);
  const lots = lotsOf(facts, step.entries.additions, op.role);
  const actual =
    lots.length > 0 ? total(`${name}, in all`, 'g', ...lots.map(({ mass }) => mass)) : nothingIn(step, name);
  // An addition that is still going on is computed to its dose.
  const goesOn =
    op.reacts !== undefined && !step.going.onlyDone && !isOver(step) && (actual?.value ?? 0) < dose.mass.value;
  const mass = actual && !goesOn ? actual : plannedAddition(dose, name, content, facts, step);
  // Lots of several bottles go in each as what it is; of one bottle, together.
  const mixed = !goesOn && lots.some((lot) => lot.content !== content);
  const puts = (mixed ? lots : [{ content, name, mass }]).map((lot) => ({
    own: lot.content?.substance.id === content?.substance.id,
    ...put(doing, facts, place, lot),
  }));
  const amount = total(`${name}, in all`, 'mol', ...puts.filter(({ own }) => own).map((each) => each.amount));
  const waterBrought = total('water brought', 'g', ...puts.map((each) => each.waterBrought));
  doing.additions.push({
    step: step.key,
    role: op.role,
    roleName: role.name,
    // Water comes from no bottle, whatever a plan says.
    bottleId: content ? (facts.bottles[op.role] ?? null) : null,
    name,
    dose,
    actual: lots.length > 0 || step.entries.skipped ? actual : undefined,
    amount,
    waterBrought,
    limiting: false,
  });
  if (facts.recipe.reactions.length === 0 && role.dose.by === 'extent')
    doing.progress = { ...doing.progress, extent: amount, limiting: content?.substance.species };
  if (content && mass.value > 0) meetLeftOver(doing, facts, place, content.substance.species);
  for (const reaction of op.reacts ?? []) letReact(doing, facts, place, reaction);
  return ok(doing);
}

const isOver = ({ entries }: At) => entries.finished || entries.skipped;

/** A product into a vessel: it mixes, dissolves as far as it can, and its heat is booked. */
function put(
  doing: Doing,
  facts: Facts,
  place: Place,
  { content, name, mass }: { content: Content | undefined; name: string; mass: Figure },
) {
  const before = at(doing.vessels, place);
  const added = add(before, content ? { ...content, name } : plainWater(), mass);
  doing.vessels = holding(doing.vessels, place, added.contents);
  if (content?.dissolved && before.waterG.value > 0)
    bookDilution(
      doing,
      { substance: content.substance, fromPct: content.w.value, amount: added.amount },
      added.contents,
    );
  // Nothing that goes in dissolves nothing.
  if (mass.value > 0) letDissolve(doing, facts, place, facts.bench.tempC);
  return added;
}

/** A step of adding that was skipped put nothing in; nor, as far as it is done, has one that is only planned. */
function nothingIn({ entries, going }: At, name: string): Figure | undefined {
  if (entries.skipped) return given({ symbol: 'm', name, unit: 'g' }, 0, 'skipped');
  if (going.onlyDone && !entries.finished) return given({ symbol: 'm', name, unit: 'g' }, 0, 'not yet in');
  return undefined;
}

function plannedAddition(dose: Dose, name: string, content: Content | undefined, facts: Facts, step: At): Figure {
  if (step.going.exact) return dose.mass;
  const reading = exactReading(dose.take.value, dose.take.unit);
  const of = { name, content, water: facts.water, bench: facts.bench, planned: true };
  return massOfReading(reading, of) ?? dose.mass;
}

/** Where a step works, and what it puts in by itself. */
export interface Own {
  readonly role: string | null;
  readonly place: Place;
  /** The step's own reaction goes on only as far as it is read. */
  readonly waits?: boolean;
}

/** What went in besides the step's own role: from any bottle, in the order it went in. Then what can react does. */
export function addUnplanned(doing: Doing, facts: Facts, additions: readonly ActualAddition[], own: Own): void {
  for (const each of additions) {
    if (each.role !== null && each.role === own.role) continue;
    const content = contentFor(facts, each);
    // A bottle whose strength cannot be is not counted as water.
    if (each.bottleId !== null && !content) continue;
    const name = nameFor(facts, each);
    const mass = massOfReading(each.reading, { name, content, water: facts.water, bench: facts.bench });
    if (!mass) continue;
    const into = each.in ?? own.place;
    const before = doing.heats.length;
    const { amount } = put(doing, facts, into, { content, name, mass });
    reactOn(doing, facts, into, own.waits);
    const heats = doing.heats.slice(before).map(({ heat }) => heat);
    doing.besides.push({
      bottleId: each.bottleId,
      name,
      substanceId: content?.substance.id ?? 'water',
      mass,
      amount: content ? amount : undefined,
      in: into,
      heat: heats.length > 0 ? total(`heat of ${name} that went in`, 'kJ', ...heats) : undefined,
    });
  }
}
