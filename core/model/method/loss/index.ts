import { derive, given } from '#base/figure';
import { entryOf } from '#base/lookup';
import { fail, ok } from '#base/problem';
import type { Content } from '#matter/stock';
import { molarMass } from '#matter/substance';
import { type MeasuredMethod, weighingSd } from '../method.ts';

/** Weighed before and after drying below its ceiling: what is lost is moisture, the rest is taken as the substance. */
export const drying: MeasuredMethod = {
  is: 'measured',
  id: 'drying',
  title: 'loss on drying',
  needs: ['oven'],
  known: [],
  suits: ({ dissolved, substance }) => (dissolved || substance.form === 'metal' ? 'it is no powder that dries' : null),
  reaction: () => '',
  steps: [
    'Weigh an open dish, then with about 2 g in it.',
    'Dry an hour 10 °C below its ceiling, cool closed, weigh; repeat until two weighings agree.',
  ],
  entries: [
    { name: 'dishG', label: 'empty dish', unit: 'g', least: 0, most: 2000, sd: (bench) => weighingSd(bench) },
    { name: 'beforeG', label: 'dish with sample', unit: 'g', least: 0, most: 2000, sd: (bench) => weighingSd(bench) },
    { name: 'afterG', label: 'dish, dried', unit: 'g', least: 0, most: 2000, sd: (bench) => weighingSd(bench) },
  ],
  strength: ({ content, read }) => {
    const dishG = entryOf(read, 'dishG');
    const beforeG = entryOf(read, 'beforeG');
    const afterG = entryOf(read, 'afterG');
    const bad = dishes(dishG.value, beforeG.value, afterG.value);
    if (bad) return bad;
    return ok(
      derive(
        { symbol: 'w', name: `${content.substance.name}, as what stays`, unit: '%' },
        '100 × (a − d) ÷ (b − d)',
        { a: afterG, b: beforeG, d: dishG },
        (x) => (100 * (x.a - x.d)) / (x.b - x.d),
      ),
    );
  },
  model: () => ({ dishG: 30, beforeG: 32, afterG: 31.9 }),
  besidesSd: 0.02,
  besides: 'what does not dry off is taken as the substance',
  minutes: 180,
  cautions: ['Not above its ceiling: crystals lose their own water.'],
};

/** What a substance becomes when it is heated, and how much of its mass is left. */
const IGNITED: Readonly<
  Record<string, { readonly leaves: string; readonly per: number; readonly reaction: string; readonly at: string }>
> = {
  'sodium-hydrogencarbonate': { leaves: 'Na2CO3', per: 0.5, reaction: '2 NaHCO3 -> Na2CO3 + CO2 + H2O', at: '200 °C' },
  'copper-sulfate-pentahydrate': { leaves: 'CuSO4', per: 1, reaction: 'CuSO4.5H2O -> CuSO4 + 5 H2O', at: '250 °C' },
  'magnesium-sulfate-heptahydrate': { leaves: 'MgSO4', per: 1, reaction: 'MgSO4.7H2O -> MgSO4 + 7 H2O', at: '280 °C' },
  'zinc-sulfate-heptahydrate': { leaves: 'ZnSO4', per: 1, reaction: 'ZnSO4.7H2O -> ZnSO4 + 7 H2O', at: '300 °C' },
  'sodium-carbonate-decahydrate': {
    leaves: 'Na2CO3',
    per: 1,
    reaction: 'Na2CO3.10H2O -> Na2CO3 + 10 H2O',
    at: '200 °C',
  },
  'sodium-thiosulfate-pentahydrate': {
    leaves: 'Na2S2O3',
    per: 1,
    reaction: 'Na2S2O3.5H2O -> Na2S2O3 + 5 H2O',
    at: '110 °C',
  },
};

/** Heated until it loses no more: what went is counted against what the pure substance loses. Which hydrate it is follows from it. */
export const ignition: MeasuredMethod = {
  is: 'measured',
  id: 'ignition',
  title: 'loss on heating',
  needs: ['oven'],
  known: [],
  suits: ({ substance }) => (Object.hasOwn(IGNITED, substance.id) ? null : 'what heating makes of it is not held'),
  reaction: ({ substance }) => IGNITED[substance.id]?.reaction ?? '',
  steps: [
    'Weigh an open dish, then with about 5 g in it.',
    'Heat until two weighings agree: to 200 to 300 °C, slowly, since crystals spit.',
  ],
  entries: drying.entries,
  strength: ({ content, read }) => {
    const dishG = entryOf(read, 'dishG');
    const beforeG = entryOf(read, 'beforeG');
    const afterG = entryOf(read, 'afterG');
    const bad = dishes(dishG.value, beforeG.value, afterG.value);
    if (bad) return bad;
    const share = lossShare(content);
    if (share === undefined) return fail('no-data', 'What heating makes of it is not held.');
    const pure = given(
      { symbol: 'L', name: 'the pure substance loses', unit: '' },
      share,
      IGNITED[content.substance.id]?.reaction ?? '',
    );
    return ok(
      derive(
        { symbol: 'w', name: `${content.substance.name}, by what it loses`, unit: '%' },
        '100 × (b − a) ÷ ((b − d) × L)',
        { a: afterG, b: beforeG, d: dishG, L: pure },
        (x) => (100 * (x.b - x.a)) / ((x.b - x.d) * x.L),
      ),
    );
  },
  model: (content) => ({ dishG: 30, beforeG: 35, afterG: 35 - 5 * (lossShare(content) ?? 0) }),
  besidesSd: 0.003,
  besides: 'moisture counts as what it loses',
  minutes: 150,
  cautions: ['Hot glass cracks on a cold stone; crystals spit: goggles.'],
};

function lossShare({ substance }: Content): number | undefined {
  const facts = Object.hasOwn(IGNITED, substance.id) ? IGNITED[substance.id] : undefined;
  return facts && 1 - (facts.per * molarMass(facts.leaves)) / molarMass(substance.formula);
}

function dishes(dish: number, before: number, after: number) {
  if (!(before > dish))
    return fail('out-of-range', 'The dish with the sample weighs no more than the empty dish.', { field: 'beforeG' });
  if (after > before)
    return fail('out-of-range', 'It weighs more than before: it took something up, or a weighing is wrong.', {
      field: 'afterG',
    });
  if (after < dish)
    return fail('out-of-range', 'It weighs less than the empty dish: a weighing is wrong.', { field: 'afterG' });
  return undefined;
}
