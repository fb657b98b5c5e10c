import type { AbsorbAnswer, AbsorbInput } from '#core/absorb';
import { molarVolume } from '#core/reaction';
import type { FieldsOf } from '#core/shape';
import { molarMass, substanceOf } from '#core/substance';
import { at } from '#core/vessel';
import { settingOf } from '../facts.ts';
import { lastRead, type StepView } from '../view.ts';
import type { fields } from './op.ts';
import { answerFor, roomIn } from './stream.ts';

/** What comes over, and what of it is there by what was weighed. Null where nothing is charged yet. */
export interface AbsorbAdvice {
  readonly input: AbsorbInput;
  readonly answer: AbsorbAnswer;
  readonly gas: string;
  readonly makes: string;
  /** g that it is to gain, and has gained by the last weighing; null where nothing was weighed. */
  readonly toGainG: number;
  readonly gainedG: number | null;
  /** Warmth of the absorber as last read, °C. */
  readonly warmC: number | null;
  readonly ceilingC: number;
  /** g in the absorber at first. */
  readonly waterG: number;
}

export function advice(view: StepView, op: FieldsOf<typeof fields>): AbsorbAdvice | null {
  // All of the gas: what was weighed of it by now does not make it less.
  const made = (view.figures['absorbed.gas']?.value ?? 0) / molarVolume(20, 1013.25);
  const M = molarMass(substanceOf(op.gas).formula);
  const absorber = at(view.vesselsBefore, op.into);
  const ceilingC = settingOf(view.facts, op.ceiling);
  const room = roomIn(absorber, op, ceilingC) ?? Number.POSITIVE_INFINITY;
  const mol = Math.min((made * settingOf(view.facts, op.arrives)) / 100, room);
  const found = answerFor(absorber, op, { mol, startC: view.facts.bench.tempC, ceilingC });
  if (!found) return null;
  return {
    ...found,
    gas: substanceOf(op.gas).name,
    makes: substanceOf(op.as).name,
    toGainG: mol * M,
    gainedG: lastRead(view.readings, 'mass', 0),
    warmC: lastRead(view.readings, 'temperature', 0),
    ceilingC,
    waterG: absorber.waterG.value,
  };
}
