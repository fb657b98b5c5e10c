import { regulated } from '#core/data';
import { substanceById } from '#core/substance';

/** Legal rows for a substance at a mass %: those whose threshold it crosses. A snapshot, shown with its date. */
export function legalNotes(substanceId: string, pct: number): readonly string[] {
  const name = substanceById(substanceId)?.name;
  return regulated
    .filter(
      (row) => row.substance === name && /wt%$/.test(row.threshold) && pct > Number(/[\d.]+/.exec(row.threshold)?.[0]),
    )
    .map(
      (row) =>
        `${row.jurisdiction}: ${row.threshold.replace('wt%', '% by mass')}, ${row.who} (${row.source}, ${row.date})`,
    );
}
