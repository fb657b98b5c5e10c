import { fail, ok, type Result } from '#base/problem';
import { fields, number, type Of, one, optional } from '#base/shape';

/** Metal in acid, as it was weighed once while it dissolved. */
export const metalShape = fields({
  form: one('sheet', 'grain'),
  /** Thickness of the sheet, or width of the grains, as they went in. */
  sizeMm: number({ moreThan: 0, max: 200 }),
  /** % of what can dissolve that has gone, and in how many hours. */
  gonePct: number({ moreThan: 0, max: 99.9 }),
  hours: number({ moreThan: 0, max: 10_000 }),
  /** % of the alloy that never dissolves: copper and silver of a solder. */
  residuePct: number({ min: 0, max: 95 }),
  /** Cut to this size, and kept warmer by so much. */
  toMm: optional(number({ moreThan: 0, max: 200 })),
  warmerK: optional(number({ min: -60, max: 90 })),
});
export type MetalInput = Of<typeof metalShape>;

export interface MetalAnswer {
  /** mm that a face loses in an hour. */
  readonly mmPerH: number;
  /** Hours still to go, least and most: as now, and as the acid weakens. */
  readonly left: readonly [number, number];
  /** The same if it had been cut, and if it is kept warmer; null where that was not asked. */
  readonly ifCut: readonly [number, number] | null;
  readonly ifWarmer: readonly [number, number] | null;
  /** % of what went in that lies there at the end. */
  readonly staysPct: number;
  readonly says: string;
}

/** Acid that is used up to a half, as it usually is, halves the pace by the end. */
const WEAKENS = 2;
/** Times as fast 10 K warmer, least and most: metals in acid by the textbooks, 40 to 90 kJ/mol, grade C. */
const PER_10K = [1.6, 2.8] as const;

/**
 * How long a metal still dissolves, from one weighing: each face is eaten at a steady pace, so a sheet goes evenly and a grain by its
 * cube root. The band is from that pace kept to that pace halved. Geometry is exact; pace and warmth are about.
 */
export function metalInAcid(input: MetalInput): Result<MetalAnswer> {
  const { form, sizeMm, gonePct, hours, residuePct, toMm, warmerK } = input;
  const eaten = form === 'sheet' ? gonePct / 100 : 1 - Math.cbrt(1 - gonePct / 100);
  const mmPerH = (eaten * sizeMm) / 2 / hours;
  if (!(mmPerH > 0)) return fail('out-of-range', 'Nothing has gone yet: weigh it again later.', { field: 'gonePct' });
  const still = (1 - eaten) * sizeMm;
  if (toMm !== undefined && toMm > sizeMm)
    return fail('out-of-range', 'Cut, it is smaller than it was.', { field: 'toMm' });
  const band = (mm: number, faster = 1): readonly [number, number] => {
    const even = mm / 2 / mmPerH / faster;
    return [even, WEAKENS * even];
  };
  const left = band(still);
  const warmer =
    warmerK === undefined
      ? null
      : ([
          band(still, PER_10K[warmerK >= 0 ? 1 : 0] ** (warmerK / 10))[0],
          band(still, PER_10K[warmerK >= 0 ? 0 : 1] ** (warmerK / 10))[1],
        ] as const);
  return ok({
    mmPerH,
    left,
    ifCut: toMm === undefined ? null : band(Math.min(toMm, still)),
    ifWarmer: warmer,
    staysPct: residuePct,
    says:
      residuePct > 0
        ? `About ${Math.round(residuePct)} % of it never dissolves: do not wait for nothing to be left.`
        : 'All of it should dissolve; a dark rest is another metal.',
  });
}
