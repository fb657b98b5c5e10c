import type { Figure } from '#base/figure';
import { entryOf } from '#base/lookup';

/**
 * Reads a figure's shown formula as arithmetic, with its inputs' values: what is shown must be what was done.
 * Undefined for a formula that is not plain arithmetic (a table look-up, a solved equation).
 */
export function recompute(figure: Figure): number | undefined {
  if (figure.origin.by !== 'formula') return undefined;
  const { formula, inputs } = figure.origin;
  const symbols = Object.keys(inputs);
  let body = formula
    .replace(/min\(/g, '«min»(')
    .replace(/max\(/g, '«max»(')
    .replace(/; /g, ', ')
    .replace(/×/g, '*')
    .replace(/÷/g, '/')
    .replace(/−/g, '-');
  for (const symbol of [...symbols].sort((a, b) => b.length - a.length)) {
    body = body.replaceAll(symbol, `«${symbols.indexOf(symbol)}»`);
  }
  body = body
    .replace(/«(\d+)»/g, 'v[$1]')
    .replace(/«min»/g, 'Math.min')
    .replace(/«max»/g, 'Math.max');
  if (!/^(?:Math\.min|Math\.max|v\[\d+\]|[\d()*/+\-.,\s])+$/.test(body)) return undefined;
  return Number(new Function('v', `return ${body}`)(symbols.map((symbol) => entryOf(inputs, symbol).value)));
}

/** Every figure below a value, each once. */
export function figuresIn(value: unknown, seen = new Set<object>()): Figure[] {
  if (typeof value !== 'object' || value === null || seen.has(value)) return [];
  seen.add(value);
  const own = 'kind' in value && value.kind === 'figure' ? [value as Figure] : [];
  return [...own, ...Object.values(value).flatMap((each) => figuresIn(each, seen))];
}
