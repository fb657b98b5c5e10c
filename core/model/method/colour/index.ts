import { derive, given } from '#base/figure';
import { entryOf } from '#base/lookup';
import { fail, ok } from '#base/problem';
import type { Substance } from '#matter/substance';
import type { MeasuredMethod } from '../method.ts';

/** A coloured solution matched against a row of dilutions of one of known strength, side by side or by pictures under a grey card. */
export const colour: MeasuredMethod = {
  is: 'measured',
  id: 'colour',
  title: 'colour against a row of dilutions',
  needs: ['phone camera'],
  known: [],
  suits: ({ substance, dissolved }) =>
    dissolved && isColoured(substance) ? null : 'it has no colour of its own in solution',
  reaction: () => '',
  steps: [
    'Make a row of known strengths in equal glasses: 10 %, 7, 5, 3.5, 2.5 %, or picture them under the grey card.',
    'Hold the sample, diluted until it lies within the row, beside them; view down.',
    'Enter the two strengths between which it lies, and how many times it was diluted.',
  ],
  entries: [
    { name: 'weaker', label: 'darker than', unit: '%', least: 0, most: 100, sd: () => 0 },
    { name: 'stronger', label: 'paler than', unit: '%', least: 0, most: 100, sd: () => 0 },
    {
      name: 'times',
      label: 'diluted',
      unit: 'times',
      least: 1,
      most: 10_000,
      sd: (_, value) => 0.01 * value,
      taken: () => 1,
    },
  ],
  strength: ({ read }) => {
    const weaker = entryOf(read, 'weaker');
    const stronger = entryOf(read, 'stronger');
    const times = entryOf(read, 'times');
    if (!(stronger.value > weaker.value))
      return fail(
        'out-of-range',
        'The paler end must be weaker than the darker one: give the two strengths it lies between.',
        { field: 'stronger' },
      );
    const middle = (weaker.value + stronger.value) / 2;
    const half = (stronger.value - weaker.value) / 2;
    const between = given(
      { symbol: 'w₀', name: 'between the two', unit: '%' },
      { value: middle, uncertainty: { 'band:colour': { name: 'between two glasses', effect: half / Math.sqrt(3) } } },
      'by eye',
    );
    const w = derive(
      { symbol: 'w', name: 'strength by its colour', unit: '%' },
      'w₀ × k',
      { 'w₀': between, k: times },
      (x) => x['w₀'] * x.k,
    );
    return w.value <= 100
      ? ok(w)
      : fail('impossible-strength', 'That would be more than all of it: check how many times it was diluted.', {
          field: 'times',
        });
  },
  model: ({ w }) => ({ weaker: 0.85 * w.value, stronger: 1.15 * w.value, times: 1 }),
  besidesSd: 0.08,
  besides: 'light, eyes, and what else colours it',
  minutes: 30,
  cautions: [],
};

/** By itself, or by its ion: anhydrous bluestone is white and its solution blue. */
function isColoured({ tint, formula }: Substance): boolean {
  return !['clear', 'white'].includes(tint) || /Cu|Ni|Fe|Cr|MnO4/.test(formula);
}
