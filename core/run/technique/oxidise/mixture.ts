import type { FieldsOf } from '#base/shape';
import type { Reaction } from '#matter/reaction';
import type { SubstanceId } from '#matter/substance';
import { amountOf, type Contents, liquidVolume } from '#matter/vessel';
import type { HalideInput } from '#model/rate';
import { type Facts, reactionOf } from '../facts.ts';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;

/** What stands in a vessel to be oxidised. */
export interface Mixture {
  readonly reaction: Reaction;
  readonly halide: SubstanceId;
  /** mol of the halide, and for each mol of halogen. */
  readonly mol: number;
  readonly perHalogen: number;
  readonly litres: number;
  readonly input: Omit<HalideInput, 'tempC' | 'hours'>;
}

/** mol of protons that a strong acid brings, and of sulfate that keeps one back. */
const ACIDS = [
  ['hydrochloric-acid', 1, 0],
  ['sulfuric-acid', 2, 1],
  ['sodium-hydrogensulfate', 1, 1],
] as const;

const MIXES = { bromine: 'bromide', iodine: 'iodide' } as const;

/** The mixture of the first way that finds all of its own; undefined where something lacks. */
export function mixtureOf(contents: Contents, op: Op, facts: Facts): Mixture | undefined {
  const litres = liquidVolume(contents) / 1000;
  if (!(litres > 0)) return undefined;
  for (const id of op.reactions) {
    const reaction = reactionOf(facts, id);
    const there = reaction.reactants.every(({ substanceId }) => (amountOf(contents, substanceId)?.value ?? 0) > 0);
    const made = reaction.products.find(({ substanceId }) => substanceId === op.halogen);
    const halide = reaction.reactants.find(({ substanceId }) => substanceId.endsWith(MIXES[op.halogen]));
    if (!there || !made || !halide) continue;
    const mol = amountOf(contents, halide.substanceId)?.value ?? 0;
    const brought = (which: 1 | 2) =>
      ACIDS.reduce((sum, row) => sum + row[which] * (amountOf(contents, row[0])?.value ?? 0), 0);
    return {
      reaction,
      halide: halide.substanceId,
      mol,
      perHalogen: halide.n / made.n,
      litres,
      input: {
        halide: MIXES[op.halogen],
        halideM: most(mol / litres, 10),
        acidM: most(brought(1) / litres, 20),
        sulfateM: most(brought(2) / litres, 10),
        peroxideM: most((amountOf(contents, 'hydrogen-peroxide')?.value ?? 0) / litres, 12),
      },
    };
  }
  return undefined;
}

const most = (value: number, cap: number): number => Math.min(cap, Math.max(0, value));
