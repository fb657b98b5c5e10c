import { formatNumber } from '#base/units';
import { type HazardCautionRow, hazardCautions } from '#matter/data';
import { type Caution, type CautionId, classesOf } from '#matter/guard';
import { substanceById } from '#matter/substance';
import { type Mixed, statementsAt } from './statements.ts';

/** Something that is handled at a step: how strong, and how many grams of the substance itself. */
export interface Handled extends Mixed {
  readonly g: number;
}

/** Below these strengths an acid or a base is of the kitchen, mass %. */
const KITCHEN_PCT: Readonly<Record<string, number>> = {
  'hydrochloric-acid': 3,
  'sulfuric-acid': 5,
  'nitric-acid': 1,
  'acetic-acid': 10,
  'phosphoric-acid': 10,
  'citric-acid': 20,
  'formic-acid': 5,
  'sodium-hydroxide': 0.5,
  'potassium-hydroxide': 0.5,
  'sodium-carbonate': 10,
  ammonia: 3,
  'sodium-hypochlorite': 2,
};

/** What a caution written for a step says already. */
const SAID_BY: Readonly<Partial<Record<CautionId, readonly string[]>>> = {
  corrosive: ['H314 acid', 'H315', 'H319', 'H318'],
  caustic: ['H314 alkali', 'H315', 'H319', 'H318'],
  'copper-salt': ['H302', 'H318', 'H319', 'H410', 'H411'],
  'zinc-salt': ['H302', 'H318', 'H319', 'H410', 'H411'],
  oxidiser: ['H272'],
  peroxide: ['H271', 'H272', 'H302', 'H318', 'H319'],
  flammable: ['H225', 'H226'],
  hydrogen: ['H220 hydrogen'],
  'ammonia-gas': ['H221', 'H331'],
};

/** What a caution that a route names says of hazards. */
export function saidBy(id: CautionId): readonly string[] {
  return SAID_BY[id] ?? [];
}

/** What is told of a thing once, with what was told before: keys of `told` are added to. */
export function hazardCautionsAt(
  handled: readonly Handled[],
  written: readonly CautionId[],
  told: Set<string>,
): readonly Caution[] {
  for (const id of written) for (const key of saidBy(id)) told.add(key);
  const said: Caution[] = [];
  for (const each of handled) {
    for (const row of rowsFor(each)) {
      const key = row.kind === '' ? row.code : `${row.code} ${row.kind}`;
      if (told.has(key)) continue;
      told.add(key);
      // What is graver says the lesser too.
      if (row.code === 'H314') for (const lesser of ['H318', 'H319', 'H315']) told.add(lesser);
      if (row.code === 'H318') told.add('H319');
      if (row.code === 'H410') for (const lesser of ['H400', 'H411', 'H412']) told.add(lesser);
      said.push(cautionOf(row, each));
    }
  }
  return said;
}

function cautionOf(row: HazardCautionRow, { substanceId, pct }: Handled): Caution {
  const name = substanceById(substanceId)?.name ?? substanceId;
  const strength = pct < 95 ? `, ${formatNumber(pct, 2)} %` : '';
  const kept = [
    row.protection === 'none' ? '' : `Wear: ${row.protection}.`,
    row.inReach === 'none' ? '' : `In reach: ${row.inReach}.`,
    row.firstAid === 'none' ? '' : row.firstAid,
  ];
  return {
    id: `hazard ${row.code}${row.kind === '' ? '' : ` ${row.kind}`}`,
    severity: row.stop ? 'stop' : 'watch',
    title: `${row.title.charAt(0).toUpperCase()}${row.title.slice(1)}: ${name}${strength}`,
    text: [row.says, ...kept.filter((each) => each !== '')].join(' '),
  };
}

/** What belongs to the bottle and its cap, and is no caution of a step. */
const OF_CONTAINERS: ReadonlySet<string> = new Set(['H280', 'H290']);

/** The rows that count of a thing, at its strength and amount. */
export function rowsFor(each: Handled): readonly HazardCautionRow[] {
  const codes = new Set(statementsAt(each));
  return hazardCautions.filter(
    (row) => !OF_CONTAINERS.has(row.code) && codes.has(row.code) && isOfKind(row, each) && !isKitchen(row, each),
  );
}

function isKitchen({ code, belowPct, belowG }: HazardCautionRow, { substanceId, pct, g }: Handled): boolean {
  const species = substanceById(substanceId)?.species ?? substanceId;
  const own = code === 'H314' || code === 'H315' || code === 'H319' ? KITCHEN_PCT[species] : undefined;
  if (own !== undefined) return pct < own;
  // A solution is weighed by its strength, a solid by its grams.
  if (pct < 60 && belowPct !== undefined) return pct < belowPct || (belowG !== undefined && g < belowG);
  return belowG !== undefined && g < belowG;
}

function isOfKind({ code, kind }: HazardCautionRow, { substanceId, pct }: Handled): boolean {
  if (kind === '') return true;
  if (code === 'H220') return kind === (substanceId === 'hydrogen' ? 'hydrogen' : 'poison');
  const classes = classesOf(substanceId, pct);
  if (classes.has('halogen') || classes.has('fluoride')) return kind === 'deep';
  if (classes.has('hypochlorite') || classes.has('isocyanurate')) return kind === 'oxidising';
  if (classes.has('alkali_strong') || classes.has('alkali_mild') || classes.has('strong_base_salt'))
    return kind === 'alkali';
  return kind === 'acid';
}
