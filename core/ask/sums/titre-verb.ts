import { pointAt, readStuff } from '#ask/phrase';
import { derive } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { BenchDefaults } from '#matter/gear';
import { isSubstanceId, molarMassFigure } from '#matter/substance';
import { strengthFromTitres } from '#model/assay';
import type { Found } from './found.ts';
import { molPerL } from './titrate-verb.ts';

const LINE = /^(.*?)\s+(?:on|for|of)\s+(.*)$/i;
const WRITE = 'Write titre 18.42 mL 0.1012 mol/L NaOH on 2.013 g vinegar.';

const READ = 'The ± is of one titre: a drop at the end, the last digit of the weighing, a burette.';

/** g that the last typed digit of a mass stands for: the balance it was weighed on. */
function lastDigit(text: string): number {
  const decimals = /\d[.,](\d+)\s*g\b/.exec(text)?.[1]?.length;
  return decimals === undefined ? BenchDefaults.balanceG : Math.min(1, 10 ** -decimals);
}

/** “titre 18.42 mL 0.1012 mol/L NaOH on 2.013 g vinegar”: the strength that a titre finds. */
export function titreVerb(rest: string, line: string): Result<Found> {
  const match = LINE.exec(rest.trim());
  const [titrantText, sampleText] = [match?.[1], match?.[2]];
  if (!titrantText || !sampleText) return fail('missing-part', WRITE, { at: pointAt(line, rest) });
  const titrant = readStuff(titrantText, line);
  if (!titrant.ok) return titrant;
  const sample = readStuff(sampleText, line);
  if (!sample.ok) return sample;
  const used = titrant.value.amount;
  const taken = sample.value.amount;
  if (!used || used.dimension === 'amount')
    return fail('missing-part', `How much titrant? ${WRITE}`, { at: pointAt(line, titrantText) });
  if (!taken || taken.dimension === 'amount')
    return fail('missing-part', `How much sample? ${WRITE}`, { at: pointAt(line, sampleText) });
  const c = molPerL(titrant.value, line, titrantText);
  if (!c.ok) return c;
  const [analyte, by] = [sample.value.substance, titrant.value.substance];
  if (!isSubstanceId(analyte.id) || !isSubstanceId(by.id) || !(taken.value > 0) || !(c.value > 0))
    return fail('out-of-range', `Amounts and strength are more than 0. ${WRITE}`, { at: pointAt(line, rest) });
  const found = strengthFromTitres({
    analyte: analyte.id,
    titrant: by.id,
    titrantMolPerL: c.value,
    titrantSd: 0,
    byMass: used.dimension === 'mass',
    replicates: [{ sampleG: taken.value, titre: used.value }],
    blanks: [],
    dilution: null,
    balanceG: lastDigit(sampleText),
  });
  if (!found.ok) return { ok: false, problem: { ...found.problem, at: pointAt(line, rest) } };
  const { result, reaction } = found.value;
  if (taken.dimension === 'mass')
    return ok({ figures: [{ ...result.w, name: `${analyte.name} in it` }], note: `${reaction}. ${READ}` });
  // By volume: what it would be of so many grams is of so many millilitres, g per 100 mL.
  const perVolume = { ...result.w, symbol: 'γ', name: `${analyte.name} in it`, unit: 'g/100 mL' };
  const M = molarMassFigure(analyte.formula);
  const molar = derive(
    { symbol: 'c', name: 'amount', unit: 'mol/L' },
    '10 × γ ÷ M',
    { γ: perVolume, M },
    (x) => (10 * x.γ) / x.M,
  );
  return ok({ figures: [molar, perVolume], note: `${reaction}. ${READ}` });
}
