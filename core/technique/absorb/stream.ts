import { type AbsorbAnswer, type AbsorbInput, absorb, heldByWater } from '#core/absorb';
import type { FieldsOf } from '#core/shape';
import { molarMass, substanceOf } from '#core/substance';
import { amountOf, type Contents } from '#core/vessel';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;

/** What the absorber’s water still takes at its ceiling, mol; null where that is not held. */
export function roomIn(absorber: Contents, op: Op, ceilingC: number): number | null {
  const held = heldByWater(op.gas, ceilingC);
  if (held === null) return null;
  const had = amountOf(absorber, op.as)?.value ?? 0;
  return Math.max(0, ((held / 100) * absorber.waterG.value) / molarMass(substanceOf(op.gas).formula) - had);
}

/** What the model says of so many mol into the water that stands there. */
export function answerFor(
  absorber: Contents,
  op: Op,
  { mol, startC, ceilingC }: { mol: number; startC: number; ceilingC: number },
): { readonly input: AbsorbInput; readonly answer: AbsorbAnswer } | null {
  const waterG = absorber.waterG.value;
  if (!(mol > 0 && waterG > 0)) return null;
  const input: AbsorbInput = {
    gas: op.gas,
    mol,
    waterG,
    alkali: null,
    acidAlong: 0,
    startC: Math.min(startC, ceilingC),
    ceilingC,
    litresPerMin: null,
    bathW: null,
    reagent: null,
  };
  const answer = absorb(input);
  return answer.ok ? { input, answer: answer.value } : null;
}
