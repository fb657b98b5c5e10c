import { type Solution, solutionOf, type Titration } from '#matter/equilibrium';
import { molarMass } from '#matter/substance';
import type { Told } from './record/fold.ts';
import type { Setting } from './reduce/reduce.ts';

/** mL of water in the flask beside the sample, as the steps say. */
export const FLASK_ML = 50;

/** What stands in the flask, if the bottle holds `pct`; undefined where no acid constants are held. */
function inFlask({ content, plan, known }: Setting, told: Told | undefined, pct: number): Solution | undefined {
  const diluted = plan.dilution ? plan.dilution.weighG / plan.dilution.toG : 1;
  const sampleG = told?.read.sampleG?.value ?? plan.sampleG;
  const standard = plan.turned ? known[0] : undefined;
  const substance = standard?.content.substance ?? content.substance;
  const perG = standard?.molPerG.value ?? pct / 100 / molarMass(substance.formula);
  const molPerL = (1000 * sampleG * diluted * perG) / (FLASK_ML + sampleG);
  const made = solutionOf([{ substanceId: substance.species, molPerL }], plan.bench.tempC);
  return made.ok ? made.value : undefined;
}

/** The titration that a replicate is, if the bottle holds `pct`; undefined where it is none of acid and base. */
export function titrationIf(setting: Setting, told: Told | undefined, pct: number): Titration | undefined {
  const { plan, content, known } = setting;
  const sample = inFlask(setting, told, pct);
  const titrantOf = plan.turned ? content.substance : known[0]?.content.substance;
  const turnedPerMl = ((content.density?.value ?? 1) * pct) / 100 / molarMass(content.substance.formula);
  const molPerMl = plan.turned ? turnedPerMl : known[0]?.molPerMl?.value;
  if (!sample || !titrantOf || molPerMl === undefined) return undefined;
  const titrant = solutionOf([{ substanceId: titrantOf.species, molPerL: 1000 * molPerMl }], plan.bench.tempC);
  const sampleMl = FLASK_ML + (told?.read.sampleG?.value ?? plan.sampleG);
  return titrant.ok ? { sample, sampleMl, titrant: titrant.value } : undefined;
}
