import { given } from '#base/figure';
import { bisect } from '#base/numeric';
import { fail, ok, type Result } from '#base/problem';
import { solutionOf, solve } from '#matter/equilibrium';
import { molarMass } from '#matter/substance';
import { type MeasuredMethod, weighingSd } from '../method.ts';

/** mol/L between which a strength is sought. */
const WEAKEST = 1e-6;
const STRONGEST = 2;
/** A pH further from 7 than this is told apart from water's own. */
const FAR = 0.5;

/** A rough strength by the pH of a weighed dilution: a screening test, good to a factor, for one acid or base alone. */
export const strip: MeasuredMethod = {
  is: 'measured',
  id: 'strip',
  title: 'pH of a dilution, a screening test',
  needs: ['pH strips'],
  known: [],
  suits: ({ substance, others }, { tempC }) => {
    if (others.length > 0) return 'something else in it moves the pH';
    const pH = phAt(substance.species, 0.1, tempC);
    return pH !== undefined && Math.abs(pH - 7) > 2 ? null : 'its pH says nothing of its strength';
  },
  reaction: () => '',
  steps: [
    'Weigh {sample} into boiled, cooled water, a hundred times as much; stir.',
    'Dip a strip for a second, wait half a minute, compare by daylight: enter between which two fields it lies.',
    'Salt, dyes and strong oxidisers mislead strips; bleach blanches them.',
  ],
  entries: [
    { name: 'sampleG', label: 'sample', unit: 'g', least: 0.001, most: 500, sd: (bench) => weighingSd(bench) },
    { name: 'toG', label: 'diluted to', unit: 'g', least: 0.1, most: 50_000, sd: (bench) => weighingSd(bench) },
    { name: 'low', label: 'pH at least', unit: '', least: 0, most: 14, sd: () => 0 },
    { name: 'high', label: 'pH at most', unit: '', least: 0, most: 14, sd: () => 0 },
  ],
  strength: ({ content, read, bench }) => {
    const { sampleG, toG, low, high } = read;
    const between = [low?.value ?? 0, high?.value ?? 14] as const;
    if (between[1] < between[0])
      return fail('out-of-range', 'The pH at most is not below the pH at least.', { field: 'high' });
    if ((toG?.value ?? 0) < (sampleG?.value ?? 0))
      return fail('out-of-range', 'Diluted, there is more of it than before.', { field: 'toG' });
    const a = molPerLAt(content.substance.species, between[0], bench.tempC);
    if (!a.ok) return a;
    const b = molPerLAt(content.substance.species, between[1], bench.tempC);
    if (!b.ok) return b;
    const perPct = (10 * (sampleG?.value ?? 1)) / (toG?.value ?? 1) / molarMass(content.substance.formula);
    const [least, most] = [Math.min(a.value, b.value) / perPct, Math.max(a.value, b.value) / perPct];
    const w = {
      value: (least + most) / 2,
      uncertainty: {
        'band:strip': {
          name: 'between two fields of the strip',
          effect: Math.max((most - least) / 2 / Math.sqrt(3), 0.3 * least),
        },
      },
    };
    return ok(
      given(
        { symbol: 'w', name: 'strength by its pH, about', unit: '%' },
        w,
        'charge balance, Davies; a strip is good to half a unit',
      ),
    );
  },
  model: ({ substance, w }, { tempC }) => {
    const sampleG = 1;
    const toG = 100;
    const c = (10 * w.value * sampleG) / toG / molarMass(substance.formula);
    const pH = phAt(substance.species, Math.min(STRONGEST, c), tempC) ?? 7;
    return { sampleG, toG, low: Math.max(0, pH - 0.3), high: Math.min(14, pH + 0.3) };
  },
  besidesSd: 0.2,
  besides: 'any other acid or base, carbon dioxide, salt',
  minutes: 10,
  cautions: ['Goggles: what is diluted is strong.'],
};

function phAt(species: string, molPerL: number, tempC: number): number | undefined {
  const made = solutionOf([{ substanceId: species, molPerL }], tempC);
  const found = made.ok ? solve(made.value) : undefined;
  return found?.outcome === 'solved' ? found.pH : undefined;
}

/** The strength that has a pH: between the weakest and the strongest it only rises or only falls. */
function molPerLAt(species: string, pH: number, tempC: number): Result<number> {
  const ends = [phAt(species, WEAKEST, tempC), phAt(species, STRONGEST, tempC)] as const;
  const [weak, strong] = ends;
  if (weak === undefined || strong === undefined) return fail('no-data', 'No acid constants are held for it.');
  if (Math.abs(pH - 7) < FAR)
    return fail('out-of-range', 'So near to 7 a strip tells water from nothing: dilute it less.', { field: 'low' });
  const acid = strong < weak;
  if (acid ? pH > weak : pH < weak)
    return fail(
      'out-of-range',
      `That is ${acid ? 'alkaline' : 'acid'}: it is not what the label says, or something else is in it.`,
      { field: 'low' },
    );
  const off = (lnC: number) => (phAt(species, Math.exp(lnC), tempC) ?? 7) - pH;
  const found = bisect(off, { low: Math.log(WEAKEST), high: Math.log(STRONGEST), within: 1e-10 });
  if (found.outcome === 'converged') return ok(Math.exp(found.x));
  return fail('out-of-range', `No strength of it between ${WEAKEST} and ${STRONGEST} mol/L has this pH.`, {
    field: 'low',
  });
}
