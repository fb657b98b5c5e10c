import { type Problem, problem } from '#base/problem';
import type { Bench } from '#matter/gear';
import { Claims, readSize, readSubstance } from '#matter/label';
import { type SubstanceId, substanceOf } from '#matter/substance';
import { parseTarget, type Route, type ShelfBottle } from '#run/route';
import { type ChainSheet, chainSheet } from './chain-sheet.ts';
import { type Chain, type ChainNode, findChains } from './find-chains.ts';

/** What a chain is asked for by: “20 g zinc acetate from zinc”. */
export interface ChainAsking {
  readonly text: string;
  readonly shelf: readonly ShelfBottle[];
  readonly bench: Bench;
  /** ISO day. */
  readonly today: string;
  readonly routes?: readonly Route[] | undefined;
}

/** A chain as it is shown: what becomes what, with its numbers where they can be had. */
export interface ChainShown {
  /** From the first thing taken to what is wanted, each made of the one before. */
  readonly line: readonly string[];
  readonly buys: readonly string[];
  readonly handsOnH: number;
  readonly waitH: readonly [number, number];
  readonly sheet: ChainSheet | null;
  /** Why it has no numbers. */
  readonly problem: string;
}

export interface ChainAnswer {
  readonly problems: readonly Problem[];
  readonly wanted: string;
  readonly chains: readonly ChainShown[];
}

/** g that is taken where no amount is said. */
const USUAL_G = 20;

/** Reads what is wanted and from what, and finds the ways there over whatever lies between. */
export function chainsFor({ text, shelf, bench, today, routes }: ChainAsking): ChainAnswer {
  const [target = '', ...rest] = text.split(/\bfrom\b/i);
  const read = parseTarget(target, bench.tempC);
  // Where no amount is said there is a usual one; an amount that cannot be is said.
  const said = read.problems.filter(({ field, code }) => field !== 'size' || code !== 'missing-part');
  if (said.length > 0 || !read.substanceId) return { problems: said, wanted: '', chains: [] };
  const source = rest.join(' from ').trim();
  const problems: Problem[] = [];
  const claims = new Claims(source);
  const taken = readSize(claims, problems);
  const from = source === '' ? null : (readSubstance(claims, problems)?.id ?? null);
  if (taken) problems.push(fromAnAmount());
  if (problems.length > 0) return { problems, wanted: '', chains: [] };
  const wanted = read.substanceId;
  const { name } = substanceOf(wanted);
  const found = findChains({ wanted, from, shelf, routes });
  if (found.length === 0) return { problems: [nothing(name, from)], wanted: name, chains: [] };
  const amount = read.amount ?? { value: USUAL_G, unit: 'g' as const };
  return {
    problems: [],
    wanted: name,
    chains: found.map((chain) => shown(chain, from, { amount, shelf, bench, today })),
  };
}

function fromAnAmount(): Problem {
  const sentence =
    'A chain is computed from what is wanted: write “20 g zinc acetate from zinc”, and it says how much of each is taken.';
  return problem('invalid-input', sentence, { field: 'size' });
}

function nothing(name: string, from: SubstanceId | null): Problem {
  const sentence =
    from === null
      ? `No route leads to ${name}. Make it your own way: with its equation.`
      : `No chain of routes leads from ${substanceOf(from).name} to ${name}. Leave out “from” to see what it is made of.`;
  return problem('no-route', sentence, { field: 'target' });
}

function shown(chain: Chain, from: SubstanceId | null, where: Parameters<typeof chainSheet>[1]): ChainShown {
  const sheet = chainSheet(chain, where);
  return {
    line: lineOf(chain.last, from, where.shelf).reverse(),
    buys: chain.buys.map((id) => substanceOf(id).name),
    handsOnH: chain.handsOnH,
    waitH: chain.waitH,
    sheet: sheet.ok ? sheet.value : null,
    problem: sheet.ok ? '' : sheet.problem.message,
  };
}

/** Back from what is made over what was made for it, to a bottle: that of `from`, where it is one. */
function lineOf(node: ChainNode, from: SubstanceId | null, shelf: readonly ShelfBottle[]): string[] {
  const made = node.inputs.find((each) => each.by === 'made');
  const own = substanceOf(node.makes).name;
  if (made?.by === 'made') return [own, ...lineOf(made.node, from, shelf)];
  const species = from === null ? null : substanceOf(from).species;
  const taken = node.inputs.flatMap((each) => (each.by === 'made' ? [] : [each.substanceId]));
  const first = taken.find((id) => substanceOf(id).species === species) ?? taken[0];
  return first ? [own, substanceOf(first).name] : [own];
}
