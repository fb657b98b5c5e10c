import { cutPhrase, pointAt, readStuff, type Stuff } from '#ask/phrase';
import { datum, type Figure } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { molarVolume } from '#matter/reaction';
import { molarMass } from '#matter/substance';
import { type AbsorbAnswer, type Absorbed, absorb } from '#model/absorb';
import type { Found } from './found.ts';
import { weighedOf } from './weighed.ts';

const EXAMPLE = 'Write absorb 0.5 mol HCl in 100 g water, or absorb 0.05 mol Cl2 in 60 g 20% NaOH.';
/** As one names it: the acid stands for its gas. */
const GASES: Readonly<Record<string, Absorbed>> = {
  HCl: 'hydrogen-chloride',
  NH3: 'ammonia-gas',
  Cl2: 'chlorine',
  CO2: 'carbon-dioxide',
  SO2: 'sulfur-dioxide',
};
/** Unless the line says otherwise: cool enough for hypochlorite, and for fingers. */
const CEILING_C = 25;

/** “absorb 0.5 mol HCl in 100 g water at 10 C”: strength, heat, and how much of the water is to be ice. */
export function absorbVerb(rest: string, line: string): Result<Found> {
  const phrase = cutPhrase(rest);
  if (!phrase.ok) return phrase;
  const { body, wanted, tempC, pressureHPa } = phrase.value;
  if (wanted === undefined)
    return fail('missing-part', `In what? ${EXAMPLE}`, { at: pointAt(line, rest.trim() || 'absorb') });
  const stuff = readStuff(body, line);
  if (!stuff.ok) return stuff;
  const gas = GASES[stuff.value.substance.formula];
  if (!gas)
    return fail(
      'no-data',
      `How ${stuff.value.substance.name} is absorbed is not held; there are hydrogen chloride, ammonia, chlorine, carbon dioxide and sulfur dioxide.`,
      { at: pointAt(line, body) },
    );
  const mol = molOf(stuff.value, { tempC, pressureHPa });
  if (mol === null || !(mol > 0))
    return fail('missing-part', `How much of the gas? Write 0.5 mol, 12 L or 18 g of it. ${EXAMPLE}`, {
      at: pointAt(line, body),
    });
  const liquid = readStuff(wanted, line);
  if (!liquid.ok) return liquid;
  const weighed = weighedOf(liquid.value, wanted, line);
  if (!weighed.ok) return weighed;
  const { substanceId, grams, pct } = weighed.value;
  const lye = substanceId === 'sodium-hydroxide' || substanceId === 'potassium-hydroxide' ? substanceId : null;
  if (!lye && substanceId !== 'water')
    return fail('no-data', `What ${liquid.value.substance.name} takes of it is not held: water or lye is. ${EXAMPLE}`, {
      at: pointAt(line, wanted),
    });
  if (lye && pct > 60) return fail('missing-part', `How strong is the lye? ${EXAMPLE}`, { at: pointAt(line, wanted) });
  const alkaliG = lye ? (grams * pct) / 100 : 0;
  const found = absorb({
    gas,
    mol,
    waterG: grams - alkaliG,
    alkali: lye ? { substanceId: lye, grams: alkaliG } : null,
    acidAlong: 0,
    startC: tempC,
    ceilingC: Math.max(CEILING_C, tempC),
    litresPerMin: null,
    bathW: null,
    reagent: null,
  });
  if (!found.ok) return { ok: false, problem: { ...found.problem, at: pointAt(line, body) } };
  return ok(laid(found.value, Math.max(CEILING_C, tempC)));
}

function molOf({ amount, substance }: Stuff, at: { tempC: number; pressureHPa: number }): number | null {
  if (!amount) return null;
  if (amount.dimension === 'amount') return amount.value;
  if (amount.dimension === 'mass') return amount.value / molarMass(substance.formula);
  return amount.value / 1000 / molarVolume(at.tempC, at.pressureHPa);
}

function laid(answer: AbsorbAnswer, ceilingC: number): Found {
  const { strengthPct, heatKJ, endsC, iceG, iceEnough, escapes, gasL, stop, makes, mostPct, alkaliLeftPct } = answer;
  const figure = (naming: { symbol: string; name: string; unit: string }, value: number, share: number): Figure =>
    datum(
      naming,
      {
        value,
        uncertainty: { [naming.symbol]: { name: 'heats and solubilities as published', effect: share * value } },
      },
      { source: 'NBS Circular 500; Jennings and Shannon; heats of formation', grade: 'B' },
    );
  const ceiling = formatNumber(ceilingC, 3);
  const figures = [
    figure(
      { symbol: 'w', name: alkaliLeftPct !== null ? 'of the gas, in what comes of it' : 'strength', unit: '%' },
      strengthPct,
      0.005,
    ),
    figure({ symbol: 'Q', name: 'heat', unit: 'kJ' }, heatKJ, 0.02),
    // Over the boil it goes no further.
    ...(endsC <= 100 ? [figure({ symbol: 'T', name: 'warm if it is not cooled', unit: '°C' }, endsC, 0.05)] : []),
    figure({ symbol: 'm(ice)', name: `of its water as ice, to stay under ${ceiling} °C`, unit: 'g' }, iceG, 0.07),
  ];
  const said = [
    `${formatNumber(gasL, 3)} L of gas.`,
    escapes > 0
      ? `At least ${formatNumber(escapes, 2)} mol escape: ${mostPct === null ? 'the alkali is spent' : `at ${ceiling} °C it holds ${formatNumber(mostPct, 3)} % at most`}.`
      : '',
    endsC > 100 ? 'It would boil: slowly, and cooled.' : '',
    iceEnough ? '' : 'More ice than there is water: a bath, and time.',
    alkaliLeftPct === null
      ? ''
      : `Gives ${makes}; ${alkaliLeftPct < 1 ? 'all of the alkali is spent' : `${formatNumber(alkaliLeftPct, 2)} % of the alkali are left`}.`,
    stop
      ? `Stop between ${formatNumber(stop[0].gainedG, 3)} and ${formatNumber(stop[1].gainedG, 3)} g gained, before it is spent.`
      : '',
    'An empty flask between, as large as this one: it sucks back. Outdoors.',
  ];
  return { figures, note: said.filter((each) => each !== '').join(' ') };
}
