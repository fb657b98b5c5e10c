import { type Figure, sdOf } from '#base/figure';
import { ok, type Problem, type Result } from '#base/problem';
import type { Country } from '#matter/gear';
import { formulaText, type Substance } from '#matter/substance';
import { type Ageing, ageingOf, daysBetween } from './ageing.ts';
import type { BottleCard, Shelved } from './bottle.ts';
import { contentOf } from './content.ts';
import { strengthSince } from './strength-since.ts';

/** Where a bottle stands: °C, and on which ISO day it is looked at. */
export interface KeptWhere {
  readonly tempC: number;
  readonly today: string;
  /** Whose rules are told; all that are held where it was never chosen. */
  readonly country?: Country | undefined;
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
  return ok(ageingOf(substance, start, daysBetween(strengthSince(card), today), 183, { tempC, light }) ?? null);
}

function isStale(bottle: Shelved, where: KeptWhere): boolean {
  return overdueDays(bottle, where) > 0;
}

/** Days since it wanted its strength found again; 0 where it does not. */
export function overdueDays(bottle: Shelved, where: KeptWhere): number {
  return Math.max(0, -(daysToAssay(bottle, where) ?? 0));
}

/** Days until it wants its strength found again, below 0 where that is past; null where it never does, or nothing is known of it. */
export function daysToAssay(bottle: Shelved, where: KeptWhere): number | null {
  const due = ageingOfBottle(bottle, where, 'dark');
  const day = due.ok ? due.value?.reassayDay : undefined;
  return day === null || day === undefined ? null : day - daysBetween(strengthSince(bottle.card), where.today);
}
