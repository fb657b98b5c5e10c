import { fail, ok, type Result } from '#base/problem';
import { admit, clashesOf, type Present } from '#matter/guard';

/** Hot enough for what happens only hot. */
const BOILS_C = 100;
/** What sulfuric acid does beside nitric acid is judged by the water between them, when the charge is. */
const JUDGED_BY_WATER: readonly string[] = ['nitric-acid', 'sulfuric-acid'];

/**
 * Whether what is in a flask may be heated together: each by itself, and every two at their strengths. A danger at room
 * temperature is a refusal at the boil.
 */
export function admitHeated(grams: readonly (readonly [substanceId: string, g: number])[]): Result<true> {
  const all = grams.reduce((sum, [, g]) => sum + g, 0);
  const present = grams.flatMap(([substanceId, g]): readonly Present[] =>
    g > 1e-6 ? [{ substanceId, pct: (100 * g) / all, g }] : [],
  );
  for (const { substanceId } of present) {
    const allowed = admit({ substanceId }, 'distil');
    if (!allowed.ok) return { ok: false, problem: { ...allowed.problem, field: 'staying' } };
  }
  for (const [i, added] of present.entries()) {
    const here = present.slice(0, i).filter((each) => !isJudgedByWater(each, added));
    const worst = clashesOf(here, added, { tempC: BOILS_C, beside: present }).find(
      ({ severity }) => severity !== 'caution',
    );
    if (worst) return fail('beyond-scope', `This is not heated together here. ${worst.sentence}`, { field: 'staying' });
  }
  return ok(true);
}

function isJudgedByWater(a: Present, b: Present): boolean {
  return JUDGED_BY_WATER.includes(a.substanceId) && JUDGED_BY_WATER.includes(b.substanceId);
}
