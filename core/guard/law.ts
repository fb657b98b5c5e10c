import { type RegulatedRow, regulated } from '#core/data';
import { substanceById } from '#core/substance';

const ROWS = new Map(regulated.map((row) => [row.id, row]));

/** Legal rows for a substance at a mass %: those whose threshold it crosses. A snapshot, shown with its date. */
export function legalNotes(substanceId: string, pct: number): readonly string[] {
  const rows = (substanceById(substanceId)?.law ?? []).flatMap((id) => ROWS.get(id) ?? []);
  return rows
    .filter((row) => crosses(row, pct))
    .sort((a, b) => Number(bindsAll(b)) - Number(bindsAll(a)))
    .map(
      (row) =>
        `${row.jurisdiction}: ${row.threshold === 'any' ? 'any amount' : row.threshold.replace('wt%', '% by mass')}, ${row.who}: ${row.rule} (${row.source}, ${row.date})`,
    );
}

/** Rules for whoever buys or keeps it come before those for sellers, exporters and works. */
const bindsAll = ({ who }: RegulatedRow) => /public|everyone/.test(who);

/** By mass %, or any amount; thresholds by quantity or by use are not this function's to tell. */
function crosses({ threshold }: RegulatedRow, pct: number): boolean {
  if (threshold === 'any') return true;
  return /wt%$/.test(threshold) && pct > Number(/[\d.]+/.exec(threshold)?.[0]);
}
