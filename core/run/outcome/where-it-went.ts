import { derive, type Figure, given } from '#base/figure';
import { formatNumber } from '#base/units';
import { molarMass, molarMassFigure, type SubstanceId, speciesOf, substanceOf } from '#matter/substance';
import { type Contents, type Place, speciesAmount, total, type Vessels } from '#matter/vessel';
import { type Plan, stockIn } from '#run/plan';
import type { RunState } from '#run/state';
import { basesOf, ratioOf } from './chain-yield.ts';

/** A part of all that could have come, and where it is. */
export interface Went {
  readonly id: 'product' | 'liquor' | 'paper' | 'walls' | 'samples' | 'spilled' | 'unreacted' | 'other' | 'unexplained';
  readonly name: string;
  /** mol of product that it stands for; negative where more was found than computed. */
  readonly mol: Figure;
  /** Of all that could have come, %. */
  readonly pct: number;
  /** What it would bring back and cost; empty where nothing would. */
  readonly back: string;
}

export interface WhereItWent {
  /** What all of it is counted on. */
  readonly of: string;
  readonly role: string;
  /** mol of product that could have come. */
  readonly all: Figure;
  /** Sums to 100 %. */
  readonly parts: readonly Went[];
  /** False while the product was not found: what was to be expected stands for it. */
  readonly found: boolean;
}

const NAMES: Readonly<Record<Went['id'], string>> = {
  product: 'product',
  liquor: 'in the mother liquor',
  paper: 'in paper and cake',
  walls: 'on the vessel’s walls',
  samples: 'in test portions',
  spilled: 'spilled or poured off',
  unreacted: 'not reacted',
  other: 'in what is made on the way',
  unexplained: 'not explained',
};

/** Where the places of a run count to; every other one holds the product. */
const PLACES: Readonly<Partial<Record<Place, Went['id']>>> = {
  liquor: 'liquor',
  paper: 'paper',
  dish: 'walls',
  samples: 'samples',
  elsewhere: 'spilled',
  unfound: 'unexplained',
  air: 'other',
};

/**
 * Where all went that a reagent could have given, as product: found, left in liquor and paper, taken out, not reacted; and what
 * nothing explains. By what was entered, so far; null before anything went in, and where nothing is counted by extent.
 */
export function whereItWent(plan: Plan, state: RunState, basis: string | null = null): WhereItWent | null {
  const { now } = state.sheet;
  const lines = basesOf(plan, state);
  const line =
    basis === null ? (lines.find(({ limiting }) => limiting) ?? lines[0]) : lines.find(({ role }) => role === basis);
  const held = stockIn(plan, line?.bottleId)?.card.substanceId;
  if (!now || !line || held === undefined) return null;
  const made = substanceOf(state.productId);
  const product = speciesOf(made).id;
  const reagent = substanceOf(held as SubstanceId).species;
  const ratio = ratioOf(plan, line.role);
  const all = times(line.amount, ratio, `${made.name} that could come of it`);
  if (!(all.value > 0)) return null;
  const sums = new Map<Went['id'], Figure[]>();
  const put = (id: Went['id'], mol: Figure | undefined) => {
    if (mol && mol.value !== 0) sums.set(id, [...(sums.get(id) ?? []), mol]);
  };
  const same = product === reagent;
  for (const [place, contents] of placesOf(now.vessels)) {
    put(PLACES[place] ?? 'product', speciesAmount(contents, product));
    const left = same ? undefined : speciesAmount(contents, reagent);
    put('unreacted', left && times(left, ratio, 'not reacted'));
  }
  const sum = (id: Went['id']) => total(NAMES[id], 'mol', ...(sums.get(id) ?? [nothing(NAMES[id])]));
  const expected = sum('product');
  const weighed = foundOf(state);
  const rest = (['liquor', 'paper', 'walls', 'samples', 'spilled', 'unreacted'] as const).map(
    (id) => [id, sum(id)] as const,
  );
  const booked = [expected, sum('unexplained'), ...rest.map(([, mol]) => mol)].reduce((a, { value }) => a + value, 0);
  const other = derive(
    { symbol: 'n', name: NAMES.other, unit: 'mol' },
    'a − b',
    { a: all, b: given({ symbol: 'b', name: 'what is booked elsewhere', unit: 'mol' }, booked, 'the vessels') },
    (x) => x.a - x.b,
  );
  const lacks = sum('unexplained');
  const unexplained = weighed
    ? derive(
        { symbol: 'n', name: NAMES.unexplained, unit: 'mol' },
        'e − w + u',
        { e: expected, w: weighed, u: lacks },
        (x) => x.e - x.w + x.u,
      )
    : lacks;
  const parts: readonly (readonly [Went['id'], Figure])[] = [
    ['product', weighed ?? expected],
    ...rest,
    ['other', other],
    ['unexplained', unexplained],
  ];
  return {
    of: line.name,
    role: line.role,
    all,
    found: weighed !== null,
    parts: parts
      .map(
        ([id, mol]): Went => ({
          id,
          name: NAMES[id],
          mol,
          pct: (100 * mol.value) / all.value,
          back: backOf(id, mol, made.id),
        }),
      )
      .filter(({ id, pct }) => id === 'product' || Math.abs(pct) >= LEAST_PCT),
  };
}

/** Less is a rounding, %. */
const LEAST_PCT = 0.05;

function placesOf(vessels: Vessels): readonly (readonly [Place, Contents])[] {
  return Object.entries(vessels).flatMap(([place, contents]) =>
    contents ? [[place as Place, contents] as const] : [],
  );
}

const nothing = (name: string) => given({ symbol: 'n', name, unit: 'mol' }, 0, 'nothing there');

function times(mol: Figure, ratio: number, name: string): Figure {
  const r = given({ symbol: 'r', name: 'mol of product for a mol', unit: '' }, ratio, 'the equations');
  return derive({ symbol: 'n', name, unit: 'mol' }, 'n × r', { n: mol, r }, (x) => x.n * x.r);
}

/** mol of product that was found by weighing, or by the strength of what was made. */
function foundOf(state: RunState): Figure | null {
  const mass = state.yield?.mass;
  if (!mass) return null;
  const M = molarMassFigure(substanceOf(state.productId).formula);
  return derive({ symbol: 'n', name: 'product, found', unit: 'mol' }, 'm ÷ M', { m: mass, M }, (x) => x.m / x.M);
}

/** Under so many g nothing is worth the trouble. */
const WORTH_G = 0.3;

function backOf(id: Went['id'], mol: Figure, madeId: SubstanceId): string {
  const g = mol.value * molarMass(substanceOf(madeId).formula);
  if (g < WORTH_G) return '';
  const half = formatNumber(g / 2, 2);
  switch (id) {
    case 'liquor':
      return `Boiled down by half and cooled again: about ${half} g more, less pure; an hour of work and a night.`;
    case 'paper':
      return `Dissolved off with a little warm water into the next batch: most of ${formatNumber(g, 2)} g, ten minutes.`;
    case 'walls':
      return `Rinsed off with a spoon of warm water into the liquor: most of ${formatNumber(g, 2)} g.`;
    case 'unreacted':
      return 'More time, more of the other reagent, or stirring: it is still there to react.';
    case 'unexplained':
      return 'Weigh the paper dry, look at rinse and rim; or a bottle was weaker than its label: assay it.';
    default:
      return '';
  }
}
