import { phOf } from '#core/assay';
import { depositFromCharge, electronsFor, hoursForMass } from '#core/cell';
import { datum, type Figure, given } from '#core/figure';
import { fail, ok, type Result } from '#core/problem';
import { balance, balancedText } from '#core/reaction';
import { densityFigure, dilute, hasDensity, mix, strengthIn, waterDensityFigure } from '#core/solution';
import { molarMassFigure } from '#core/substance';
import { parseNumber } from '#core/units';
import { cutPhrase, type Phrase, pointAt, readStuff, readSubstanceName, type Stuff, strengthPct } from './phrase.ts';

/** What a verb answers, before it is dressed. */
export interface Found {
  readonly figures: readonly Figure[];
  readonly note?: string;
  readonly cautionAbout?: { readonly substanceId: string; readonly pct: number };
}

export function molarMassVerb(rest: string, line: string): Result<Found> {
  const found = readSubstanceName(rest.trim(), line);
  if (!found.ok) return found;
  try {
    return ok({ figures: [molarMassFigure(found.value.substance.formula)] });
  } catch (error) {
    return fail('no-atomic-weight', (error as Error).message, { at: pointAt(line, rest) });
  }
}

export function balanceVerb(rest: string, line: string): Result<Found> {
  const balanced = balance(rest);
  if (!balanced.ok) return { ok: false, problem: { ...balanced.problem, at: pointAt(line, rest) } };
  const { equation, coefficients, note } = balanced.value;
  const figures = [...equation.left, ...equation.right].map(({ text }, i) =>
    given({ symbol: `ν${i + 1}`, name: text, unit: '' }, coefficients[i]!, 'atoms and charge balanced exactly'),
  );
  return ok({ figures, note: `${balancedText(balanced.value)}${note ? `. ${note}` : ''}` });
}

export function phVerb(rest: string, line: string): Result<Found> {
  const phrase = cutPhrase(rest);
  if (!phrase.ok) return phrase;
  const stuff = readStuff(phrase.value.body, line);
  if (!stuff.ok) return stuff;
  const { substance, strength } = stuff.value;
  if (!strength) return fail('missing-part', 'How strong? Write pH 0.1 mol/L CH3COOH.', { at: pointAt(line, rest) });
  const tempC = phrase.value.tempGiven ? phrase.value.tempC : 25;
  const c = concentration(stuff.value, { ...phrase.value, tempC });
  if (!c.ok) return { ok: false, problem: { ...c.problem, at: pointAt(line, rest) } };
  const answer = phOf(substance.id, c.value, tempC);
  if (!answer.ok) return { ok: false, problem: { ...answer.problem, at: pointAt(line, rest) } };
  const { pH, sources } = answer.value;
  const constants =
    sources.length === 0 ? 'strong: fully split' : sources.map(({ name, pKa }) => `${name} pKa ${pKa}`).join('; ');
  const source = {
    source: `charge balance with Davies activity coefficients; ${constants}; CRC, NIST at 25 °C`,
    grade: 'B' as const,
  };
  const spread = c.value > 0.1 ? 0.08 : 0.03;
  return ok({
    figures: [
      datum(
        { symbol: 'pH', name: 'pH', unit: '' },
        { value: pH, doubts: { model: { name: 'activity model', effect: spread } } },
        source,
      ),
    ],
  });
}

/** mol/L of what was typed. Dilute mol/L needs no density table. */
function concentration(stuff: Stuff, phrase: Phrase): Result<number> {
  if (stuff.strength?.unit === 'mol/L')
    return stuff.strength.value >= 0 ? ok(stuff.strength.value) : fail('out-of-range', 'A strength is 0 or more.');
  const w = strengthPct(stuff, phrase);
  if (!w.ok) return w;
  const c = strengthIn(
    given({ symbol: 'w', name: 'strength', unit: '%' }, w.value ?? 0, 'as typed'),
    'mol/L',
    stuff.substance,
    phrase.tempC,
  );
  return c.ok ? ok(c.value.value) : c;
}

/** “dilute 28% HCl to 500 mL 2 mol/L”, “dilute 100 mL 28% HCl to 10%”. */
export function diluteVerb(rest: string, line: string): Result<Found> {
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
  const figures = [stockVolume, stockMass, water, finalVolume, finalMass, rise].filter(
    (each): each is Figure => each !== undefined,
  );
  return ok({ figures, cautionAbout: { substanceId: substance.id, pct: w0.value } });
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
    return fail(
      'unit-does-not-fit',
      `${substance.name} and ${other.name} are two solutes: they may react, and their mixture is not reckoned here.`,
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
  const figures = [w, amount, volume, mass, contraction, rise].filter((each): each is Figure => each !== undefined);
  return ok({ figures, cautionAbout: { substanceId: substance.id, pct: Math.max(...parts.map(({ pct }) => pct)) } });
}

function partMass({ amount, substance }: Stuff, pct: number, tempC: number): Result<Figure> {
  const { value, dimension } = amount!;
  if (dimension === 'mass') return ok(given({ symbol: 'm', name: substance.name, unit: 'g' }, value, 'as typed'));
  const rho =
    substance.id === 'water'
      ? ok(waterDensityFigure(tempC))
      : densityFigure(substance, given({ symbol: 'w', name: 'w', unit: '%' }, pct, 'as typed'), tempC);
  if (!rho.ok) return rho;
  return ok({ ...rho.value, symbol: 'm', name: `${substance.name}, mass`, unit: 'g', value: value * rho.value.value });
}

const CURRENT = /(?<![\w.,])([-+\u2212]?\d[\d.,]*)\s*(mA|A|amps?|amperes?)(?![\w])/i;
const TIME = /(?<![\w.,])([-+\u2212]?\d[\d.,]*)\s*(s|sec|seconds?|min|minutes?|h|hr|hours?|d|days?)(?![\w])/i;
const EFFICIENCY = /(?<![\w.,])(\d[\d.,]*)\s*%/;
const HOURS: Readonly<Record<string, number>> = { s: 1 / 3600, m: 1 / 60, h: 1, d: 24 };

export function isElectrolysis(line: string): boolean {
  return CURRENT.test(line);
}

/** “2 A 3 h Cu”, “5 g Cu at 2 A 90%”. */
export function electrolysisVerb(line: string): Result<Found> {
  const current = CURRENT.exec(line)!;
  const amperes = parseNumber(current[1]!);
  if (!amperes.ok) return { ok: false, problem: { ...amperes.problem, at: pointAt(line, current[0]) } };
  const I = amperes.value * (current[2]!.toLowerCase() === 'ma' ? 0.001 : 1);
  if (!(I > 0)) return fail('out-of-range', 'A current is more than 0.', { at: pointAt(line, current[0]) });
  let rest = line.replace(current[0], ' ').replace(/\bat\b/i, ' ');
  const share = EFFICIENCY.exec(rest);
  const percent = share ? parseNumber(share[1]!) : ok(100);
  if (!percent.ok) return percent;
  if (!(percent.value > 0 && percent.value <= 100))
    return fail('out-of-range', 'A current efficiency is more than 0 and at most 100 %.', {
      at: pointAt(line, share![0]),
    });
  if (share) rest = rest.replace(share[0], ' ');
  const time = TIME.exec(rest);
  if (time) rest = rest.replace(time[0], ' ');
  const stuff = readStuff(rest.trim(), line);
  if (!stuff.ok) return stuff;
  const { substance, amount } = stuff.value;
  const electrons = electronsFor(substance.formula);
  if (electrons === undefined) {
    return fail(
      'unknown-substance',
      `How many electrons ${substance.formula} takes is not held here; there are Cu, Zn, Ag, Ni, Fe, Sn, H2, O2, Cl2 and a few more.`,
      { at: pointAt(line, rest) },
    );
  }
  const set = {
    amperes: given({ symbol: 'I', name: 'current', unit: 'A' }, I, 'as typed'),
    efficiency: given(
      { symbol: 'η', name: 'current efficiency', unit: '%' },
      percent.value,
      share ? 'as typed' : 'all of it, unless said',
    ),
  };
  if (time) {
    const number = parseNumber(time[1]!);
    if (!number.ok) return { ok: false, problem: { ...number.problem, at: pointAt(line, time[0]) } };
    if (number.value < 0) return fail('out-of-range', 'A time is 0 or more.', { at: pointAt(line, time[0]) });
    const hours = given(
      { symbol: 't', name: 'time', unit: 'h' },
      number.value * HOURS[time[2]![0]!.toLowerCase()]!,
      'as typed',
    );
    const { mass, amount: n } = depositFromCharge(substance.formula, electrons, set, hours);
    return ok({ figures: [mass, n] });
  }
  if (!amount || amount.dimension === 'volume')
    return fail('missing-part', 'How long, or how much? Write 2 A 3 h Cu, or 5 g Cu at 2 A.', {
      at: [line.length, line.length],
    });
  const grams = amount.dimension === 'mass' ? amount.value : amount.value * molarMassFigure(substance.formula).value;
  const mass = given({ symbol: 'm', name: substance.formula, unit: 'g' }, grams, 'as typed');
  return ok({ figures: [hoursForMass(substance.formula, electrons, set, mass)] });
}
