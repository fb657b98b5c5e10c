import { regulated } from '#core/data';
import { substanceById } from '#core/substance';

/** Rows that name several salts at once, by the substance they mean. */
const NAMED_TOGETHER: Readonly<Record<string, RegExp>> = {
  'sodium-nitrate': /\bsodium\b.*\bnitrates?\b/,
  'potassium-nitrate': /\bpotassium\b.*\bnitrates?\b/,
  'calcium-ammonium-nitrate-hydrate': /\bcalcium ammonium nitrate\b/,
};

/** Legal rows for a substance at a mass %: those whose threshold it crosses. A snapshot, shown with its date. */
export function legalNotes(substanceId: string, pct: number): readonly string[] {
  const name = substanceById(substanceId)?.name;
  const together = NAMED_TOGETHER[substanceId];
  return regulated
    .filter(({ substance, threshold }) => {
      if (substance !== name && !together?.test(substance)) return false;
      if (threshold === 'any') return true;
      return /wt%$/.test(threshold) && pct > Number(/[\d.]+/.exec(threshold)?.[0]);
    })
    .map(
      (row) =>
        `${row.jurisdiction}: ${row.threshold === 'any' ? 'any amount' : row.threshold.replace('wt%', '% by mass')}, ${row.who}: ${row.rule} (${row.source}, ${row.date})`,
    );
}
