import { type Figure, sdOf } from '#core/figure';
import { ok, type Problem, type Result } from '#core/problem';
import { type Ageing, ageingOf, daysBetween } from '#core/rate';
import { strengthsOf } from '#core/solution';
import { formulaText, type Substance } from '#core/substance';
import type { BottleCard, Shelved } from './bottle.ts';
import { type Content, contentOf } from './content.ts';
import { type Kept, keepingOf } from './keeping.ts';
import { type LabelReading, parseLabel } from './label.ts';

/** Where a bottle stands: °C, and on which ISO day it is looked at. */
export interface KeptWhere {
  readonly tempC: number;
  readonly today: string;
}

/** All that a bottle's sheet shows of what is in it. */
export interface BottleView {
  readonly content: Content;
  readonly strengths: readonly Figure[];
  readonly formula: string;
  /** How it keeps, in practice. */
  readonly keeping: readonly Kept[];
}

/** What a drawn bottle shows. */
export interface BottleFace {
  readonly id: string;
  readonly formula: string;
  /** Colour of its content, as a word of the palette. */
  readonly tint: Substance['tint'];
  readonly strength: Figure | null;
  readonly level: number | null;
  readonly left: Figure | null;
  readonly moles: Figure | null;
  /** Past the day it wanted a new assay. */
  readonly stale: boolean;
  readonly problem: Problem | null;
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
  });
}

/** A label as it is understood, with the bottle it would make. */
export function labelView(text: string, where: KeptWhere): LabelAnswer {
  const reading = parseLabel(text, where.today, where.tempC);
  if (!reading.card || reading.problems.length > 0) return { reading, view: null };
  const view = viewOf({ id: 'label', card: reading.card, usedG: 0 }, where);
  return view.ok ? { reading, view: view.value } : { reading: { ...reading, problems: [view.problem] }, view: null };
}

export function faceOf(bottle: Shelved, where: KeptWhere): BottleFace {
  const content = contentOf(bottle, where.tempC, where.today);
  const nothing = { strength: null, level: null, left: null, moles: null, stale: false };
  if (!content.ok) return { id: bottle.id, formula: '', tint: 'clear', ...nothing, problem: content.problem };
  const { w, substance, level, leftG, leftMol } = content.value;
  return {
    id: bottle.id,
    formula: formulaText(substance.formula),
    tint: substance.tint,
    strength: w,
    level: level ?? null,
    left: leftG ?? null,
    moles: leftMol ?? null,
    stale: isStale(bottle, where),
    problem: null,
  };
}

/** How a bottle keeps, from the day on its card to half a year from today; null where nothing is known of it. */
export function ageingOfBottle(
  { id, card }: { readonly id: string; readonly card: BottleCard },
  { tempC, today }: KeptWhere,
  light: 'dark' | 'daylight',
): Result<Ageing | null> {
  // Not aged: the curve starts from the label.
  const content = contentOf({ id, card, usedG: 0 }, tempC, null);
  if (!content.ok) return content;
  const { substance, w } = content.value;
  const start = { pct: w.value, band: 2 * sdOf(w) };
  return ok(ageingOf(substance, start, daysBetween(card.since, today), 183, { tempC, light }) ?? null);
}

function isStale(bottle: Shelved, where: KeptWhere): boolean {
  const due = ageingOfBottle(bottle, where, 'dark');
  const day = due.ok ? due.value?.reassayDay : undefined;
  return day !== null && day !== undefined && daysBetween(bottle.card.since, where.today) > day;
}
