import { datum } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber, parseNumber } from '#base/units';
import { metalInAcid } from '#model/rate';
import type { Found } from './found.ts';

const EXAMPLE = 'Write metal 2 mm sheet 20 % in 8 h, or metal 3 mm grain 50 % in 10 h to 1 mm.';
const SAID =
  /^([\d.,]+)\s*mm\s+(sheet|grains?)\s*,?\s*([\d.,]+)\s*%\s+(?:gone\s+)?in\s+([\d.,]+)\s*(h|d)(?:\s+to\s+([\d.,]+)\s*mm)?$/i;

/** “metal 2 mm sheet 20 % in 8 h to 0.5 mm”: how long it still dissolves in its acid, and cut smaller. */
export function metalVerb(rest: string, line: string): Result<Found> {
  const said = SAID.exec(rest.trim());
  if (!said)
    return fail('missing-part', `How thick, how much of it gone, in how long? ${EXAMPLE}`, { at: [0, line.length] });
  const [, size, form = '', gone, time, unit, cut] = said;
  const numbers = [size, gone, time, cut ?? '1'].map((text) => parseNumber(text ?? ''));
  const wrong = numbers.find((each) => !each.ok);
  if (wrong && !wrong.ok) return { ok: false, problem: { ...wrong.problem, at: [0, line.length] } };
  const [sizeMm = 0, gonePct = 0, span = 0, toMm = 0] = numbers.map((each) => (each.ok ? each.value : 0));
  if (!(sizeMm > 0 && gonePct > 0 && gonePct < 100 && span > 0 && toMm > 0))
    return fail('out-of-range', `Each is more than 0, and less than 100 % is gone. ${EXAMPLE}`, {
      at: [0, line.length],
    });
  const found = metalInAcid({
    form: form.toLowerCase() === 'sheet' ? 'sheet' : 'grain',
    sizeMm,
    gonePct,
    hours: unit?.toLowerCase() === 'd' ? 24 * span : span,
    residuePct: 0,
    ...(cut === undefined ? {} : { toMm }),
  });
  if (!found.ok) return { ok: false, problem: { ...found.problem, at: [0, line.length] } };
  const { left, ifCut, mmPerH } = found.value;
  const hours = (name: string, [least, most]: readonly [number, number]) =>
    datum(
      { symbol: 't', name, unit: 'h' },
      {
        value: (least + most) / 2,
        uncertainty: { acid: { name: 'how the acid weakens', effect: (most - least) / 4 } },
      },
      { source: 'faces eaten at a steady pace', grade: 'C' },
    );
  return ok({
    figures: [
      hours('still to go', left),
      ...(ifCut ? [hours(`if it were cut to ${formatNumber(toMm, 3)} mm now`, ifCut)] : []),
      datum({ symbol: 'r', name: 'off each face, in an hour', unit: 'mm/h' }, mmPerH, {
        source: 'by what has gone',
        grade: 'C',
      }),
    ],
    note: 'About: from the pace so far kept to the end, to half of it as the acid weakens. What is another metal stays.',
  });
}
