import { derive, type Figure, relabel, sdOf } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { budget, type Share } from '#base/units';
import { type StrengthUnit, strengthIn, strengthsOf } from '#matter/solution';
import { molarMassFigure } from '#matter/substance';
import { methodById } from '#model/method';
import { type Advice, adviceOf } from './advice.ts';
import { probeOf } from './probe.ts';
import type { AssayEntry } from './record/entries.ts';
import { type Told, toldBy } from './record/fold.ts';
import type { AssayPlan } from './record/plan.ts';
import { molPerGOf } from './reduce/known.ts';
import { blankOf, resultOf, type Setting, settingOf, titreFigure } from './reduce/reduce.ts';
import { type Statistics, statisticsOf } from './reduce/statistics.ts';
import type { AssayResult, ReplicateState } from './standing.ts';

/** A bottle on the way to the result. */
export interface Link {
  readonly name: string;
  /** Its strength in the unit it is spoken of. */
  readonly strength: Figure;
  /** “measured 2026-11-19, soda; weighed”, “by its label alone”. */
  readonly how: string;
  readonly relativePct: number;
}

export interface AssayState {
  readonly title: string;
  readonly reaction: string;
  readonly replicates: readonly ReplicateState[];
  readonly blanks: readonly ReplicateState[];
  readonly blank: Figure | null;
  /** The one being worked on; its key is the next free one where none is begun. */
  readonly current: string;
  readonly statistics: Statistics | null;
  readonly result: AssayResult | null;
  /** From what is known to what is found: each with its relative uncertainty, ± % at 95 %. */
  readonly chain: readonly Link[];
  /** What the bottle was taken for, mass %. */
  readonly label: Figure;
  readonly advice: Advice;
  readonly applied: { readonly said: string; readonly at: string } | null;
  readonly notes: readonly string[];
  readonly lastId: string | null;
}

/** Everything that follows from an assay's plan and its entries, in whatever state they are. */
export function assayState(plan: AssayPlan, entries: readonly AssayEntry[]): Result<AssayState> {
  const told = toldBy(entries);
  const asDiluted = told.dilution ? { ...plan, dilution: told.dilution } : plan;
  const found = settingOf(asDiluted, methodById(plan.methodId));
  if (!found.ok) return found;
  const setting = found.value;
  const blank = blankOf(setting, told.blanks);
  const replicates = told.replicates.map((each) => replicateOf(setting, each, blank));
  const blanks = told.blanks.map((each) => replicateOf(setting, each, null));
  const counted = replicates.filter(({ counts }) => counts);
  const statistics = statisticsOf(counted.map(({ found: w }) => w?.value ?? Number.NaN)) ?? null;
  const result = resultFrom(setting, counted, statistics);
  const current = currentOf([...replicates, ...blanks], replicates);
  return ok({
    title: titleOf(setting),
    reaction:
      setting.pair?.reaction ?? (setting.method.is === 'measured' ? setting.method.reaction(setting.content) : ''),
    replicates,
    blanks,
    blank,
    current,
    statistics,
    result,
    chain: chainOf(setting, result),
    label: setting.content.w,
    advice: adviceOf(setting, { replicates: [...replicates, ...blanks], current, blank, result, statistics }),
    applied: told.applied,
    notes: told.notes,
    lastId: told.lastId,
  });
}

/** “permanganate, its own colour; weighed”. */
export function titleOf({ method, plan }: Pick<Setting, 'method' | 'plan'>): string {
  if (method.is === 'measured') return method.title;
  const against = plan.turned ? ', against a weighed standard' : '';
  return `${method.title}${against}; ${plan.byMass ? 'weighed' : 'by burette'}`;
}

function chainOf({ plan, known, content }: Setting, result: AssayResult | null): readonly Link[] {
  const links = known.map(({ content: of }, i): Link => {
    const card = plan.known[i]?.card;
    // Weighed, a titrant is known by what a gram of it holds: its density adds no uncertainty to it.
    const shown = plan.byMass && of.dissolved ? perKg(of) : spokenIn(of, plan, card?.strength?.unit);
    const how = card?.measured ? `${card.measured.day}, ${card.measured.method}` : 'by its label alone';
    return { name: card?.name ?? of.substance.name, strength: shown, how, relativePct: relativePctOf(shown) };
  });
  const found = result?.w ?? content.w;
  const said = spokenIn({ ...content, w: found }, plan, plan.bottle.card.strength?.unit);
  const how = result
    ? `${result.relativePct <= plan.tolerancePct ? 'as sure as was wanted' : 'not yet as sure as was wanted'}`
    : 'label, to be found out';
  return [...links, { name: plan.bottle.card.name, strength: said, how, relativePct: relativePctOf(said) }];
}

function perKg(content: Setting['content']): Figure {
  const c = molPerGOf(content);
  return derive({ symbol: 'c', name: 'amount in a kilogram', unit: 'mmol/kg' }, '10⁶ × c', { c }, (x) => 1e6 * x.c);
}

function spokenIn(
  { w, substance, density }: Setting['content'],
  { bench }: AssayPlan,
  unit: StrengthUnit | undefined,
): Figure {
  if (unit !== 'mol/L' || !density) return w;
  const table = strengthIn(w, 'mol/L', substance, bench.tempC);
  if (table.ok) return table.value;
  const M = molarMassFigure(substance.formula);
  return derive(
    { symbol: 'c', name: 'amount', unit: 'mol/L' },
    '10 × ρ × w ÷ M',
    { w, M, ρ: density },
    (x) => (10 * x.ρ * x.w) / x.M,
  );
}

function relativePctOf(figure: Figure): number {
  return figure.value > 0 ? (200 * sdOf(figure)) / figure.value : 100;
}

function replicateOf(setting: Setting, told: Told, blank: Figure | null): ReplicateState {
  const titre = titreFigure(setting, told);
  const result = told.blank ? null : resultOf(setting, told, blank);
  const isRead = told.state === 'sign' || (setting.method.is === 'measured' && told.state === 'open');
  const isCounted = told.state === 'sign' && !told.out && result?.ok === true;
  return {
    ...told,
    titre,
    probe: probeOf(setting, told),
    // While it runs, what it has found so far is a floor: the drawing shows it so.
    found: result?.ok && told.state !== 'spoilt' ? result.value : null,
    problem: isRead && result && !result.ok ? result.problem : null,
    counts: isCounted,
  };
}

function currentOf(all: readonly ReplicateState[], replicates: readonly ReplicateState[]): string {
  const open = all.findLast(({ state }) => state === 'open');
  return open?.key ?? String(Math.max(0, ...replicates.map(({ key }) => Number(key) || 0)) + 1);
}

/** The mean of what counts, with the scatter of the replicates where that is more than their readings explain. */
function resultFrom(
  { content, plan }: Setting,
  counted: readonly ReplicateState[],
  statistics: Statistics | null,
): AssayResult | null {
  const founds = counted.flatMap(({ found }) => found ?? []);
  const [first] = founds;
  if (!first || !statistics) return null;
  const mean = meanOf(founds);
  const w = withScatter(mean, founds, statistics);
  // None found is no strength to stand behind: the replicates say so themselves.
  if (!(w.value > 0)) return null;
  const relativePct = (200 * sdOf(w)) / w.value;
  return {
    w,
    strengths: w.value <= 100 ? strengthsOf(w, content.substance, plan.bench.tempC, content.dissolved) : [w],
    relativePct,
    budget: named(budget(w)),
    enough: relativePct <= plan.tolerancePct,
  };
}

function meanOf(founds: readonly Figure[]): Figure {
  const n = founds.length;
  const [first] = founds;
  if (n === 1 && first) return relabel(first, { symbol: 'w', name: 'strength found' });
  const inputs = Object.fromEntries(founds.map((each, i) => [`w${i + 1}`, each]));
  const shown = `(${founds.map((_, i) => `w${i + 1}`).join(' + ')}) ÷ ${n}`;
  return derive(
    { symbol: 'w', name: 'strength found, mean', unit: '%' },
    shown,
    inputs,
    (x) => Object.values(x).reduce((a, b) => a + b, 0) / n,
  );
}

/** What only one replicate has in it is its own; the rest is shared and does not show in the scatter. */
function withScatter(mean: Figure, founds: readonly Figure[], { sd, n }: Statistics): Figure {
  if (sd === null) return mean;
  let own = 0;
  for (const [id, { effect }] of Object.entries(mean.uncertainty))
    if (founds.filter(({ uncertainty }) => id in uncertainty).length === 1) own += effect ** 2;
  const extra = sd ** 2 / n - own;
  if (!(extra > 0)) return mean;
  return {
    ...mean,
    uncertainty: {
      ...mean.uncertainty,
      [`scatter:${mean.symbol}`]: { name: 'scatter of the replicates', effect: Math.sqrt(extra) },
    },
  };
}

/** Shares of one name are one: a person does not ask which of three weighings. */
function named(shares: readonly Share[]): readonly Share[] {
  const by = new Map<string, Share>();
  for (const each of shares) {
    const before = by.get(each.name);
    by.set(each.name, before ? { ...before, share: before.share + each.share } : each);
  }
  return [...by.values()].sort((a, b) => b.share - a.share);
}
