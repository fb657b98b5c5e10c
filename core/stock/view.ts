import type { Figure } from '#core/figure';
import { ok, type Result } from '#core/problem';
import { type Product, productNamed } from '#core/product';
import { strengthsOf } from '#core/solution';
import { formulaText } from '#core/substance';
import type { Shelved } from './bottle.ts';
import { type Content, contentOf } from './content.ts';
import type { KeptWhere } from './face.ts';
import { type Kept, keepingOf } from './keeping.ts';
import { type LabelReading, parseLabel } from './label.ts';

/** All that a bottle's sheet shows of what is in it. */
export interface BottleView {
  readonly content: Content;
  readonly strengths: readonly Figure[];
  readonly formula: string;
  /** How it keeps, in practice. */
  readonly keeping: readonly Kept[];
  /** The kind of shop product it is, with what tells it from others; null where its label names the substance. */
  readonly product: Pick<Product, 'name' | 'besides' | 'decides' | 'test' | 'note' | 'source'> | null;
}

export interface LabelAnswer {
  readonly reading: LabelReading;
  /** The bottle it would make, when nothing is missing. */
  readonly view: BottleView | null;
}

export function viewOf({ id, card, usedG }: Shelved, { tempC, today }: KeptWhere): Result<BottleView> {
  const content = contentOf({ id, card, usedG }, tempC, today);
  if (!content.ok) return content;
  const { w, substance, dissolved } = content.value;
  return ok({
    content: content.value,
    strengths: strengthsOf(w, substance, tempC, dissolved),
    formula: formulaText(substance.formula),
    keeping: keepingOf(substance, { dissolved, pct: w.value }),
    product: card.product === undefined ? null : kindOf(card.product),
  });
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
  if (!reading.card || reading.problems.length > 0) return { reading, view: null };
  const view = viewOf({ id: 'label', card: reading.card, usedG: 0 }, where);
  return view.ok ? { reading, view: view.value } : { reading: { ...reading, problems: [view.problem] }, view: null };
}
