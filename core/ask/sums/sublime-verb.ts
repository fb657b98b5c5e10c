import { cutPhrase, pointAt, readStuff } from '#ask/phrase';
import { datum, type Figure } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { sublime } from '#model/sublime';
import type { Found } from './found.ts';
import { weighedOf } from './weighed.ts';

const EXAMPLE = 'Write sublime 5 g I2 at 60 C.';
/** A dish of 9 cm under a watch glass with ice. */
const USUAL = { dishCm2: 60, gapCm: 3, coverC: 5, glass: 'borosilicate' } as const;

/** “sublime 5 g I2 at 60 C”: pace, hours and what is lost, from a usual dish under ice. */
export function sublimeVerb(rest: string, line: string): Result<Found> {
  const phrase = cutPhrase(rest);
  if (!phrase.ok) return phrase;
  const { body, tempC, tempGiven } = phrase.value;
  if (!tempGiven) return fail('missing-part', `How warm is the dish? ${EXAMPLE}`, { at: [line.length, line.length] });
  const stuff = readStuff(body, line);
  if (!stuff.ok) return stuff;
  const weighed = weighedOf(stuff.value, body, line);
  if (!weighed.ok) return weighed;
  const { substanceId, grams, pct } = weighed.value;
  const answer = sublime({ ...USUAL, substanceId, grams: (grams * pct) / 100, potC: tempC, hours: null });
  if (!answer.ok) return { ok: false, problem: { ...answer.problem, at: pointAt(line, body) } };
  const { gPerHour, hours, lost, iceGPerHour, openGPerHour, says } = answer.value;
  const figure = (naming: { symbol: string; name: string; unit: string }, value: number, share: number): Figure =>
    datum(
      naming,
      { value, uncertainty: { [naming.symbol]: { name: 'the way through the air', effect: share * value } } },
      { source: 'vapour pressure as published; diffusion by Fuller, convection by Hollands', grade: 'C' },
    );
  return ok({
    figures: [
      figure({ symbol: 't', name: 'until it has gone over', unit: 'h' }, hours[1], 1 / 3),
      figure({ symbol: 'r', name: 'at first, in an hour', unit: 'g/h' }, gPerHour[1], 1 / 3),
      figure({ symbol: 'm', name: 'lost past the rim and on opening', unit: 'g' }, lost[1], 1 / 2),
      figure({ symbol: 'm(ice)', name: 'ice that the cover melts, in an hour', unit: 'g/h' }, iceGPerHour, 1 / 3),
    ],
    note: `About: a dish of 9 cm, a cover at 5 °C 3 cm above. Uncovered ${formatNumber(openGPerHour, 2)} g an hour would leave. ${says.join(' ')}`,
  });
}
