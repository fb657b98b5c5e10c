import { listed } from '#base/units';
import { type Country, type LawCondition, type RegulatedRow, regulated } from '#matter/data';
import { substanceById } from '#matter/substance';
import { keepAwayOf } from './keep-away.ts';

/** What is asked of the rules: what one does, with what, how strong, how much. */
export interface LawQuestion {
  readonly substanceId: string;
  readonly deed: Exclude<LawCondition['deed'], 'always'>;
  /** Mass %; unknown strength is taken as the strongest there is. */
  readonly pct?: number;
  readonly kg?: number;
}

/** A rule that applies. */
export interface LawNote {
  readonly id: string;
  /** It binds whoever buys, keeps or makes, and not only those who sell. */
  readonly binds: boolean;
  readonly sentence: string;
}

/** Rules that apply, those that bind oneself first; of one country, or of all where none is chosen. A dated snapshot. */
export function lawOn(question: LawQuestion, country?: Country): readonly LawNote[] {
  return regulated
    .filter((row) => isOf(row, country) && applies(row, question))
    .map((row) => ({ id: row.id, binds: row.binds === 'owner', sentence: sentenceOf(row) }))
    .sort((a, b) => Number(b.binds) - Number(a.binds));
}

/** One line where no country was chosen: that there are rules, and where to say whose. Empty where there are none. */
export function lawUnchosen(questions: readonly LawQuestion[]): string {
  const found = questions.flatMap((question) =>
    regulated.filter((row) => applies(row, question)).map((row) => ({ row, of: question.substanceId })),
  );
  if (found.length === 0) return '';
  const where = [...new Set(found.flatMap(({ row }) => row.jurisdictions))];
  const names = [...new Set(found.map(({ of }) => (of === '' ? 'stills' : (substanceById(of)?.name ?? of))))];
  return `Rules on ${listed(names)} hold in ${listed(where.slice(0, MOST_NAMED))}${where.length > MOST_NAMED ? ' and elsewhere' : ''}: set your country in the bench settings to see yours`;
}

const MOST_NAMED = 3;

/** What stands under every rule: dates and thresholds change, and local law adds to them. */
export const LAW_CHANGES =
  regulated.find(({ when }) => when.deed === 'always')?.rule.split(':')[0] ?? 'Thresholds and dates change';

/** Rules on what is bought or kept at a strength. */
export function legalNotes(substanceId: string, pct: number, country?: Country): readonly string[] {
  return lawOn({ substanceId, pct, deed: 'have' }, country).map(({ sentence }) => sentence);
}

function sentenceOf({ jurisdictions, threshold, who, rule, source, date }: RegulatedRow): string {
  const from = threshold === 'any' ? 'any amount' : threshold.replace('wt%', '% by mass');
  return `${jurisdictions.join(', ')}: ${from}, ${who}: ${rule} (${source}, ${date})`;
}

function isOf({ jurisdictions }: RegulatedRow, country: Country | undefined): boolean {
  return country === undefined || jurisdictions.some((each) => each === country);
}

function applies({ id, when }: RegulatedRow, { substanceId, deed, pct = 100, kg = 0 }: LawQuestion): boolean {
  if (when.deed !== deed) return false;
  if (deed === 'apparatus') return true;
  const away = keepAwayOf(substanceId);
  if (away) return when.aways?.includes(away.id) ?? false;
  if (when.fromKg !== undefined && kg < when.fromKg) return false;
  const own = when.per?.[substanceId];
  if (own !== undefined) return pct >= own;
  if (!(substanceById(substanceId)?.law ?? []).includes(id)) return false;
  if (when.onlyAways) return false;
  if (!when.from) return true;
  const [from, inclusive] = when.from;
  return inclusive ? pct >= from : pct > from;
}
