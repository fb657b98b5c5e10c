import { must } from '#base/lookup';
import { ok, type Result } from '#base/problem';
import { formatPlain } from '#base/units';
import { contentOf } from '#matter/stock';
import { type SubstanceId, substanceOf } from '#matter/substance';
import { catalogue, type Route, type Target } from '#run/route';
import type { Sheet, SheetRow } from '#run/sheet';
import { sheetOf } from '#run/sheet';
import { type Asking, choicesOf, type PlanChoice } from './choices.ts';

/** Something that the shelf can make now. */
export interface Makeable {
  readonly name: string;
  /** How it is asked for; the field of a plan takes it as it stands. */
  readonly ask: string;
  /** “up to about 140 g”; empty where it is not known what a bottle of it still holds. */
  readonly most: string;
  /** The route of its plan, and how many there are. */
  readonly route: string;
  readonly routes: number;
  readonly row: SheetRow;
}

/** What one product more would open. */
export interface Opened {
  /** What is missing, as one would look for it. */
  readonly product: string;
  readonly opens: readonly { readonly name: string; readonly ask: string }[];
}

export interface MakeableAnswer {
  readonly now: readonly Makeable[];
  readonly next: readonly Opened[];
}

/** As much is asked for at first, and where nothing says what the bottles hold. */
const FIRST = {
  solid: { said: '20 g', amount: { value: 20, unit: 'g' }, strength: null },
  liquid: { said: '100 mL', amount: { value: 100, unit: 'mL' }, strength: null },
  solution: {
    said: '500 mL of 0.5 mol/L',
    amount: { value: 500, unit: 'mL' },
    strength: { value: 0.5, unit: 'mol/L' },
  },
} as const;
/** Of what the bottles could give, so much is asked for: doses are rounded, and hands are not exact. */
const SHARE = 0.9;
/** Less is a rinse of an empty bottle, g or mL. */
const LEAST = 1;
/** Where all of the bottle is over a cap of the room, a part of it may be within. */
const SMALLER = 0.25;

/** What can be made of the shelf as it stands, and what one more product would open. */
export function makeableFrom(where: Omit<Asking, 'text'>): Result<MakeableAnswer> {
  const now: Makeable[] = [];
  const next = new Map<string, Map<string, string>>();
  for (const wanted of targets(where.routes ?? [])) {
    const answer = choicesOf({ ...wanted.target, fromSubstanceId: null }, { ...where, firstOnly: true });
    if (!answer.ok) return answer;
    const { choices } = answer.value;
    const [best] = choices.filter(({ row, problem }) => row !== null && problem === null);
    if (best) {
      const made = asMuchAsThereIs(wanted, { best, routes: choices.length }, where);
      if (made) now.push(made);
    }
    // That a solution wants its solid needs no telling.
    else if (wanted.opens)
      for (const product of oneMissing(choices))
        next.set(product, (next.get(product) ?? new Map()).set(wanted.name, wanted.ask));
  }
  return ok({
    now,
    next: [...next]
      .map(([product, opens]) => ({ product, opens: [...opens].map(([name, ask]) => ({ name, ask })) }))
      .sort((a, b) => b.opens.length - a.opens.length || a.product.localeCompare(b.product)),
  });
}

interface Asked {
  readonly name: string;
  readonly target: Pick<Target, 'substanceId' | 'amount' | 'strength'>;
  readonly ask: string;
  /** Whether it is something else than what it is made of, so that a product more is worth telling. */
  readonly opens: boolean;
}

/** Everything that the catalogue makes, each once, as a person would ask for it. */
function targets(own: readonly Route[]): readonly Asked[] {
  const all = [...own, ...catalogue].flatMap((route) => productsOf(route));
  return [...new Map(all.map((wanted) => [wanted.ask, wanted])).values()];
}

function productsOf({ makes, roles }: Route): readonly Asked[] {
  if (makes.substanceId !== undefined) {
    const { name } = substanceOf(makes.substanceId);
    return [askedFor(makes.kind, { id: makes.substanceId, name, called: name, opens: true })];
  }
  if (makes.kind === 'solid') return [];
  const accepts = roles.find(({ id }) => id === makes.role)?.accepts ?? [];
  const species = new Set(accepts.map((id) => substanceOf(id).species));
  return [...species].map((id) => {
    const name = substanceOf(id).name.replace(/, anhydrous$/, '');
    return askedFor('solution', { id, name: `${name} solution`, called: name, opens: false });
  });
}

function askedFor(
  kind: keyof typeof FIRST,
  {
    id,
    name,
    called,
    opens,
  }: { readonly id: SubstanceId; readonly name: string; readonly called: string; readonly opens: boolean },
): Asked {
  const { said, amount, strength } = FIRST[kind];
  return { name, ask: `${said} ${called}`, opens, target: { substanceId: id, amount, strength } };
}

/** The plan that takes nearly all that the scarcest bottle holds, where that can be, else the first one. */
function asMuchAsThereIs(
  { name, ask }: Asked,
  { best, routes }: { readonly best: PlanChoice; readonly routes: number },
  where: Omit<Asking, 'text'>,
): Makeable | undefined {
  const made = { name, route: best.title, routes };
  const first = { ...made, ask, row: must(best.row, 'row') };
  const sheet = sheetOf(best.plan);
  const times = sheet.ok ? reach(sheet.value, where) : null;
  if (times === null) return { ...first, most: '' };
  // A bottle that is empty, or was used beyond what its label said, is not one whose content is not known.
  if (times * SHARE * best.plan.target.amount.value < LEAST) return undefined;
  const { value, unit } = best.plan.target.amount;
  for (const share of [SHARE, SHARE * SMALLER]) {
    const amount = twoFigures(value * times * share);
    const larger = sheetOf({ ...best.plan, target: { ...best.plan.target, amount: { value: amount, unit } } });
    if (!larger.ok || larger.value.shortages.length > 0) continue;
    const said = amountText(amount, unit);
    return {
      ...made,
      ask: ask.replace(/^[\d.]+ (?:g|mL)/, said),
      most: `up to about ${said}${/ of [\d.]+ mol\/L/.exec(ask)?.[0] ?? ''}`,
      row: larger.value.row,
    };
  }
  return { ...first, most: '' };
}

/** How many times the plan goes into what its bottles hold; null where one of them does not say. */
function reach(sheet: Sheet, { shelf, bench, today }: Omit<Asking, 'text'>): number | null {
  const doses = new Map<string, number>();
  for (const { bottleId, dose } of sheet.additions)
    if (bottleId) doses.set(bottleId, (doses.get(bottleId) ?? 0) + dose.mass.value);
  const times = [...doses].flatMap(([id, grams]) => {
    const bottle = shelf.find((each) => each.id === id);
    const content = bottle && contentOf(bottle, bench.tempC, today);
    const left = content?.ok ? content.value.leftG?.value : undefined;
    if (left === undefined) return [Number.NaN];
    return grams > 0 ? [left / grams] : [];
  });
  // A bottle that does not say is not a full one.
  return times.length === 0 || times.some(Number.isNaN) ? null : Math.min(...times);
}

function amountText(value: number, unit: string): string {
  return unit === 'mL' && value >= 1000 ? `${formatPlain(value / 1000)} L` : `${formatPlain(value)} ${unit}`;
}

/** Rounded down to two figures, so that it is never more than there is. */
function twoFigures(value: number): number {
  if (!(value > 0)) return 0;
  const step = 10 ** (Math.floor(Math.log10(value)) - 1);
  return Number((Math.floor(value / step) * step).toPrecision(2));
}

/** What each route lacks, where it lacks one thing alone. */
function oneMissing(choices: readonly PlanChoice[]): readonly string[] {
  return choices.flatMap(({ plan, roles, missing }) => {
    // That a thing can be diluted or made purer where it stands there already needs no telling.
    if (plan.route.makes.kind === 'solution' && plan.route.makes.substanceId === undefined) return [];
    const [only, ...others] = roles.filter(({ bottles }) => bottles.length === 0);
    if (!only || others.length > 0 || missing.length !== 1) return [];
    const accepted = plan.route.roles.find(({ id }) => id === only.id)?.accepts[0];
    const same =
      accepted !== undefined && substanceOf(accepted).species === substanceOf(plan.target.substanceId).species;
    return accepted === undefined || same ? [] : [substanceOf(accepted).name];
  });
}
