import { materialClashes, type Present } from '#core/guard';
import {
  completeness,
  filterMinutes,
  type Grain,
  grainNamed,
  grainOf,
  papers,
  saltByName,
  settlingHours,
} from '#core/precipitate';
import { type Route, routeById, type StepTemplate } from '#core/route';
import type { Plan, Sheet } from '#core/run';
import { molarMass, substanceById } from '#core/substance';
import { formatNumber } from '#core/units';
import { isInsoluble, type Material } from '#core/vessel';
import { paperHolds, type Rinse, rinse } from '#core/wash';

/** A filter medium for what is in the vessel. */
export interface Medium {
  readonly name: string;
  readonly verdict: 'good' | 'mind' | 'no';
  readonly says: string;
}

/** Settling and filtering at a step: how long, through what, and what stays behind. Times are about, by the kind of grain. */
export interface FilterAdvice {
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

/** The sparing salt that stands for a precipitate, and how many of it are in its formula. Basic carbonates dissolve less than this. */
const SPARING: Readonly<Record<string, readonly [string, number]>> = {
  'basic-zinc-carbonate': ['ZnCO3', 5],
  'copper-carbonate': ['CuCO3', 2],
  'calcium-carbonate': ['CaCO3', 1],
};

/** Advice for a step that settles or filters; null for others, and before anything is in the vessel. */
export function filterAdvice(plan: Plan, sheet: Sheet, template: StepTemplate): FilterAdvice | null {
  const { now } = sheet;
  const route = routeById(plan.routeId);
  const settles = template.op.do === 'precipitate';
  if (!route || !now || now.massG <= 0 || (template.panel !== 'filter' && !settles)) return null;
  const { grain, solidG, dirt } = solidOf(route, sheet, template);
  const liquidMl = Math.max(0, now.volumeMl);
  const tempC = template.cautions.includes('hot-liquid') ? (plan.controls.hot ?? HOT_C) : plan.bench.tempC;
  const area = (Math.PI / 4) * (PAPER_MM / 10) ** 2 * OPEN;
  const through = (id: 'coffee' | 'medium') =>
    filterMinutes(papers.find((each) => each.id === id)!, grain, {
      filtrateMl: liquidMl,
      solidG,
      areaCm2: area,
      tempC,
    });
  const heightMm = sheet.vessel ? (10 * liquidMl) / ((Math.PI / 4) * (sheet.vessel.vessel.diameterMm / 10) ** 2) : 80;
  return {
    grain: dirt ? 'dirt and what else does not dissolve, at most' : grain.name,
    solidG,
    liquidMl,
    settleH: settlingHours(grain, heightMm, solidG / grain.gPerMl / Math.max(1, liquidMl), tempC),
    coffeeMin: through('coffee'),
    paperMin: through('medium'),
    media: MEDIA.map((medium) => judged(medium, dirt ? undefined : grain, now.present, tempC)),
    // What is caught in the paper is the product itself; its liquor is washed out, not brought back.
    paper: template.op.do === 'collect' ? null : paperOf(route, plan, sheet),
    left: leftIn(route, sheet),
  };
}

interface Solid {
  readonly grain: Grain;
  readonly solidG: number;
  /** Nothing of the product stands in it, only what came along undissolved. */
  readonly dirt: boolean;
}

function solidOf(route: Route, sheet: Sheet, template: StepTemplate): Solid {
  const solids = Object.entries(sheet.now?.contents.amounts ?? {}).flatMap(([id, n]) => {
    const substance = substanceById(id);
    const stands = isInsoluble(id) || substance?.form === 'metal';
    return stands && substance ? [{ id, grams: n.value * molarMass(substance.formula) }] : [];
  });
  const inert = sheet.now?.contents.inertG.value ?? 0;
  const most = solids.sort((a, b) => b.grams - a.grams)[0];
  if (most) {
    return { grain: grainOf(most.id), solidG: solids.reduce((sum, { grams }) => sum + grams, 0), dirt: false };
  }
  const crystals = template.op.do === 'collect' && route.makes.kind === 'crystals' ? (sheet.crystals?.value ?? 0) : 0;
  if (crystals > 0) return { grain: grainNamed('crystals'), solidG: crystals, dirt: false };
  // As fine as it comes, and at most a gram of it: most of what a label leaves open dissolves too.
  return { grain: grainNamed('fine'), solidG: Math.min(inert, 1), dirt: true };
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

function paperOf(route: Route, plan: Plan, { now }: Sheet): FilterAdvice['paper'] {
  const dry =
    route.makes.kind === 'crystals'
      ? substanceById(route.makes.anhydrousId)
      : substanceById(route.makes.substanceId ?? '');
  const n = dry && now?.contents.amounts[dry.id];
  if (!dry || isInsoluble(dry.id) || !n || !now || now.volumeMl <= 0 || now.liquor) return null;
  const per100 = (100 * n.value * molarMass(dry.formula)) / now.volumeMl;
  const holdsMl = paperHolds(PAPER_MM, false);
  return {
    mm: PAPER_MM,
    holdsMl,
    rinseMl: RINSE_ML,
    rinse: rinse(holdsMl, per100, RINSE_ML, plan.bench.evaporationGPerH),
  };
}

/** What stays dissolved of the precipitate beside the carbonate that is over. */
function leftIn(route: Route, { now }: Sheet): string {
  const solidId = route.makes.substanceId ?? '';
  const [formula, each] = SPARING[solidId] ?? [];
  const salt = formula === undefined ? undefined : saltByName(formula);
  const n = now?.contents.amounts[solidId]?.value ?? 0;
  if (!salt || each === undefined || !now || n <= 0 || now.volumeMl <= 0) return '';
  const over = now.contents.amounts['sodium-carbonate']?.value ?? 0;
  const at = completeness(salt, { cationMol: each * n, anionMol: each * n + over, litres: now.volumeMl / 1000 });
  if (!at.ok) return '';
  const grams = (at.value.cationLeft * now.volumeMl * molarMass(salt.formula)) / 1000;
  const beyond = grams < 0.01 ? 'It is complete: more soda brings nothing.' : 'A little soda over would bring it down.';
  return `About ${formatNumber(1000 * grams, 1)} mg of ${salt.name} at most stays dissolved. ${beyond}`;
}
