import { derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { formatPlain } from '#base/units';
import type { Bench } from '#matter/gear';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { startPlan, usualCard } from '#run/plan';
import type { ShelfBottle } from '#run/route';
import { type Sheet, sheetOf } from '#run/sheet';
import type { Chain, ChainInput, ChainNode } from './find-chains.ts';

/** One step of a chain with its numbers. */
export interface ChainStepSheet {
  readonly title: string;
  readonly makes: string;
  /** g or mL that it has to make for the next one. */
  readonly amount: { readonly value: number; readonly unit: 'g' | 'mL' };
  /** The field's text that plans it by itself. */
  readonly ask: string;
  readonly takes: readonly { readonly name: string; readonly take: string; readonly from: ChainInput['by'] }[];
  readonly yieldPct: Figure | null;
  readonly cost: Figure | null;
  readonly watch: string;
  readonly handsOnH: number;
  readonly waitH: readonly [number, number];
}

export interface ChainSheet {
  readonly steps: readonly ChainStepSheet[];
  /** Of the line from the first thing that is made to the end; null where a step has none. */
  readonly yieldPct: Figure | null;
  /** Of what has a price. */
  readonly cost: number | null;
  readonly buys: readonly { readonly name: string; readonly take: string }[];
}

interface Where {
  readonly amount: { readonly value: number; readonly unit: 'g' | 'mL' };
  readonly shelf: readonly ShelfBottle[];
  readonly bench: Bench;
  readonly today: string;
}

/** A chain with numbers, from its last step backwards: what each has to make is what the next one takes. */
export function chainSheet({ last }: Chain, where: Where): Result<ChainSheet> {
  const steps: ChainStepSheet[] = [];
  const buys = new Map<string, number>();
  const line: (Figure | null)[] = [];
  const down = (node: ChainNode, amount: Where['amount'], onLine: boolean): Result<true> => {
    const sheet = sheetFor(node, amount, where);
    if (!sheet.ok) return sheet;
    const { yieldPct } = sheet.value;
    if (onLine) line.push(yieldPct);
    for (const [i, input] of made(node).entries()) {
      const dose = sheet.value.additions.find(({ role }) => role === input.role)?.dose;
      const g = dose?.mass.value ?? 0;
      if (!(g > 0)) continue;
      const below = down(input.node, amountFor(input.node, g, dose?.volume?.value), onLine && i === 0);
      if (!below.ok) return below;
    }
    for (const input of node.inputs)
      if (input.by === 'bought') {
        const g = sheet.value.additions.find(({ role }) => role === input.role)?.dose.mass.value ?? 0;
        const { name } = substanceOf(input.substanceId);
        buys.set(name, (buys.get(name) ?? 0) + g);
      }
    steps.push(stepOf(node, amount, sheet.value));
    return ok(true);
  };
  const done = down(last, where.amount, true);
  if (!done.ok) return done;
  const costs = steps.flatMap(({ cost }) => (cost ? [cost.value] : []));
  return ok({
    steps,
    yieldPct: overall(line),
    cost: costs.length > 0 ? costs.reduce((sum, each) => sum + each, 0) : null,
    buys: [...buys].map(([name, g]) => ({ name, take: `about ${formatPlain(Number(g.toPrecision(2)))} g` })),
  });
}

const made = ({ inputs }: ChainNode) => inputs.flatMap((each) => (each.by === 'made' ? [each] : []));

/** What a step has to make; a solution is made 1 mol/L, as much as holds it. */
function amountFor({ route, makes }: ChainNode, g: number, mL: number | undefined): Where['amount'] {
  if (route.makes.kind === 'solid') return { value: g, unit: 'g' };
  if (route.makes.kind === 'solution') return { value: (1000 * g) / molarMass(substanceOf(makes).formula), unit: 'mL' };
  return mL !== undefined ? { value: mL, unit: 'mL' } : { value: g, unit: 'g' };
}

function sheetFor(node: ChainNode, amount: Where['amount'], { shelf, bench, today }: Where): Result<Sheet> {
  const supposed = node.inputs.flatMap((input): ShelfBottle[] => {
    if (input.by === 'bottle') return [];
    const substanceId = input.by === 'made' ? accepted(node, input) : input.substanceId;
    return [
      { id: `supposed_${input.role}`, card: usualCard(substanceId, 'intermediate', today), usedG: 0, archived: false },
    ];
  });
  const bottles = Object.fromEntries(
    node.route.roles.map(({ id }) => {
      const input = node.inputs.find(({ role }) => role === id);
      if (!input) return [id, null];
      return [id, input.by === 'bottle' ? input.bottleId : `supposed_${id}`];
    }),
  );
  const solution = node.route.makes.kind === 'solution';
  return sheetOf(
    startPlan({
      route: node.route,
      target: {
        substanceId: node.makes,
        amount,
        strength: solution ? { value: 1, unit: 'mol/L' } : null,
        fromRole: null,
      },
      bottles,
      shelf: [...shelf, ...supposed],
      bench,
      day: today,
    }),
  );
}

/** What the next route calls what this one makes: its own hydrate, or another of the species. */
function accepted({ route }: ChainNode, { role, node }: Extract<ChainInput, { by: 'made' }>): SubstanceId {
  const accepts = route.roles.find(({ id }) => id === role)?.accepts ?? [];
  const exact = accepts.find((id) => id === node.makes);
  return exact ?? accepts.find((id) => substanceOf(id).species === substanceOf(node.makes).species) ?? node.makes;
}

function stepOf(node: ChainNode, amount: Where['amount'], sheet: Sheet): ChainStepSheet {
  const { name } = substanceOf(node.makes);
  const rounded = { value: Number(amount.value.toPrecision(3)), unit: amount.unit };
  const solution = node.route.makes.kind === 'solution' ? ' of 1 mol/L' : '';
  return {
    title: node.route.title,
    makes: name,
    amount: rounded,
    ask: `${formatPlain(rounded.value)} ${rounded.unit}${solution} ${name}`,
    takes: sheet.additions
      .filter(({ bottleId }) => bottleId !== null)
      .map(({ role, name: of, dose }) => ({
        name: of,
        take: `${formatPlain(dose.take.value)} ${dose.take.unit}`,
        from: node.inputs.find((each) => each.role === role)?.by ?? 'bottle',
      })),
    yieldPct: sheet.yieldPct,
    cost: sheet.cost,
    watch: sheet.row.watch,
    handsOnH: sheet.hours.handsOn,
    waitH: sheet.hours.wait,
  };
}

/** The yields of the line multiplied; null where one of them is not known. */
function overall(line: readonly (Figure | null)[]): Figure | null {
  const known = line.filter((each) => each !== null);
  if (known.length < line.length) return null;
  const whole = given({ symbol: 'Y', name: 'whole', unit: '%' }, 100, 'all of it');
  return known.reduce(
    (Y, y) =>
      derive(
        { symbol: 'Y', name: 'overall yield expected', unit: '%' },
        'Y × y ÷ 100',
        { Y, y },
        (x) => (x.Y * x.y) / 100,
      ),
    whole,
  );
}
