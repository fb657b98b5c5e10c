import { cutPhrase, type Phrase, pointAt, readStuff, type Stuff, strengthPct } from '#ask/phrase';
import type { Found } from '#ask/sums';
import { type Figure, given } from '#base/figure';
import { itemAt, must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { admit, clashesOf } from '#matter/guard';
import { blend, densityFigure, dilute, hasDensity, iceFor, mix, waterDensityFigure } from '#matter/solution';
import { refusedIn, refusedSentence } from '#matter/substance';

/** “dilute 28% HCl to 500 mL 2 mol/L”, “dilute 100 mL 28% HCl to 10%”. */
export function diluteVerb(typed: string, line: string): Result<Found> {
  const icy = /\s+(?:with|on|using)\s+ice\s*$/i.exec(typed);
  const rest = icy ? typed.slice(0, icy.index) : typed;
  const phrase = cutPhrase(rest.replace(/\s+to\s+/i, ' \u0000 '));
  if (!phrase.ok) return phrase;
  const [from = '', to] = phrase.value.body.split('\u0000').map((part) => part.trim());
  if (!to)
    return fail('missing-part', 'To what? Write dilute 28% HCl to 500 mL 2 mol/L.', { at: [line.length, line.length] });
  const stock = readStuff(from, line);
  if (!stock.ok) return stock;
  const { substance } = stock.value;
  const goal = readStuff(`${to} ${substance.formula}`, line);
  if (!goal.ok) return goal;
  const here = { text: line, tempC: phrase.value.tempC, tempGiven: phrase.value.tempGiven };
  const w0 = strengthPct(stock.value, here);
  if (!w0.ok) return w0;
  const w = strengthPct(goal.value, here);
  if (!w.ok) return w;
  if (w0.value === undefined)
    return fail('missing-part', `How strong is the ${substance.name}? Write dilute 28% ${substance.formula} to …`, {
      at: pointAt(line, from),
    });
  if (w.value === undefined)
    return fail('missing-part', 'How strong should it be? Put a strength after “to”, such as 2 mol/L.', {
      at: pointAt(line, to),
    });
  const allowed = mayMake({ substance, from: [{ pct: w0.value, typed: from }], to: { pct: w.value, typed: to } }, line);
  if (!allowed.ok) return allowed;
  const stockFigure = given({ symbol: 'w₀', name: 'stock, by mass', unit: '%' }, w0.value, 'as typed');
  const wantedFigure = given(
    { symbol: 'w', name: 'wanted, by mass', unit: '%' },
    w.value,
    'as typed, through the density table',
  );
  const amount = goal.value.amount ?? scaled(stock.value, w0.value, w.value, here.tempC);
  if (!amount || amount.dimension === 'amount')
    return fail('missing-part', 'How much? Give a volume or mass, such as 500 mL.', { at: pointAt(line, to) });
  const done = dilute(
    substance,
    stockFigure,
    wantedFigure,
    { value: amount.value, unit: amount.dimension === 'mass' ? 'g' : 'mL' },
    here.tempC,
  );
  if (!done.ok) return { ok: false, problem: { ...done.problem, at: pointAt(line, to) } };
  const { stockMass, stockVolume, water, finalMass, finalVolume } = done.value;
  const mixed = mix(
    [
      { name: substance.name, mass: stockMass, w: stockFigure },
      { name: 'water', mass: water, w: given({ symbol: 'w', name: 'water', unit: '%' }, 0, 'water') },
    ],
    substance,
    here.tempC,
  );
  const rise = mixed.ok ? mixed.value.rise : undefined;
  const ice = icy && rise && mixed.ok ? iceFor(mixed.value, water, here.tempC) : undefined;
  if (icy && !ice) {
    return fail(
      'no-density',
      `No heats of mixing are held for ${substance.name}, so the ice is not computed; leave “with ice” out.`,
      { at: pointAt(line, icy[0]) },
    );
  }
  const figures = [stockVolume, stockMass, water, ice, finalVolume, finalMass, rise].filter(
    (each): each is Figure => each !== undefined,
  );
  return ok({ figures, pours: true, cautionAbout: { substanceId: substance.id, pct: w0.value } });
}

/** A stock amount without a target amount: all of it is diluted. */
function scaled(stock: Stuff, from: number, to: number, tempC: number): Stuff['amount'] {
  if (!stock.amount || stock.amount.dimension === 'amount' || to <= 0) return undefined;
  const grams = stock.amount.dimension === 'mass' ? stock.amount.value : gramsOf(stock, from, tempC);
  return grams === undefined ? undefined : { value: (grams * from) / to, dimension: 'mass' };
}

function gramsOf({ amount, substance }: Stuff, pct: number, tempC: number): number | undefined {
  if (!amount || !hasDensity(substance)) return undefined;
  const rho = densityFigure(substance, given({ symbol: 'w', name: 'w', unit: '%' }, pct, 'as typed'), tempC);
  return rho.ok ? amount.value * rho.value.value : undefined;
}

/** “mix 100 g 28% HCl + 250 g water”: one solute, any number of parts. */
export function mixVerb(rest: string, line: string): Result<Found> {
  if (/\s+to\s+/i.test(rest)) return blendVerb(rest, line);
  const phrase = cutPhrase(rest);
  if (!phrase.ok) return phrase;
  const texts = phrase.value.body.split(/\s*\+\s*|\s+and\s+|\s+with\s+/i).filter((part) => part !== '');
  const parts: { stuff: Stuff; pct: number }[] = [];
  for (const text of texts) {
    const stuff = readStuff(text, line);
    if (!stuff.ok) return stuff;
    if (!stuff.value.amount || stuff.value.amount.dimension === 'amount') {
      return fail('missing-part', `How much of “${text}”? Give grams or millilitres.`, { at: pointAt(line, text) });
    }
    const pct = strengthPct(stuff.value, { ...phrase.value, text: line });
    if (!pct.ok) return pct;
    const isWater = stuff.value.substance.id === 'water';
    if (pct.value === undefined && !isWater && stuff.value.substance.form === 'dissolved') {
      return fail('missing-part', `How strong is “${text}”? Put a strength before it, such as 28 %.`, {
        at: pointAt(line, text),
      });
    }
    parts.push({ stuff: stuff.value, pct: isWater ? 0 : (pct.value ?? 100) });
  }
  const solutes = new Map(
    parts
      .filter(({ stuff }) => stuff.substance.id !== 'water')
      .map(({ stuff }) => [stuff.substance.id, stuff.substance]),
  );
  const [substance, other] = [...solutes.values()];
  if (!substance)
    return fail('missing-part', 'Water with water stays water: name a solution among the parts.', {
      at: pointAt(line, rest),
    });
  if (other) {
    const present = parts.map(({ stuff, pct }) => ({ substanceId: stuff.substance.id, pct }));
    const worst = present
      .flatMap((added, i) => clashesOf(present.slice(0, i), added, { beside: present }))
      .find(({ severity }) => severity === 'refuse');
    if (worst)
      return fail('beyond-scope', `Two things meet here that never may. ${worst.sentence}`, {
        at: pointAt(line, rest),
      });
    return fail(
      'unit-does-not-fit',
      `${substance.name} and ${other.name} are two solutes: they may react, and their mixture is not computed here.`,
      { at: pointAt(line, rest) },
    );
  }
  const masses: { name: string; mass: Figure; w: Figure }[] = [];
  for (const { stuff, pct } of parts) {
    const mass = partMass(stuff, pct, phrase.value.tempC);
    if (!mass.ok) return mass;
    masses.push({
      name: stuff.substance.name,
      mass: mass.value,
      w: given({ symbol: 'w', name: 'strength of a part', unit: '%' }, pct, 'as typed'),
    });
  }
  const mixed = mix(masses, substance, phrase.value.tempC);
  if (!mixed.ok) return { ok: false, problem: { ...mixed.problem, at: pointAt(line, rest) } };
  const { w, amount, mass, volume, contraction, rise } = mixed.value;
  const from = parts.map(({ pct }, i) => ({ pct, typed: itemAt(texts, i) }));
  const allowed = mayMake({ substance, from, to: { pct: w.value, typed: rest } }, line);
  if (!allowed.ok) return allowed;
  const figures = [w, amount, volume, mass, contraction, rise].filter((each): each is Figure => each !== undefined);
  return ok({
    figures,
    pours: true,
    cautionAbout: { substanceId: substance.id, pct: Math.max(...parts.map(({ pct }) => pct)) },
  });
}

function partMass({ amount, substance }: Stuff, pct: number, tempC: number): Result<Figure> {
  const { value, dimension } = must(amount, 'amount');
  if (dimension === 'mass') return ok(given({ symbol: 'm', name: substance.name, unit: 'g' }, value, 'as typed'));
  const rho =
    substance.id === 'water'
      ? ok(waterDensityFigure(tempC))
      : densityFigure(substance, given({ symbol: 'w', name: 'w', unit: '%' }, pct, 'as typed'), tempC);
  if (!rho.ok) return rho;
  return ok({ ...rho.value, symbol: 'm', name: `${substance.name}, mass`, unit: 'g', value: value * rho.value.value });
}

/** “mix 28% HCl + 10% HCl to 500 mL 20%”: two stocks to a strength between them. */
function blendVerb(rest: string, line: string): Result<Found> {
  const phrase = cutPhrase(rest.replace(/\s+to\s+/i, ' \u0000 '));
  if (!phrase.ok) return phrase;
  const [from = '', to = ''] = phrase.value.body.split('\u0000').map((part) => part.trim());
  const texts = from.split(/\s*\+\s*|\s+and\s+|\s+with\s+/i);
  if (texts.length !== 2)
    return fail('missing-part', 'Two stocks go to a strength between them: mix 28% HCl + 10% HCl to 500 mL 20%.', {
      at: pointAt(line, from),
    });
  const here = { text: line, tempC: phrase.value.tempC, tempGiven: phrase.value.tempGiven };
  const first = stockOf(itemAt(texts, 0), here);
  if (!first.ok) return first;
  const second = stockOf(itemAt(texts, 1), here);
  if (!second.ok) return second;
  const substance = first.value.substance.id === 'water' ? second.value.substance : first.value.substance;
  const other = [first.value.substance, second.value.substance].find(
    (each) => each.id !== 'water' && each.id !== substance.id,
  );
  if (other)
    return fail(
      'unit-does-not-fit',
      `${substance.name} and ${other.name} are two solutes: they may react, and their mixture is not computed here.`,
      { at: pointAt(line, from) },
    );
  const goal = readStuff(`${to} ${substance.formula}`, line);
  if (!goal.ok) return goal;
  const w = strengthPct(goal.value, here);
  if (!w.ok) return w;
  const { amount } = goal.value;
  if (w.value === undefined || !amount || amount.dimension === 'amount') {
    return fail('missing-part', 'How much, and how strong? Put both after “to”, such as 500 mL 20 %.', {
      at: pointAt(line, to),
    });
  }
  const stocks = [first.value.pct, second.value.pct].map((pct, i) => ({ pct, typed: itemAt(texts, i) }));
  const allowed = mayMake({ substance, from: stocks, to: { pct: w.value, typed: to } }, line);
  if (!allowed.ok) return allowed;
  const wanted = given({ symbol: 'w', name: 'wanted, by mass', unit: '%' }, w.value, 'as typed');
  const done = blend(
    substance,
    [first.value.pct, second.value.pct],
    wanted,
    { value: amount.value, unit: amount.dimension === 'mass' ? 'g' : 'mL' },
    here.tempC,
  );
  if (!done.ok) return { ok: false, problem: { ...done.problem, at: pointAt(line, to) } };
  return ok({
    figures: done.value,
    pours: true,
    cautionAbout: { substanceId: substance.id, pct: Math.max(first.value.pct, second.value.pct) },
  });
}

function stockOf(
  text: string,
  here: Pick<Phrase, 'text' | 'tempC' | 'tempGiven'>,
): Result<{ substance: Stuff['substance']; pct: number }> {
  const stuff = readStuff(text, here.text);
  if (!stuff.ok) return stuff;
  const { substance } = stuff.value;
  const pct = strengthPct(stuff.value, here);
  if (!pct.ok) return pct;
  if (substance.id === 'water') return ok({ substance, pct: 0 });
  return pct.value === undefined
    ? fail('missing-part', `How strong is “${text.trim()}”? Put a strength before it.`, {
        at: pointAt(here.text, text),
      })
    : ok({ substance, pct: pct.value });
}

/** A strength in mass %, with the words that say it. */
interface Said {
  readonly pct: number;
  readonly typed: string;
}

/** Whether so strong a solution is made here, and of such bottles; points at the words that ask too much. */
function mayMake(
  {
    substance,
    from,
    to,
  }: { readonly substance: Stuff['substance']; readonly from: readonly Said[]; readonly to: Said },
  line: string,
): Result<true> {
  const refused = refusedIn(substance.formula) ?? refusedIn(substance.name);
  if (refused && refused.length >= Math.min(substance.formula.length, substance.name.length))
    return fail('beyond-scope', refusedSentence(refused), { at: pointAt(line, to.typed) });
  const made = admit({ substanceId: substance.id, pct: to.pct }, 'make');
  if (!made.ok) return { ok: false, problem: { ...made.problem, at: pointAt(line, to.typed) } };
  for (const { pct, typed } of from) {
    const taken = admit({ substanceId: substance.id, pct }, 'take');
    if (!taken.ok) return { ok: false, problem: { ...taken.problem, at: pointAt(line, typed) } };
  }
  return ok(true);
}
