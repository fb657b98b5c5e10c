import { type SaltPair, saltsDown } from '#core/dish';
import { derive, type Figure, given } from '#core/figure';
import { fail, ok, type Result } from '#core/problem';
import type { Op } from '#core/route';
import { molarMassFigure, substanceById } from '#core/substance';
import { liquidVolume } from '#core/vessel';
import { controlFigure } from './context.ts';
import type { Walker } from './walker.ts';

type PairOp = Extract<Op, { do: 'pair' }>;
const SYMBOLS = ['n₁', 'n₂', 'n₃', 'n₄'] as const;
const LAW = {
  source: 'each salt held to its own solubility, ions not minding each other: amounts may be off by a third',
  grade: 'C' as const,
};

/** Lets a reciprocal salt pair come to rest at a temperature: what comes down is filtered off, or is the crop. */
export function pairStep({ context, so }: Walker, op: PairOp): Result<true> {
  const temp = controlFigure(context, op.control);
  const inputs: Record<string, Figure> = { W: so.contents.waterG, T: temp };
  for (const [i, id] of op.salts.entries())
    inputs[SYMBOLS[i]!] = so.contents.amounts[id] ?? given({ symbol: 'n', name: id, unit: 'mol' }, 0, 'none of it');
  const settle = settlerOf(op);
  const now = settle(inputsOf(inputs));
  if (!now)
    return fail('out-of-range', 'At that temperature the solubilities of this pair are not known.', {
      field: `controls.${op.control}`,
    });
  const at = op.salts.indexOf(op.drops);
  const solid = substanceById(op.drops)!;
  const down = derive(
    { symbol: 'n', name: `${solid.name} that comes down`, unit: 'mol' },
    'the pair at rest at T',
    inputs,
    (x) => settle(x)?.down[at] ?? Number.NaN,
    LAW,
  );
  const kept = Object.fromEntries(
    op.salts.map((id, i) => [
      id,
      derive(
        { symbol: 'n', name: `${substanceById(id)!.name} in the liquor`, unit: 'mol' },
        'the pair at rest at T',
        inputs,
        (x) => settle(x)?.left[i] ?? Number.NaN,
        LAW,
      ),
    ]),
  );
  const M = molarMassFigure(solid.formula);
  const mass = derive(
    { symbol: 'm', name: `${solid.name} that comes down`, unit: 'g' },
    'n × M',
    { n: down, M },
    (x) => x.n * x.M,
  );
  if (op.crop) {
    so.crystals = mass;
    so.liquorMl = liquidVolume({ ...so.contents, amounts: kept });
    // What was caught stands beside what stays dissolved until it is filtered off.
    so.contents = {
      ...so.contents,
      amounts: { ...so.contents.amounts, ...kept, [op.drops]: so.contents.amounts[op.drops] ?? down },
    };
  } else so.contents = { ...so.contents, amounts: { ...so.contents.amounts, ...kept } };
  return ok(true);
}

function inputsOf(figures: Readonly<Record<string, Figure>>): Record<string, number> {
  return Object.fromEntries(Object.entries(figures).map(([key, figure]) => [key, figure.value]));
}

type Settled = ReturnType<typeof settled>;

/** Five figures of a step ask for the same rest, one after the other: it is found once for the same amounts. */
function settlerOf(op: PairOp): (x: Readonly<Record<string, number>>) => Settled {
  const last: number[] = [];
  let found: Settled;
  return (x) => {
    const now = [...SYMBOLS.map((symbol) => x[symbol]!), x.W!, x.T!];
    if (last.length === 0 || now.some((value, i) => value !== last[i])) {
      last.splice(0, last.length, ...now);
      found = settled(op, x);
    }
    return found;
  };
}

/** mol of each salt that comes down, and of each that the liquor can be counted as. */
function settled(
  op: PairOp,
  x: Readonly<Record<string, number>>,
): { down: readonly number[]; left: readonly number[] } | undefined {
  const [ax = 0, ay = 0, bx = 0, by = 0] = SYMBOLS.map((symbol) => Math.max(0, x[symbol]!));
  const salts = op.salts.map((id) => substanceById(id)!) as unknown as SaltPair['salts'];
  const ions = [ax + ay, bx + by, ax + bx, ay + by] as const;
  const found = saltsDown({ salts, ions, waterG: Math.max(1e-6, x.W!) }, x.T!);
  if (!found.ok) return undefined;
  const down = found.value.map(({ mol }) => mol);
  const [a, b] = [ions[0] - down[0]! - down[1]!, ions[1] - down[2]! - down[3]!];
  const y = ions[3] - down[1]! - down[3]!;
  // Any way of pairing the ions left is as good: the wanted salt first.
  const leftBy = Math.min(b, y);
  const leftAy = y - leftBy;
  return { down, left: [a - leftAy, leftAy, b - leftBy, leftBy].map((mol) => Math.max(0, mol)) };
}
