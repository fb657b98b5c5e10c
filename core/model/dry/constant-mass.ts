export interface Weighing {
  /** ISO instant it was taken. */
  readonly at: string;
  readonly grams: number;
}

export interface ConstantMass {
  readonly weighings: readonly Weighing[];
  readonly constant: boolean;
  /** Change of the last weighing from the one before, %; null with fewer than two. */
  readonly changePct: number | null;
  readonly hoursApart: number | null;
  /** The mass to go by: the mean of the last two when constant, else the last. */
  readonly grams: number | null;
  readonly sentence: string;
}

/** Below this change between two weighings the mass counts as constant; Vogel asks 0.3 mg on a gram for analysis. */
const LIMIT_PCT = 0.5;
/** Hours: two weighings closer together than this say little, since air at room temperature takes hours to move water. */
const LEAST_HOURS = 1;

/** Judges weighings of one product, in any order; `balanceG` is the balance's step, below which no change is seen. */
export function constantMass(weighings: readonly Weighing[], balanceG: number): ConstantMass {
  const sorted = [...weighings].sort((a, b) => a.at.localeCompare(b.at));
  const last = sorted.at(-1);
  const before = sorted.at(-2);
  if (!last) return answer(sorted, false, null, null, null, 'Not weighed yet.');
  if (!before)
    return answer(
      sorted,
      false,
      null,
      null,
      last.grams,
      'Weighed once: weigh again after some hours to see whether it still loses water.',
    );
  const change = last.grams - before.grams;
  const changePct = before.grams === 0 ? 0 : (100 * change) / before.grams;
  const hours = (Date.parse(last.at) - Date.parse(before.at)) / 3_600_000;
  const small = Math.abs(change) <= Math.max((LIMIT_PCT / 100) * before.grams, 2 * balanceG);
  const shown = `${changePct < 0 ? '−' : '+'}${Math.abs(changePct).toFixed(2)} %`;
  if (small && hours < LEAST_HOURS) {
    return answer(
      sorted,
      false,
      changePct,
      hours,
      last.grams,
      `${shown}, but only ${Math.round(hours * 60)} min apart: wait an hour at least.`,
    );
  }
  if (small)
    return answer(
      sorted,
      true,
      changePct,
      hours,
      (last.grams + before.grams) / 2,
      `Constant: ${shown} in ${hours.toFixed(1)} h.`,
    );
  if (change > 0) {
    return answer(
      sorted,
      false,
      changePct,
      hours,
      last.grams,
      `It gained ${shown}: it draws water from the air, or was weighed warm. Close it, then weigh again.`,
    );
  }
  return answer(
    sorted,
    false,
    changePct,
    hours,
    last.grams,
    `Still losing: ${shown} in ${hours.toFixed(1)} h. Dry on.`,
  );
}

function answer(
  weighings: readonly Weighing[],
  constant: boolean,
  changePct: number | null,
  hoursApart: number | null,
  grams: number | null,
  sentence: string,
): ConstantMass {
  return { weighings, constant, changePct, hoursApart, grams, sentence };
}
