import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import type { SublimeInput } from '#model/sublime';
import { type Facts, type StepEntries, settingOf } from '../facts.ts';
import type { fields } from './op.ts';

/** cm from a dish to the watch glass on it. */
const GAP_CM = 3;
/** What a dish for this is made of. */
const GLASS = 'borosilicate';

/** What is asked of the model at a step: as set, or as warm as it was read. */
export function inputOf(
  op: FieldsOf<typeof fields>,
  facts: Facts,
  { grams, readings }: { readonly grams: number; readonly readings: StepEntries['readings'] },
): SublimeInput {
  const read = readings.temperature && readingValue(readings.temperature);
  return {
    substanceId: op.substanceId,
    grams,
    potC: read?.value ?? settingOf(facts, op.pot),
    coverC: settingOf(facts, op.cover),
    dishCm2: settingOf(facts, op.dish),
    gapCm: GAP_CM,
    glass: GLASS,
    hours: null,
  };
}
