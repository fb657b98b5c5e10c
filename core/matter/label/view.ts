import type { Figure } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { Country } from '#matter/data';
import { keepAwayId, keepAwayIn, type LawQuestion, lawOn, lawUnchosen } from '#matter/guard';
import { strengthsOf } from '#matter/solution';
import type { KeptWhere, Shelved } from '#matter/stock';
import { type Content, contentOf, type Kept, keepingOf } from '#matter/stock';
import { formulaText } from '#matter/substance';
import { productNamed } from './find.ts';
import { type LabelReading, parseLabel } from './label.ts';
import type { Product } from './product.ts';

/** All that a bottle's sheet shows of what is in it. */
export interface BottleView {
  readonly content: Content;
  readonly strengths: readonly Figure[];
  readonly formula: string;
  /** How it keeps, in practice. */
  readonly keeping: readonly Kept[];
  /** Rules on having it at this strength and in this amount. */
  readonly law: readonly string[];
  /** The kind of shop product it is, with what tells it from others; null where its label names the substance. */
  readonly product: Pick<Product, 'name' | 'besides' | 'decides' | 'test' | 'note' | 'source'> | null;
}

/** Something that a label names and nothing is made of: it may stand on the shelf as “keep away”. */
export interface AwayFound {
  readonly id: string;
  readonly name: string;
  readonly why: string;
  readonly place: string;
}

export interface LabelAnswer {
  readonly reading: LabelReading;
  /** Where no bottle can be made of it. */
  readonly away: AwayFound | null;
  /** The bottle it would make, when nothing is missing. */
  readonly view: BottleView | null;
}

export function viewOf({ id, card, usedG }: Shelved, { tempC, today, country }: KeptWhere): Result<BottleView> {
  const content = contentOf({ id, card, usedG }, tempC, today);
  if (!content.ok) return content;
  const { w, substance, dissolved, leftG } = content.value;
  const having = { substanceId: substance.id, deed: 'have', pct: w.value, kg: (leftG?.value ?? 0) / 1000 } as const;
  return ok({
    content: content.value,
    strengths: strengthsOf(w, substance, tempC, dissolved),
    formula: formulaText(substance.formula),
    keeping: keepingOf(substance, { dissolved, pct: w.value }),
    law: lawFor(having, country),
    product: card.product === undefined ? null : kindOf(card.product),
  });
}

function lawFor(having: LawQuestion, country: Country | undefined): readonly string[] {
  if (country !== undefined) return lawOn(having, country).map(({ sentence }) => sentence);
  const unchosen = lawUnchosen([having]);
  return unchosen === '' ? [] : [`${unchosen}.`];
}

function kindOf(name: string): BottleView['product'] {
  const kind = productNamed(name);
  if (!kind) return null;
  const { besides, decides, test, note, source } = kind;
  return { name, besides, decides, test, note, source };
}

/** A label as it is understood, with the bottle it would make. */
export function labelView(text: string, where: KeptWhere): LabelAnswer {
  const reading = parseLabel(text, where.today, where.tempC);
  const away = reading.card ? null : awayIn(text);
  if (!reading.card || reading.problems.length > 0) return { reading, view: null, away };
  const view = viewOf({ id: 'label', card: reading.card, usedG: 0 }, where);
  return view.ok
    ? { reading, view: view.value, away }
    : { reading: { ...reading, problems: [view.problem] }, view: null, away };
}

/** “petrol, by the door”: what it is, and where after the comma. */
function awayIn(text: string): AwayFound | null {
  const row = keepAwayIn(text);
  if (!row) return null;
  const place = text.split(',').slice(1).join(',').trim().slice(0, 60);
  return { id: keepAwayId(row.id), name: row.name, why: row.why, place };
}
