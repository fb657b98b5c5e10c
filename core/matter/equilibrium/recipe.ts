import { fail, ok, type Result } from '#base/problem';
import { type Buffer, type BufferAsked, bufferOf } from './buffer.ts';
import { systemOf } from './solution.ts';

/** What goes into a buffer, mol. */
export interface Part {
  readonly substanceId: string;
  readonly mol: number;
}

export interface BufferRecipe extends Buffer {
  readonly parts: readonly Part[];
}

/** Acid and base of a family that are both bought. */
const PAIRS: readonly (readonly [acid: string, base: string])[] = [
  ['ammonium-chloride', 'ammonia'],
  ['acetic-acid', 'sodium-acetate'],
  ['formic-acid', 'sodium-formate'],
  ['sodium-dihydrogenphosphate-anhydrous', 'disodium-hydrogenphosphate-anhydrous'],
  ['sodium-hydrogencarbonate', 'sodium-carbonate'],
];

/** A buffer as it is made: of both members of its family where they are a usual pair, else of the one named and strong acid or alkali. */
export function bufferRecipe(asked: BufferAsked, volumeMl: number): Result<BufferRecipe> {
  if (!(volumeMl > 0 && volumeMl <= 1e5))
    return fail('out-of-range', 'A buffer takes up more than 0 mL, and at most 100 L.');
  const buffer = bufferOf(asked);
  if (!buffer.ok) return buffer;
  const litres = volumeMl / 1000;
  const system = systemOf(asked.substanceId);
  if (!system.ok) return system;
  const { strongMolPerL, molPerL } = buffer.value;
  const pair = PAIRS.find((each) => each.includes(asked.substanceId));
  const parts = pair ? ofPair(pair, buffer.value) : undefined;
  const adjust = strongMolPerL - (system.value.spectators * molPerL) / system.value.count;
  const plain: Part[] = [
    { substanceId: asked.substanceId, mol: molPerL / system.value.count },
    { substanceId: adjust < 0 ? 'hydrochloric-acid' : 'sodium-hydroxide', mol: Math.abs(adjust) },
  ];
  return ok({
    ...buffer.value,
    parts: (parts ?? plain).map(({ substanceId, mol }) => ({ substanceId, mol: mol * litres })),
  });
}

/** So much of each that their other ions bring the charge that is wanted; undefined where that takes less than nothing of one. */
function ofPair(
  [acid, base]: readonly [string, string],
  { strongMolPerL, molPerL }: Buffer,
): readonly Part[] | undefined {
  const [a, b] = [systemOf(acid), systemOf(base)];
  if (!a.ok || !b.ok) return undefined;
  const share = (strongMolPerL / molPerL - a.value.spectators) / (b.value.spectators - a.value.spectators);
  if (!(share >= 0 && share <= 1)) return undefined;
  return [
    { substanceId: acid, mol: (1 - share) * molPerL },
    { substanceId: base, mol: share * molPerL },
  ];
}
