import type { FieldsOf } from '#base/shape';
import { molarMass, substanceOf } from '#matter/substance';
import { amountOf, type Contents, liquidVolume } from '#matter/vessel';
import { type AbsorbAnswer, type AbsorbInput, absorb, heldByWater, STOP_AT, takenByHydroxide } from '#model/absorb';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;

const LYES = ['sodium-hydroxide', 'potassium-hydroxide'] as const;

/** The hydroxide that stands in the absorber, mol; undefined where there is none, or no lye is meant. */
export function lyeIn(absorber: Contents, op: Op) {
  if (!op.takes) return undefined;
  for (const substanceId of LYES) {
    const mol = amountOf(absorber, substanceId)?.value ?? 0;
    if (mol > 0) return { substanceId, mol, grams: mol * molarMass(substanceOf(substanceId).formula) };
  }
  return undefined;
}

/** What the absorber still takes, mol: all of its lye, or what its water holds at its ceiling; null where that is not held. */
export function roomIn(absorber: Contents, op: Op, { ceilingC, along }: { ceilingC: number; along: number }) {
  if (op.takes) return takenByHydroxide(op.gas, lyeIn(absorber, op)?.mol ?? 0, along);
  const held = heldByWater(op.gas, ceilingC);
  if (held === null) return null;
  const had = amountOf(absorber, op.as)?.value ?? 0;
  return Math.max(0, ((held / 100) * absorber.waterG.value) / molarMass(substanceOf(op.gas).formula) - had);
}

/** Of what the absorber takes, how much is led in: lye is not spent to the last. */
export const stopShare = (op: Op): number => (op.takes ? (STOP_AT[0] + STOP_AT[1]) / 2 : 1);

interface Asked {
  readonly mol: number;
  readonly startC: number;
  readonly ceilingC: number;
  /** mol of acid with each mol of the gas. */
  readonly along: number;
  readonly mlPerMin: number | null;
  /** The reagent that is dripped, with what it holds, and mol of it for each of the gas. */
  readonly waits: { readonly contents: Contents; readonly mol: number; readonly perGas: number } | null;
}

/** Drops of water and dilute acids from a funnel’s tap. */
const DROPS_PER_ML = 20;

/** What the model says of so many mol into the liquid that stands there. */
export function answerFor(
  absorber: Contents,
  op: Op,
  { mol, startC, ceilingC, along, mlPerMin, waits }: Asked,
): { readonly input: AbsorbInput; readonly answer: AbsorbAnswer } | null {
  const waterG = absorber.waterG.value;
  if (!(mol > 0 && waterG > 0)) return null;
  const lye = lyeIn(absorber, op);
  const litres = waits ? liquidVolume(waits.contents) / 1000 : 0;
  const input: AbsorbInput = {
    gas: op.gas,
    mol,
    waterG,
    alkali: lye ? { substanceId: lye.substanceId, grams: lye.grams } : null,
    acidAlong: along * mol,
    startC: Math.min(startC, ceilingC),
    ceilingC,
    litresPerMin: mlPerMin === null ? null : mlPerMin / 1000,
    bathW: null,
    reagent:
      waits && litres > 0 && waits.mol > 0
        ? { molPerL: waits.mol / litres, perGas: waits.perGas, dropsPerMl: DROPS_PER_ML }
        : null,
  };
  const answer = absorb(input);
  return answer.ok ? { input, answer: answer.value } : null;
}
