import { datum, derive, type Figure, type given } from '#base/figure';
import type { FieldsOf } from '#base/shape';
import { molarMassFigure, substanceOf } from '#matter/substance';
import { type At, controlFigure } from '../facts.ts';
import type { fields } from './op.ts';

/** Where gas goes: into the absorber, into the air, or nowhere; and acid that goes along with it. */
export interface Shared {
  readonly taken: Figure;
  readonly stays: Figure;
  readonly escapes: Figure;
  readonly along: Figure | null;
}

interface Sharing {
  readonly op: FieldsOf<typeof fields>;
  readonly step: At;
  /** g that the absorber weighs more. */
  readonly read: Figure | undefined;
  /** mol that the absorber takes; null where that is not held. */
  readonly room: number | null;
  /** mol of acid that came along. */
  readonly along: Figure | null;
}

/** Of the gas made, what arrives by what was weighed, else by what usually does. */
export function sharing(made: Figure, { op, step, read, room, along }: Sharing): Shared {
  const { name } = substanceOf(op.gas);
  const naming = (what: string) => ({ symbol: 'n', name: `${name} ${what}`, unit: 'mol' });
  const arrives = arriving(controlFigure(step.facts, op.arrives));
  const M = molarMassFigure(substanceOf(op.gas).formula);
  const source = op.takes ? 'the lye that stands there' : 'solubility at 1013 hPa, as tabulated';
  const most = datum(naming('that the absorber takes'), room ?? made.value, { source, grade: 'B' });
  const taken = read
    ? takenBy(naming('taken up'), { made, read, M, along })
    : derive(naming('taken up'), 'min(n₀ × set ÷ 100; r)', { 'n₀': made, set: arrives, r: most }, (x) =>
        Math.min((x['n₀'] * x.set) / 100, x.r),
      );
  const stays = derive(
    naming('that never left the generator'),
    'min(n₀ − n; n₀ × (100 − set) ÷ 100)',
    { 'n₀': made, n: taken, set: arrives },
    (x) => Math.max(0, Math.min(x['n₀'] - x.n, (x['n₀'] * (100 - x.set)) / 100)),
  );
  const escapes = derive(naming('that escapes'), 'n₀ − n − g', { 'n₀': made, n: taken, g: stays }, (x) =>
    Math.max(0, x['n₀'] - x.n - x.g),
  );
  return { taken, stays, escapes, along };
}

/** By weight, less what the acid that came along weighs. */
function takenBy(
  naming: Parameters<typeof given>[0],
  { made, read, M, along }: { made: Figure; read: Figure; M: Figure; along: Figure | null },
): Figure {
  if (!along) return derive(naming, 'min(n₀; m ÷ M)', { 'n₀': made, m: read, M }, (x) => Math.min(x['n₀'], x.m / x.M));
  return derive(
    naming,
    'min(n₀; max(0; m − h × Mₐ) ÷ M)',
    { 'n₀': made, m: read, M, h: along, Mₐ: molarMassFigure('HCl') },
    (x) => Math.min(x['n₀'], Math.max(0, x.m - x.h * x.Mₐ) / x.M),
  );
}

/** Per cent that is known so badly, whatever is set. */
const ARRIVES_SD = 8;

/** The part that arrives, with how badly it is known; all of it is all of it. */
function arriving(set: Figure): Figure {
  const effect = Math.min(ARRIVES_SD, 100 - set.value);
  const uncertainty = { arrives: { name: 'how much of the gas arrives', effect } };
  return { ...set, symbol: 'set', uncertainty };
}
