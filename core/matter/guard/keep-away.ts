import { type KeepAwayRow, keepAways } from '#matter/data';
import { keyOf, NameIndex } from '#matter/substance';

const PREFIX = 'away:';
const BY_ID = new Map(keepAways.map((row) => [row.id, row]));

/** Under such an id a thing that is only kept away from stands among substances. */
export function keepAwayId(id: string): string {
  return `${PREFIX}${id}`;
}

/** The thing of such an id. */
export function keepAwayOf(substanceId: string): KeepAwayRow | undefined {
  return substanceId.startsWith(PREFIX) ? BY_ID.get(substanceId.slice(PREFIX.length)) : undefined;
}

const BY_NAME = new NameIndex<KeepAwayRow>();
for (const row of keepAways)
  for (const name of [row.name, ...row.also]) if (name.length > 2) BY_NAME.set(keyOf(name), row);

/** The thing to keep away that a text names: what is out of scope before what is not, then the longest name. */
export function keepAwayIn(text: string): KeepAwayRow | undefined {
  const named = BY_NAME.in(keyOf(text)).toSorted(
    (a, b) => rank(b.value) - rank(a.value) || b.key.length - a.key.length,
  );
  return named[0]?.value;
}

/** What kills by a splash or a breath stands before what it is sold as: a rust remover that holds it is it. */
const WORST: readonly string[] = ['fluoride', 'cyanide', 'azide', 'phosphide_phosphorus', 'arsenic_antimony'];

function rank({ classes }: KeepAwayRow): number {
  return classes.some((each) => WORST.includes(each)) ? 1 : 0;
}

/** Everything that may stand as “keep away”, by name. */
export function allKeepAways(): readonly KeepAwayRow[] {
  return keepAways;
}
