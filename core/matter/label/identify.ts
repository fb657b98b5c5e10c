import { itemAt, must } from '#base/lookup';
import { type Problem, problem } from '#base/problem';
import { formulaText, type Substance } from '#matter/substance';
import { alloyIn } from './alloy.ts';
import { askedOf, isAskedFirst } from './asked.ts';
import type { ContentSaid } from './by-content.ts';
import type { Claims } from './claims.ts';
import { fertilisersBy, npkIn } from './fertiliser.ts';
import { ownIn } from './own.ts';
import type { Product } from './product.ts';
import { type Question, said } from './question.ts';
import { boughtAs, contains, isRefused, type Sold, soldAs } from './read-product.ts';
import type { ReadStrength } from './read-strength.ts';
import { type Match, namesIn, onlyPartRead, readingOf, readSubstances, refusalOf } from './read-substance.ts';
import { unsaid } from './unsaid.ts';

/** What is in a bottle by its label: substances in the order they stand, or the kind of product, or what must be said first. */
export interface Identity {
  readonly substances: readonly Substance[];
  /** Strengths that go with the name itself: a fertiliser's numbers, an alloy's code. */
  readonly strengths: readonly ReadStrength[];
  readonly product: Product | null;
  readonly question: Question | null;
}

const NOTHING: Identity = { substances: [], strengths: [], product: null, question: null };

/** Reads what a label names. Where two readings are possible it is asked, and nothing is named. */
export function identify(
  claims: Claims,
  { strengths, content }: { readonly strengths: readonly ReadStrength[]; readonly content: ContentSaid | undefined },
  problems: Problem[],
): Identity {
  const { typed } = claims;
  const stop = (each: Problem) => {
    problems.push(each);
    return NOTHING;
  };
  const alloy = alloyIn(claims);
  if (alloy) return alloy.refused ? stop(alloy.refused) : { ...NOTHING, ...alloy };
  const named = namesIn(claims);
  const names = soldAs(claims, named);
  const [sold] = names;
  const refused = refusalOf(typed, [...named, ...(sold ? [stretch(typed, sold)] : [])]);
  if (refused) return stop(refused);
  const first = isAskedFirst(typed) ? askedOf(typed, named) : undefined;
  if (first) return asked(first, problems);
  const fertiliser = byItsNumbers(claims, named, { problems, but: sold?.at });
  if (fertiliser) return fertiliser;
  const bought = sold
    ? boughtAs(typed, sold, { named, strengths, content })
    : ({ is: 'substance', among: [] } as const);
  const strange =
    bought.is === 'product' || bought.is === 'substance'
      ? onlyPartRead(claims, [...names.map(({ at }) => ({ index: at[0], 0: typed.slice(...at) })), ...named])
      : undefined;
  if (strange) return asked(strange, problems);
  switch (bought.is) {
    case 'refused':
      return stop(bought.problem);
    case 'asked':
      return asked(bought.question, problems);
    case 'product':
      return ofProduct(claims, { at: must(sold, 'sold').at, product: bought.product, named }, problems);
    case 'substance': {
      const question = sold && bought.among.length > 0 ? undefined : askedOf(typed, named);
      if (question) return asked(question, problems);
      // The word of the trade says nothing more than what is named.
      for (const { at } of names)
        if (!named.some((each) => each.index < at[1] && each.index + each[0].length > at[0]))
          claims.claim('name', { index: at[0], 0: typed.slice(...at) }, `called “${typed.slice(...at)}”`);
      const own = named.length === 0 ? ownIn(claims) : undefined;
      return { ...NOTHING, substances: own ? [own] : readSubstances(claims, problems, named) };
    }
  }
}

/** Asks, as a problem of the label: nothing is put on the shelf on a guess. */
export function asked(question: Question, problems: Problem[]): Identity {
  problems.push(problem('unknown-substance', question.asks, { field: 'substance' }));
  return { ...NOTHING, question };
}

function stretch(typed: string, { at, products }: Sold) {
  // A name of which everything is refused makes nothing else of what is refused in it.
  const allowed = !products.every(isRefused);
  return { index: at[0], 0: allowed ? typed.slice(...at) : '' };
}

function ofProduct(
  claims: Claims,
  { at, product, named }: { readonly at: Sold['at']; readonly product: Product; readonly named: readonly Match[] },
  problems: Problem[],
): Identity {
  const main = product.parts[0]?.substance ?? null;
  if (!main) {
    const sentence = `${capital(product.name)} is known: ${contains(product)}. No one formula stands for it, so nothing is computed of it.`;
    problems.push(problem('unknown-substance', sentence, { field: 'substance' }));
    return { ...NOTHING, product };
  }
  const typed = claims.typed.slice(...at);
  for (const each of named)
    if (!claims.isClaimed(each.index, each.index + each[0].length) && (each.index >= at[1] || each.index < at[0]))
      claims.claim('substance', each, readingOf(each.substance));
  claims.claim('substance', { index: at[0], 0: typed }, readingOf(main));
  const left = unsaid(claims.leftOver());
  if (left !== undefined) {
    const sentence = `“${left}” changes what it is, and is not understood: “${typed}” alone would be ${contains(product)}. Write the whole name as the label has it.`;
    problems.push(problem('unknown-substance', sentence, { field: 'substance' }));
    return NOTHING;
  }
  return { ...NOTHING, substances: [main], product };
}

/** A fertiliser that its three numbers tell. */
function byItsNumbers(
  claims: Claims,
  named: readonly Match[],
  { problems, but: [from, to] = [0, 0] }: { readonly problems: Problem[]; readonly but: Sold['at'] | undefined },
): Identity | undefined {
  const code = npkIn(claims.typed);
  if (code && code.index < to && code.index + code.typed.length > from) return undefined;
  if (!code || claims.isClaimed(code.index, code.index + code.typed.length)) return undefined;
  const fits = fertilisersBy(code);
  const own = named.length === 0 ? fits : fits.filter(({ substance }) => named.some((each) => isSame(each, substance)));
  if (own.length === 1) {
    const [{ substance, pct }] = own as [(typeof own)[number]];
    claims.claim('strength', { index: code.index, 0: code.typed }, `${pct} % by its numbers`);
    for (const each of named) claims.claim('substance', each, readingOf(substance));
    if (named.length === 0) claims.claim('name', { index: 0, 0: '' }, readingOf(substance));
    const assumed = `By its numbers it is ${formulaText(substance.formula)}, ${pct} %.`;
    return {
      ...NOTHING,
      substances: [substance],
      strengths: [{ value: pct, unit: 'w/w', band: null, at: [0, 0], assumed }],
    };
  }
  if (own.length > 1 || (own.length === 0 && fits.length > 0)) {
    const at = [code.index, code.index + code.typed.length] as const;
    return asked(
      {
        asks:
          own.length > 1
            ? `${code.typed} fits more than one salt. Which does the pack name?`
            : `${code.typed} is no ${itemAt(named, 0).substance.name}. Is it what its numbers say?`,
        choices: fits
          .filter((each) => own.length === 0 || own.includes(each))
          .map(({ substance, pct }) => ({
            says: substance.name,
            decides: '',
            text: said(without(claims.typed, own.length === 0 ? named : []), at, `${substance.name} ${pct} %`),
          })),
      },
      problems,
    );
  }
  const nitrate = code.p === 0 && code.k === 0 && code.n > 25 && code.n < 36;
  const what = nitrate
    ? 'is ammonium nitrate, alone or with limestone, which is not used here'
    : 'is a mixture of several salts, from which nothing is made here';
  const other = named.length > 0 ? `; it is no ${itemAt(named, 0).substance.name} alone` : '';
  problems.push(
    problem(nitrate ? 'beyond-scope' : 'unknown-substance', `A fertiliser ${code.typed} ${what}${other}.`, {
      field: 'substance',
    }),
  );
  return NOTHING;
}

/** A text with some names in it blanked, everything else where it was. */
function without(typed: string, names: readonly Match[]): string {
  return names.reduce(
    (text, { index, 0: name }) => text.slice(0, index) + ' '.repeat(name.length) + text.slice(index + name.length),
    typed,
  );
}

function isSame({ substance }: Match, other: Substance): boolean {
  return substance.species === other.species;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
