import { entryOf } from '#base/lookup';
import { formatFigure, shortest } from '#base/units';
import { type Figure, type Grade, sdOf } from './figure.ts';

/** One line of working: what is found, the formula, the same with numbers, the result, and where a datum stands. */
export interface WorkingLine {
  readonly name: string;
  readonly symbol: string;
  readonly formula?: string;
  readonly numbers?: string;
  readonly result: string;
  readonly unit: string;
  readonly source?: string;
  readonly grade?: Grade;
}

/** How a figure came about, causes before effects, each figure once, the figure itself last. */
export function workingOf(figure: Figure): readonly WorkingLine[] {
  const lines: WorkingLine[] = [];
  visit(figure, new Set(), lines);
  return lines;
}

/** The same as plain text, for print, export and the command line. */
export function workingText(figure: Figure): string {
  return workingOf(figure)
    .map((line) => {
      const how = line.formula ? `${line.symbol} = ${line.formula} = ${line.numbers}` : line.symbol;
      const from = line.source ? `  [${line.source}${line.grade ? `, grade ${line.grade}` : ''}]` : '';
      return `${line.name}: ${how} = ${line.result} ${line.unit}${from}`;
    })
    .join('\n');
}

function visit(figure: Figure, seen: Set<Figure>, lines: WorkingLine[]): void {
  if (seen.has(figure)) return;
  seen.add(figure);
  const { origin, name, symbol, unit } = figure;
  const base = { name, symbol, unit, result: formatFigure(figure.value, sdOf(figure)) };
  if (origin.by === 'given') {
    lines.push({ ...base, source: origin.how });
    return;
  }
  if (origin.by === 'datum') {
    lines.push({ ...base, source: origin.source, grade: origin.grade });
    return;
  }
  for (const input of Object.values(origin.inputs)) visit(input, seen, lines);
  const numbers = substitute(origin.formula, origin.inputs);
  lines.push({
    ...base,
    formula: origin.formula,
    numbers,
    ...(origin.law ? { source: origin.law.source, grade: origin.law.grade } : {}),
  });
}

/** Puts each input's number in place of its symbol, longest symbols first so that `mw` is not taken for `m`. */
export function substitute(formula: string, inputs: Readonly<Record<string, Figure>>): string {
  const symbols = Object.keys(inputs).sort((a, b) => b.length - a.length);
  if (symbols.length === 0) return formula;
  const escaped = symbols.map((s) => s.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
  const pattern = new RegExp(`(?<![\\p{L}\\p{N}_])(${escaped.join('|')})(?![\\p{L}\\p{N}_(])`, 'gu');
  return formula.replace(pattern, (symbol) => shortest(entryOf(inputs, symbol).value, 5));
}
