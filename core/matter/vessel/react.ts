import { derive, type Figure } from '#base/figure';
import { must, numberAt } from '#base/lookup';
import type { Reaction } from '#matter/reaction';
import { molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import { amountOf, type Contents, entriesOf, phaseOf, phases, withAmount } from './contents.ts';
import { subscript, total } from './total.ts';

export interface Reacted {
  readonly contents: Contents;
  /** mol of reaction as written. */
  readonly extent: Figure;
  readonly limiting: SubstanceId;
  /** mol of each product that leaves as gas. */
  readonly gases: readonly { readonly id: SubstanceId; readonly amount: Figure }[];
}

/** Lets a reaction go to its end: the reactant with least moles per coefficient limits it; gases leave. */
export function react(contents: Contents, reaction: Reaction): Reacted | undefined {
  const present = reaction.reactants.flatMap(({ substanceId, n }) => {
    const amount = substanceId === 'water' ? waterMol(contents) : amountOf(contents, substanceId);
    return amount && !(amount.value <= 0) ? [{ substanceId, n, amount }] : [];
  });
  if (present.length < reaction.reactants.length) return undefined;
  const inputs: Record<string, Figure> = {};
  const terms: string[] = [];
  for (const [i, { n, amount }] of present.entries()) {
    const symbol = `n${subscript(i + 1)}`;
    inputs[symbol] = amount;
    terms.push(n === 1 ? symbol : `${symbol} ÷ ${n}`);
  }
  const coefficients = present.map(({ n }) => n);
  const extent = derive(
    { symbol: 'ξ', name: 'extent of reaction, by the limiting reagent', unit: 'mol' },
    `min(${terms.join('; ')})`,
    inputs,
    (x) => Math.min(...Object.values(x).map((value, i) => value / numberAt(coefficients, i))),
  );
  const limiting = present.reduce((a, b) => (b.amount.value / b.n < a.amount.value / a.n ? b : a)).substanceId;
  let now = contents;
  for (const { substanceId, n, amount } of present)
    if (substanceId !== 'water') now = usedUp(now, substanceId, n, amount, extent);
  const taken = reaction.reactants.find(({ substanceId }) => substanceId === 'water')?.n ?? 0;
  if (taken > 0) now = { ...now, waterG: waterTaken(now.waterG, taken, extent) };
  const gases: { id: SubstanceId; amount: Figure }[] = [];
  const water = reaction.products.find(({ substanceId }) => substanceId === 'water');
  if (water) now = { ...now, waterG: total('water', 'g', now.waterG, waterMade(made('water', water.n, extent))) };
  for (const { substanceId, n } of reaction.products) {
    if (substanceId === 'water') continue;
    const amount = made(substanceId, n, extent);
    const phase = phaseOf(substanceOf(substanceId), now.waterG.value > 0);
    if (phase === 'gas') gases.push({ id: substanceId, amount });
    else now = withAmount(now, phase, substanceId, amount);
  }
  return { contents: now, extent, limiting, gases };
}

function waterMol({ waterG }: Contents): Figure {
  return derive({ symbol: 'n', name: 'water', unit: 'mol' }, 'm ÷ Mw', { m: waterG, Mw: molarMassFigure('H2O') }, (x) =>
    Math.max(0, x.m / x.Mw),
  );
}

/** What is left of a reactant stays in the phase that held most of it. */
function usedUp(contents: Contents, id: SubstanceId, n: number, amount: Figure, extent: Figure): Contents {
  const left = derive(
    { symbol: 'n', name: `${substanceOf(id).name} left over`, unit: 'mol' },
    n === 1 ? 'n₀ − ξ' : `n₀ − ${n} × ξ`,
    { 'n₀': amount, ξ: extent },
    (x) => Math.max(0, x['n₀'] - n * x.ξ),
  );
  const holding = phases.filter((phase) => contents[phase][id] !== undefined);
  const [most = 'aqueous'] = [...holding].sort(
    (a, b) => must(contents[b][id], id).value - must(contents[a][id], id).value,
  );
  let now = contents;
  for (const phase of holding)
    now = { ...now, [phase]: Object.fromEntries(entriesOf(now[phase]).filter(([each]) => each !== id)) };
  return { ...now, [most]: { ...now[most], [id]: left } };
}

function made(id: SubstanceId, n: number, extent: Figure): Figure {
  return derive(
    { symbol: 'n', name: `${substanceOf(id).name} made`, unit: 'mol' },
    n === 1 ? 'ξ' : `${n} × ξ`,
    { ξ: extent },
    (x) => n * x.ξ,
  );
}

function waterTaken(waterG: Figure, n: number, extent: Figure): Figure {
  return derive(
    { symbol: 'm(water)', name: 'water left', unit: 'g' },
    `m₀ − ${n} × ξ × Mw`,
    { 'm₀': waterG, ξ: extent, Mw: molarMassFigure('H2O') },
    (x) => Math.max(0, x['m₀'] - n * x.ξ * x.Mw),
  );
}

function waterMade(amount: Figure): Figure {
  return derive(
    { symbol: 'm(water)', name: 'water made by the reaction', unit: 'g' },
    'n × Mw',
    { n: amount, Mw: molarMassFigure('H2O') },
    (x) => x.n * x.Mw,
  );
}
