import { derive, type Figure, given } from '#base/figure';
import { entryOf, itemAt, must, numberAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { formatPlain } from '#base/units';
import { molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import {
  at,
  type Contents,
  emptyContents,
  entriesOf,
  holding,
  liquidVolume,
  poured,
  speciesAmount,
  waterWhenDissolved,
} from '#matter/vessel';
import { type SaltPair, saltsDown } from '#model/dish';
import { type At, controlFigure } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl } from '../product.ts';
import { fallenTo, isUnderWay, readFigure } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;
const SYMBOLS = ['n₁', 'n₂', 'n₃', 'n₄'] as const;
const LAW = {
  source: 'each salt held to its own solubility, ions not minding each other: amounts may be off by a third',
  grade: 'C' as const,
};

/** Lets a reciprocal salt pair come to rest at a temperature: what crystallises is filtered off, or is the crop. */
export function act(standing: Standing, op: Op, step: At): Result<Outcome> {
  const { facts } = step;
  const doing = begin(standing);
  const place = placeOf(op);
  const before = at(standing.vessels, place);
  const set = controlFigure(facts, op.control);
  const naming = { symbol: 'T', name: 'the temperature at rest', unit: '°C' };
  const read = readFigure(step.entries.readings.temperature, naming, 1);
  const ended = fallenTo(step, 'temperature', { read, goal: set });
  if (!ended && isUnderWay(step)) return ok(doing);
  const inputs: Record<string, Figure> = { W: waterWhenDissolved(before), T: ended ?? set };
  for (const [i, id] of op.salts.entries())
    inputs[itemAt(SYMBOLS, i)] =
      speciesAmount(before, id) ?? given({ symbol: 'n', name: id, unit: 'mol' }, 0, 'none of it');
  const settle = settlerOf(op.salts, facts.tables);
  if (ended && !settle(valuesOf(inputs))) {
    doing.notKnown.push({
      what: 'solubility',
      says: `The solubilities of this salt pair are not known at ${formatPlain(ended.value)} °C: taken as at ${formatPlain(set.value)} °C.`,
    });
    inputs.T = set;
  }
  if (!settle(valuesOf(inputs)))
    return fail('out-of-range', 'At that temperature the solubilities of this salt pair are not known.', {
      field: `controls.${op.control}`,
    });
  const solid = substanceOf(op.drops);
  const which = op.salts.indexOf(op.drops);
  const dropped = derive(
    { symbol: 'n', name: `${solid.name} that crystallises`, unit: 'mol' },
    'the salt pair at rest at T',
    inputs,
    (x) => settle(x)?.down[which] ?? Number.NaN,
    LAW,
  );
  const kept = Object.fromEntries(
    op.salts.map((id, i) => [
      id,
      derive(
        { symbol: 'n', name: `${substanceOf(id).name} in the liquor`, unit: 'mol' },
        'the salt pair at rest at T',
        inputs,
        (x) => settle(x)?.left[i] ?? Number.NaN,
        LAW,
      ),
    ]),
  );
  const others = op.salts.flatMap((id, i): readonly [SubstanceId, Figure][] => {
    if (i === which) return [];
    const n = derive(
      { symbol: 'n', name: `${substanceOf(id).name} that crystallises with it`, unit: 'mol' },
      'the salt pair at rest at T',
      inputs,
      (x) => settle(x)?.down[i] ?? Number.NaN,
      LAW,
    );
    return n.value > 0 ? [[id, n]] : [];
  });
  const M = molarMassFigure(solid.formula);
  const mass = derive(
    { symbol: 'm', name: `${solid.name} that crystallises`, unit: 'g' },
    'n × M',
    { n: dropped, M },
    (x) => x.n * x.M,
  );
  const crop = { ...Object.fromEntries(others), [op.drops]: dropped };
  const liquor = restOf(before, op.salts, kept, must(inputs.W, 'W'));
  if (op.crop) {
    const rested: Contents = { ...liquor, solid: { ...liquor.solid, ...crop } };
    doing.vessels = holding(doing.vessels, place, rested);
    doing.figures = {
      'crystals.mass': mass,
      'liquor.volume': aboutMl('mother liquor', liquidVolume(liquor, facts.tables)),
    };
  } else {
    doing.vessels = poured(holding(doing.vessels, place, liquor), 'paper', { ...emptyContents, solid: crop });
    doing.figures = { 'salt.mass': mass };
  }
  return ok(doing);
}

/** The liquor: its salts as the ions left are counted, everything else as it was. */
function restOf(
  before: Contents,
  salts: readonly SubstanceId[],
  kept: Readonly<Record<string, Figure>>,
  waterG: Figure,
): Contents {
  const without = (of: Contents['solid']) =>
    Object.fromEntries(entriesOf(of).filter(([id]) => !salts.includes(substanceOf(id).species)));
  return { ...before, waterG, solid: without(before.solid), aqueous: { ...without(before.aqueous), ...kept } };
}

function valuesOf(figures: Readonly<Record<string, Figure>>): Record<string, number> {
  return Object.fromEntries(Object.entries(figures).map(([key, figure]) => [key, figure.value]));
}

type Settled = ReturnType<typeof settled>;

/** Several figures of a step ask for the same rest, one after the other: it is found once for the same amounts. */
function settlerOf(salts: readonly SubstanceId[], tables: number): (x: Readonly<Record<string, number>>) => Settled {
  const last: number[] = [];
  let found: Settled;
  return (x) => {
    const now = [...SYMBOLS.map((symbol) => entryOf(x, symbol)), must(x.W, 'W'), must(x.T, 'T')];
    if (last.length === 0 || now.some((value, i) => value !== last[i])) {
      last.splice(0, last.length, ...now);
      found = settled(salts, tables, x);
    }
    return found;
  };
}

/** mol of each salt that crystallises, and of each that the liquor can be counted as. */
function settled(
  ids: readonly SubstanceId[],
  tables: number,
  x: Readonly<Record<string, number>>,
): { down: readonly number[]; left: readonly number[] } | undefined {
  const [ax = 0, ay = 0, bx = 0, by = 0] = SYMBOLS.map((symbol) => Math.max(0, entryOf(x, symbol)));
  const [a1, a2, b1, b2] = ids.map(substanceOf);
  if (!a1 || !a2 || !b1 || !b2) return undefined;
  const salts: SaltPair['salts'] = [a1, a2, b1, b2];
  const ions = [ax + ay, bx + by, ax + bx, ay + by] as const;
  const found = saltsDown({ salts, ions, waterG: Math.max(1e-6, must(x.W, 'W')), tables }, must(x.T, 'T'));
  if (!found.ok) return undefined;
  const down = found.value.map(({ mol }) => mol);
  const [a, b] = [ions[0] - numberAt(down, 0) - numberAt(down, 1), ions[1] - numberAt(down, 2) - numberAt(down, 3)];
  const y = ions[3] - numberAt(down, 1) - numberAt(down, 3);
  // Any way of pairing the ions left is as good: the wanted salt first.
  const leftBy = Math.min(b, y);
  const leftAy = y - leftBy;
  return { down, left: [a - leftAy, leftAy, b - leftBy, leftBy].map((mol) => Math.max(0, mol)) };
}
