import { type Problem, problem } from '#base/problem';
import { fields, nullable, number, type Of, one, text } from '#base/shape';
import { formatPlain } from '#base/units';
import { Claims, readSize, readStrength, readSubstance } from '#matter/label';
import { massFraction, type Strength, strengthUnits } from '#matter/solution';
import { strengthShape } from '#matter/stock';
import { type SubstanceId, substance, substanceOf } from '#matter/substance';

/** What is wanted: so much of a substance, at a strength for a solution; or whatever a given amount of a reagent makes. */
export const targetShape = fields({
  substanceId: substance(),
  amount: fields({ value: number(), unit: one('g', 'mL') }),
  strength: nullable(strengthShape),
  /** The role whose bottle `amount` counts, when the target starts from a reagent; null when it counts the product. */
  fromRole: nullable(text(40)),
});
export type Target = Of<typeof targetShape>;

export interface TargetReading {
  readonly substanceId: SubstanceId | null;
  readonly amount: Target['amount'] | null;
  readonly strength: Strength | null;
  /** The reagent after “from”, by substance. */
  readonly fromSubstanceId: SubstanceId | null;
  readonly problems: readonly Problem[];
}

/**
 * “1.5 L of 2 mol/L hydrochloric acid”, “60 g zinc sulfate”, “sodium acetate from 250 mL vinegar”.
 * An amount after “from” counts the reagent, else the product.
 */
export function parseTarget(typed: string, tempC: number): TargetReading {
  const empty: TargetReading = { substanceId: null, amount: null, strength: null, fromSubstanceId: null, problems: [] };
  if (typed.trim() === '') {
    const sentence =
      'Say what to make and how much, such as “1.5 L of 2 mol/L hydrochloric acid” or “60 g zinc sulfate”.';
    return { ...empty, problems: [problem('missing-part', sentence, { field: 'target' })] };
  }
  if (typed.length > 200) {
    return {
      ...empty,
      problems: [
        problem('too-large', 'That is longer than a target; name one reagent and an amount.', { field: 'target' }),
      ],
    };
  }
  const [target = '', ...rest] = typed.split(/\bfrom\b/i);
  const source = rest.join(' from ');
  const problems: Problem[] = [];
  const product = new Claims(target);
  const strength = readStrength(product, problems);
  const targetAmount = readSize(product, problems);
  const wanted = readSubstance(product, problems);
  const reagent = source.trim() === '' ? undefined : new Claims(source);
  const fromAmount = reagent && readSize(reagent, problems);
  const fromSubstance = reagent && readSubstance(reagent, problems);
  const amount = fromAmount ?? targetAmount;
  if (!amount && !problems.some((each) => each.field === 'size')) {
    problems.push(problem('missing-part', 'How much? Add an amount, such as 60 g or 1.5 L.', { field: 'size' }));
  }
  if (strength && wanted) {
    const w = massFraction(strength, wanted, tempC);
    if (!w.ok) problems.push({ ...w.problem, field: 'strength', at: strength.at });
    else if (w.value === 0)
      problems.push(problem('impossible-strength', 'A solution of strength 0 is water.', { field: 'strength' }));
  }
  return {
    substanceId: wanted?.id ?? null,
    amount: amount ?? null,
    strength: strength ? { value: strength.value, unit: strength.unit } : null,
    fromSubstanceId: fromAmount ? (fromSubstance?.id ?? null) : null,
    problems,
  };
}

/** The target in words: “1.5 L of hydrochloric acid, 2 mol/L”. */
export function targetText(target: Pick<Target, 'substanceId' | 'amount' | 'strength'>): string {
  const name = substanceOf(target.substanceId).name;
  const strength = target.strength
    ? `, ${formatPlain(target.strength.value)} ${strengthUnits[target.strength.unit]}`
    : '';
  return `${amountText(target.amount)} of ${name}${strength}`;
}

/** The target as it can be typed again; `reagent` names what the amount counts when it is not the product. */
export function targetSentence(target: Target, reagent: string | null): string {
  const name = substanceOf(target.substanceId).name;
  if (target.fromRole !== null && reagent !== null) return `${name} from ${amountText(target.amount)} ${reagent}`;
  return targetText(target);
}

function amountText({ value, unit }: Target['amount']): string {
  if (value < 1000) return `${formatPlain(value)} ${unit}`;
  return `${formatPlain(value / 1000)} ${unit === 'g' ? 'kg' : 'L'}`;
}
