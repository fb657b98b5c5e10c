import { type Figure, sdOf } from '#core/figure';
import { ok, type Problem, type Result } from '#core/problem';
import { type Ageing, ageingOf, daysBetween, type Keeping } from '#core/rate';
import { strengthsOf } from '#core/solution';
import { type BottleCard, type Content, contentOf, type LabelReading, parseLabel } from '#core/stock';
import { formulaText } from '#core/substance';

// What the shelf asks of the compute door: apart from the rest, so that the first page loads no more than it needs.

/** A bottle as the shelf holds it. */
interface Shelved {
  readonly id: string;
  readonly card: BottleCard;
  readonly usedG: number;
}

export interface AgeingInput {
  readonly id: string;
  readonly card: BottleCard;
  readonly today: string;
  readonly tempC: number;
  readonly light: 'dark' | 'daylight';
}

export interface BottleView {
  readonly content: Content;
  readonly strengths: readonly Figure[];
  readonly formula: string;
}

/** What a drawn bottle shows. */
export interface BottleFace {
  readonly id: string;
  readonly formula: string;
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

function viewOf(id: string, card: BottleCard, usedG: number, tempC: number, today: string): Result<BottleView> {
  const content = contentOf(id, card, usedG, tempC, today);
  if (!content.ok) return content;
  const { w, substance, dissolved } = content.value;
  return ok({
    content: content.value,
    strengths: strengthsOf(w, substance, tempC, dissolved),
    formula: formulaText(substance.formula),
  });
}

function label({ text, today, tempC }: { text: string; today: string; tempC: number }): Result<LabelAnswer> {
  const reading = parseLabel(text, today, tempC);
  const view =
    reading.card && reading.problems.length === 0 ? viewOf('label', reading.card, 0, tempC, today) : undefined;
  if (view && !view.ok) return ok({ reading: { ...reading, problems: [view.problem] }, view: null });
  return ok({ reading, view: view?.value ?? null });
}

function face(bottle: Shelved, tempC: number, today: string): BottleFace {
  const content = contentOf(bottle.id, bottle.card, bottle.usedG, tempC, today);
  const nothing = { strength: null, level: null, left: null, moles: null, stale: false };
  if (!content.ok) return { id: bottle.id, formula: '', ...nothing, problem: content.problem };
  const { w, substance, level, leftG, leftMol } = content.value;
  return {
    id: bottle.id,
    formula: formulaText(substance.formula),
    strength: w,
    level: level ?? null,
    left: leftG ?? null,
    moles: leftMol ?? null,
    stale: isStale(bottle, tempC, today),
    problem: null,
  };
}

/** How a bottle keeps, from the day on its card to half a year from today. */
function ageing({ id, card, today, tempC, light }: AgeingInput): Result<Ageing | null> {
  // Not aged: the curve starts from the label.
  const content = contentOf(id, card, 0, tempC, null);
  if (!content.ok) return content;
  const { substance, w } = content.value;
  const keeping: Keeping = { tempC, light };
  const start = { pct: w.value, band: 2 * sdOf(w) };
  return ok(ageingOf(substance, start, daysBetween(card.since, today), 183, keeping) ?? null);
}

function isStale({ id, card }: Pick<Shelved, 'id' | 'card'>, tempC: number, today: string): boolean {
  const due = ageing({ id, card, today, tempC, light: 'dark' });
  const day = due.ok ? due.value?.reassayDay : undefined;
  return day !== null && day !== undefined && daysBetween(card.since, today) > day;
}

export const shelfVerbs = {
  label,
  ageing,
  bottle: ({
    id,
    card,
    usedG,
    tempC,
    today,
  }: {
    id: string;
    card: BottleCard;
    usedG: number;
    tempC: number;
    today: string;
  }): Result<BottleView> => viewOf(id, card, usedG, tempC, today),
  shelf: ({
    bottles,
    tempC,
    today,
  }: {
    bottles: readonly Shelved[];
    tempC: number;
    today: string;
  }): Result<readonly BottleFace[]> => ok(bottles.map((each) => face(each, tempC, today))),
} as const;
