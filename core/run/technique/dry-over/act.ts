import { datum, derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { molarMass, molarMassFigure, substanceOf } from '#matter/substance';
import {
  amountOf,
  at,
  type Contents,
  emptyContents,
  holding,
  liquidVolume,
  parted,
  phaseG,
  poured,
  speciesAmount,
} from '#matter/vessel';
import { agentOver, liquidClassOf } from '#model/dry';
import type { At } from '../facts.ts';
import { liquidFigures } from '../liquid.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

/** mL of liquid that a g of agent and the paper keep. Estimates, grade C. */
const KEPT_G_PER_G = 0.7;

/** The agent takes what its hydrate can of the water, keeps some of the liquid, and the rest runs through. */
export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const doing = begin(standing);
  const { facts } = step;
  const place = placeOf(op);
  const before = at(standing.vessels, place);
  const agent = facts.contents[op.role]?.substance;
  const liquid = liquidClassOf(op.liquid);
  const over = agent && liquid && agentOver(agent.species, liquid);
  const n = amountOf(before, op.liquid);
  const there = agent && speciesAmount(before, agent.species);
  if (!over || !n || !there || !agent) return ok(doing);
  const M = molarMassFigure(substanceOf(agent.species).formula);
  const source = { source: 'capacity in practice, Perrin and Armarego', grade: 'C' } as const;
  const capacity = datum(
    { symbol: 'k', name: `water that ${agent.name} takes`, unit: 'g/g' },
    {
      value: over.capacity,
      uncertainty: { capacity: { name: 'capacity of the drying agent', effect: 0.2 * over.capacity } },
    },
    source,
  );
  const Ml = molarMassFigure(substanceOf(op.liquid).formula);
  const leaves = datum(
    { symbol: 'r', name: 'water that it leaves', unit: '%' },
    {
      value: over.leavesPct,
      uncertainty: { leaves: { name: 'how dry the agent gets it', effect: 0.3 * over.leavesPct } },
    },
    source,
  );
  const bound = derive(
    { symbol: 'W', name: 'water taken up', unit: 'g' },
    'max(0; min(k × n × M; W − r × N × L ÷ 100))',
    { k: capacity, n: there, M, W: before.waterG, r: leaves, N: n, L: Ml },
    (x) => Math.max(0, Math.min(x.k * x.n * x.M, x.W - (x.r * x.N * x.L) / 100)),
  );
  doing.figures = {
    'dried.water': bound,
    'dried.hours': given({ symbol: 't', name: 'time over the agent', unit: 'h' }, over.hours[1], 'shaken now and then'),
  };
  if (isUnderWay(step)) return ok(doing);
  const dry = less(before, bound);
  const agentG = phaseG({ [agent.species]: there });
  const all = n.value * molarMass(substanceOf(op.liquid).formula) + dry.waterG.value;
  const kept = keptShare(step, { agentG, all, allMl: liquidVolume({ ...dry, solid: {} }, facts.tables) });
  const { solid: lies, inertG, ...rest } = dry;
  // A trace of water dissolves some of the agent by the tables of water; in spirit it lies at the bottom.
  const { [agent.species]: _, ...aqueous } = rest.aqueous;
  const solid = { ...lies, [agent.species]: there };
  const { kept: stays, gone } = parted({ ...rest, aqueous, solid: {}, inertG: emptyContents.inertG }, kept);
  const cake: Contents = { ...emptyContents, solid, inertG, waterG: bound };
  doing.vessels = poured(holding(doing.vessels, place, emptyContents), 'paper', cake);
  doing.vessels = poured(poured(doing.vessels, 'paper', stays), op.into, gone);
  Object.assign(doing.figures, liquidFigures(doing.vessels, facts));
  return ok(doing);
}

/** What the agent and the paper keep of the liquid, 0 to 1: by its usual hold, or by what was weighed afterwards. */
function keptShare(
  { entries, key }: At,
  { agentG, all, allMl }: { agentG: number; all: number; allMl: number },
): Figure {
  const { mass, volume } = entries.readings;
  const ml = volume && readingValue(volume);
  // Millilitres by how much there was of either.
  const byMl =
    ml && allMl > 0
      ? { value: (ml.value * all) / allMl, sd: (Math.max(ml.sd, 0.02 * ml.value) * all) / allMl }
      : undefined;
  const read = (mass && readingValue(mass)) ?? byMl;
  const naming = { symbol: 'kept', name: 'part that agent and filter keep', unit: '' };
  if (read && read.value >= 0 && all > 0) {
    const share = Math.min(1, Math.max(0, 1 - read.value / all));
    const uncertainty = { [`read:mass:${key}`]: { name: 'weighing the dried liquid', effect: read.sd / all } };
    return given(naming, { value: share, uncertainty }, 'weighed at the bench');
  }
  const share = all > 0 ? Math.min(0.9, (KEPT_G_PER_G * agentG) / all) : 0;
  const uncertainty = { kept: { name: 'what agent and filter keep', effect: 0.3 * share } };
  return datum(naming, { value: share, uncertainty }, { source: 'estimate: 0.7 g for each g of agent', grade: 'C' });
}

function less(contents: Contents, bound: Figure): Contents {
  const waterG = derive(
    { symbol: 'W', name: 'water left in it', unit: 'g' },
    'W₀ − W',
    { 'W₀': contents.waterG, W: bound },
    (x) => x['W₀'] - x.W,
  );
  return { ...contents, waterG };
}
