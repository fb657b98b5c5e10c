import { must } from '#base/lookup';
import type { FieldsOf } from '#base/shape';
import { formatNumber, listed } from '#base/units';
import type { Material } from '#matter/gear';
import { materialClashes, type Present, presentIn } from '#matter/guard';
import { isInsoluble, molarMass, substanceOf } from '#matter/substance';
import { type Contents, contentsMass, entriesOf, slurryVolume, speciesAmount } from '#matter/vessel';
import {
  completeness,
  filterMinutes,
  type Grain,
  grainNamed,
  grainOf,
  papers,
  saltByName,
  settlingHours,
} from '#model/precipitate';
import { paperHolds, type Rinse, rinse } from '#model/wash';
import { solidMade, speciesMade } from '../facts.ts';
import type { StepView } from '../view.ts';
import type { fields } from './op.ts';

/** A filter medium for what is in the vessel. */
export interface Medium {
  readonly name: string;
  readonly verdict: 'good' | 'mind' | 'no';
  readonly says: string;
}

/** Settling and filtering at a step: how long, through what, and what stays behind. Times are about, by the kind of grain. */
export interface FilterAdvice {
  readonly settles: boolean;
  readonly grain: string;
  readonly solidG: number;
  readonly liquidMl: number;
  readonly settleH: readonly [number, number];
  /** Minutes through a coffee filter, and through a medium paper. */
  readonly coffeeMin: readonly [number, number];
  readonly paperMin: readonly [number, number];
  readonly media: readonly Medium[];
  /** What a paper holds of the product in solution, and whether rinsing it is worth it; null when none is dissolved. */
  readonly paper: {
    readonly mm: number;
    readonly holdsMl: number;
    readonly rinseMl: number;
    readonly rinse: Rinse;
  } | null;
  /** What of the precipitate stays dissolved; empty where no solubility product is held. */
  readonly left: string;
}

const PAPER_MM = 125;
const RINSE_ML = 5;
/** A folded paper filters with about half of its face. */
const OPEN = 0.5;
const HOT_C = 80;
/** Less than this is a matter of the solubility product. */
const WEIGHABLE_G = 0.1;

const MEDIA: readonly {
  readonly name: string;
  readonly material: Material;
  readonly not: readonly Grain['id'][];
  readonly why: string;
}[] = [
  { name: 'coffee filter or paper', material: 'paper', not: [], why: '' },
  { name: 'cotton plug', material: 'paper', not: ['fine', 'powder', 'jelly'], why: 'fine grains run through it' },
  { name: 'polypropylene cloth', material: 'polypropylene', not: ['fine'], why: 'fine grains run through it' },
  { name: 'glass wool or glass filter', material: 'glass', not: ['jelly'], why: 'a jelly clogs it for good' },
  { name: 'steel sieve', material: 'stainless steel', not: ['fine', 'powder', 'jelly'], why: 'it holds crystals only' },
];

export function advice(view: StepView, { keep }: FieldsOf<typeof fields>): FilterAdvice | null {
  return filterAdvice(view, keep);
}

/** Advice for a step that settles or filters; null when it is done, and before anything is in the vessel. */
export function filterAdvice(view: StepView, keep: 'solid' | 'filtrate' | 'settles'): FilterAdvice | null {
  const { now, facts } = view;
  if (view.finished || !now || contentsMass(now) <= 0) return null;
  const { grain, solidG, dirt } = solidOf(view, keep === 'solid');
  const liquidMl = Math.max(0, slurryVolume(now));
  const tempC = view.hot ? (facts.settings.hot ?? HOT_C) : facts.bench.tempC;
  const area = (Math.PI / 4) * (PAPER_MM / 10) ** 2 * OPEN;
  const through = (id: 'coffee' | 'medium') =>
    filterMinutes(
      must(
        papers.find((each) => each.id === id),
        'papers',
      ),
      grain,
      {
        filtrateMl: liquidMl,
        solidG,
        areaCm2: area,
        tempC,
      },
    );
  const heightMm = view.vessel ? (10 * liquidMl) / ((Math.PI / 4) * (view.vessel.vessel.diameterMm / 10) ** 2) : 80;
  const present = presentIn(now);
  return {
    settles: keep === 'settles',
    grain: dirt ? 'dirt and what else does not dissolve, at most' : grain.name,
    solidG,
    liquidMl,
    settleH: settlingHours(grain, heightMm, solidG / grain.gPerMl / Math.max(1, liquidMl), tempC),
    coffeeMin: through('coffee'),
    paperMin: through('medium'),
    media: MEDIA.map((medium) => judged(medium, dirt ? undefined : grain, present, tempC)),
    // What is caught in the paper is the product itself; its liquor is washed out, not brought back.
    paper: keep === 'solid' ? null : paperOf(view),
    left: leftIn(view),
  };
}

interface Solid {
  readonly grain: Grain;
  readonly solidG: number;
  /** Nothing of the product stands in it, only what came along undissolved. */
  readonly dirt: boolean;
}

function solidOf({ now, figures, facts }: StepView, caught: boolean): Solid {
  const made = solidMade(facts);
  const standing = entriesOf(now?.solid ?? {}).filter(([id]) => isInsoluble(substanceOf(id)) || id === made?.solid.id);
  const solids = standing.map(([id, n]) => ({ id, grams: n.value * molarMass(substanceOf(id).formula) }));
  const most = solids.sort((a, b) => b.grams - a.grams)[0];
  if (most) return { grain: grainOf(most.id), solidG: solids.reduce((sum, { grams }) => sum + grams, 0), dirt: false };
  const crystals = caught && made ? (figures['crystals.mass']?.value ?? 0) : 0;
  if (crystals > 0) return { grain: grainNamed('crystals'), solidG: crystals, dirt: false };
  // As fine as it comes, and at most a gram of it: most of what a label leaves open dissolves too.
  return { grain: grainNamed('fine'), solidG: Math.min(now?.inertG.value ?? 0, 1), dirt: true };
}

function judged(
  { name, material, not, why }: (typeof MEDIA)[number],
  grain: Grain | undefined,
  present: readonly Present[],
  tempC: number,
): Medium {
  const [clash] = materialClashes(material, present, tempC);
  if (clash && clash.severity !== 'caution') return { name, verdict: 'no', says: clash.sentence };
  if (grain && not.includes(grain.id)) return { name, verdict: 'no', says: why };
  if (!grain && not.includes('fine')) return { name, verdict: 'mind', says: 'dust may run through it' };
  return clash ? { name, verdict: 'mind', says: clash.sentence } : { name, verdict: 'good', says: '' };
}

function paperOf({ facts, now, drained }: StepView): FilterAdvice['paper'] {
  const id = speciesMade(facts);
  const species = id === undefined ? undefined : substanceOf(id);
  const volumeMl = now ? slurryVolume(now) : 0;
  const n = species && now?.aqueous[species.id];
  if (!species || isInsoluble(species) || !n || volumeMl <= 0 || drained) return null;
  const per100 = (100 * n.value * molarMass(species.formula)) / volumeMl;
  const holdsMl = paperHolds(PAPER_MM, false);
  return {
    mm: PAPER_MM,
    holdsMl,
    rinseMl: RINSE_ML,
    rinse: rinse(holdsMl, per100, RINSE_ML, facts.bench.evaporationGPerH),
  };
}

/** What stays dissolved of the precipitate: what has had no precipitant, else what its solubility product lets stay. */
function leftIn({ facts, now }: StepView): string {
  const solidId = facts.recipe.makes.substanceId;
  const [formula, each] = (solidId && substanceOf(solidId).sparing) || [];
  const salt = formula === undefined ? undefined : saltByName(formula);
  const n = now && solidId ? (now.solid[solidId]?.value ?? 0) : 0;
  const volumeMl = now ? slurryVolume(now) : 0;
  if (!salt || each === undefined || !now || n <= 0 || volumeMl <= 0) return '';
  const short = unprecipitated(now, salt.cation.ion);
  if (short !== '')
    return `About ${short} is still dissolved: it has had no precipitant. Add more until a drop of it makes no more cloud in the clear liquid.`;
  const over = speciesAmount(now, 'sodium-carbonate')?.value ?? 0;
  const found = completeness(salt, { cationMol: each * n, anionMol: each * n + over, litres: volumeMl / 1000 });
  if (!found.ok) return '';
  const grams = (found.value.cationLeft * volumeMl * molarMass(salt.formula)) / 1000;
  const beyond =
    grams < 0.01 ? 'It is complete: more soda brings nothing.' : 'A little more soda would precipitate it.';
  return `About ${formatNumber(1000 * grams, 1)} mg of ${salt.name} at most stays dissolved. ${beyond}`;
}

/** What carries an ion in solution, “9.8 g of copper sulfate”; empty for less than a tenth of a gram in all. */
function unprecipitated(now: Contents, ion: string): string {
  const carriers = entriesOf(now.aqueous).flatMap(([id, n]) => {
    const { name, formula, ions } = substanceOf(id);
    const grams = n.value * molarMass(formula);
    return grams >= WEIGHABLE_G && ions?.some(([each]) => each === ion) ? [{ name, grams }] : [];
  });
  return listed(carriers.map(({ name, grams }) => `${formatNumber(grams, 2)} g of ${name}`));
}
