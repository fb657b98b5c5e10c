import { sdOf } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { formatFigure, formatNumber } from '#base/units';
import { bandOf, describedRefused } from '#matter/guard';
import { type LabelElements, labelElements, type Mixed, rowsFor } from '#matter/hazard';
import { massFraction, strengthUnits } from '#matter/solution';
import { type BottleCard, contentOf, keepingOf, type ShelfBottle } from '#matter/stock';
import { formulaText, substanceById } from '#matter/substance';
import { keepsUntil, storageGroupOf } from './places.ts';

/** What a bottle’s label says. */
export interface BottleLabel {
  readonly name: string;
  readonly substance: string;
  readonly formula: string;
  /** “28 % ± 1 %”; “strength not known”. */
  readonly strength: string;
  readonly others: readonly string[];
  /** “made 26 Nov 2026, batch 14”. */
  readonly origin: string;
  readonly useBy: string | null;
  readonly elements: LabelElements;
  readonly firstAid: string;
  readonly keepApart: string;
  readonly stands: string;
  /** Path of its sheet, for the code on it. */
  readonly path: string;
}

export interface LabelSetting {
  readonly tempC: number;
  /** ISO day. */
  readonly day: string;
  /** Number of the batch it came from, where it came from one. */
  readonly batchNumber: number | null;
}

/** What must be on the label of a bottle: refused where it is not known what is in it. */
export function bottleLabel(bottle: ShelfBottle, { tempC, day, batchNumber }: LabelSetting): Result<BottleLabel> {
  const { card } = bottle;
  const substance = substanceById(card.substanceId);
  if (!substance)
    return fail(
      'unknown-substance',
      `${card.name} holds nothing that is known here: edit the bottle, then print its label.`,
      { field: 'substanceId' },
    );
  const content = contentOf(bottle, tempC, day);
  if (!content.ok) return content;
  const { w, dissolved } = content.value;
  const pct = Math.min(100, w.value);
  const parts: readonly Mixed[] = [
    { substanceId: substance.id, pct },
    ...card.others.map((each) => ({ substanceId: each.substanceId, pct: pctOf(each, tempC) })),
  ];
  const elements = labelElements(parts);
  const group = storageGroupOf({ substanceId: substance.id, pct });
  const months = keepingOf(substance, { dissolved, pct })[0]?.months[1] ?? null;
  return ok({
    name: card.name,
    substance: substance.name,
    formula: formulaText(substance.formula),
    strength: strengthText(card, content.value.w.value, 2 * sdOf(content.value.w)),
    others: card.others.flatMap((each) => {
      const other = substanceById(each.substanceId);
      return other ? [`${other.name} ${formatNumber(each.strength.value, 3)} ${unitText(each.strength.unit)}`] : [];
    }),
    origin: `${cameBy(card)} ${card.since}${batchNumber === null ? '' : `, batch ${batchNumber}`}`,
    useBy: keepsUntil(card.since, months),
    elements,
    firstAid: firstAidOf(parts, elements),
    keepApart: APART[group] ?? '',
    stands: group,
    path: `/shelf/${bottle.id}`,
  });
}

function cameBy({ fromBatch, group }: BottleCard): string {
  if (fromBatch) return 'made';
  return group === 'waste' ? 'begun' : 'since';
}

const APART: Readonly<Partial<Record<ReturnType<typeof storageGroupOf>, string>>> = {
  acids: 'Apart from bleach, lye, ammonia, sulfites and metals.',
  bases: 'Apart from acids, aluminium and ammonium salts.',
  'bleach and pool chlorine': 'Alone: never with acid, ammonia, spirit or any other pool product.',
  ammonia: 'Apart from bleach, acids and iodine.',
  oxidisers: 'Apart from anything that burns, from acids and metal powder.',
  flammables: 'Cool, apart from oxidisers, nothing lit near.',
  metals: 'Dry, apart from acids, lye and oxidisers.',
  'poisons, locked': 'Locked, apart from food.',
};

function strengthText({ strength, strengthBand }: BottleCard, pct: number, band: number): string {
  if (!strength) return `about ${formatNumber(pct, 3)} %, label gives none`;
  const unit = unitText(strength.unit);
  // The band in the unit of the strength, by its share of the whole.
  const own = strengthBand ?? (pct > 0 ? (strength.value * band) / pct : 0);
  return own > 0 ? `${formatFigure(strength.value, own / 2)} ${unit}` : `${formatNumber(strength.value, 4)} ${unit}`;
}

function unitText(unit: keyof typeof strengthUnits): string {
  return unit === 'w/w' ? '%' : strengthUnits[unit];
}

function pctOf({ substanceId, strength }: BottleCard['others'][number], tempC: number): number {
  const substance = substanceById(substanceId);
  const w = substance ? massFraction(strength, substance, tempC) : undefined;
  return w?.ok ? Math.min(100, w.value) : 100;
}

/** First aid in a line: of what is out of scope, else the row of its strength, else of its gravest hazard. */
function firstAidOf(parts: readonly Mixed[], { notHeld }: LabelElements): string {
  const refused = parts.flatMap(({ substanceId }) => describedRefused(substanceId) ?? [])[0];
  if (refused)
    return `Not for a home bench (${refused.name}). Eye or skin: water 20 minutes. Breathed or swallowed: the poison centre at once.`;
  for (const { substanceId, pct } of parts) {
    const own = bandOf(substanceId, pct)?.firstAid;
    if (own) return own;
  }
  const rows = parts.flatMap((each) => rowsFor({ ...each, g: 1000 }));
  return (rows.find(({ stop }) => stop) ?? rows[0])?.firstAid ?? (notHeld.length > 0 ? UNKNOWN : 'Rinse with water.');
}

/** What is not known is not harmless. */
const UNKNOWN = 'What it does is not known: rinse with water 15 minutes, and call the poison centre with this label.';
