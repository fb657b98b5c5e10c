import type { Material } from '#matter/gear';
import { classesOf } from './classes.ts';
import type { Clash, Present } from './incompatible.ts';

interface Rule {
  readonly material: readonly Material[];
  /** Any of these classes touches it; empty: whatever is in it. */
  readonly classes: readonly string[];
  /** A class that it bears all the same, though it counts among those. */
  readonly bears?: string;
  readonly overC: number;
  readonly severity: Clash['severity'];
  readonly says: string;
  /** What it gives to the product. */
  readonly gives: string;
}

// After laboratory materials' resistance charts as commonly printed (borosilicate, LDPE, PP, 304 steel): grade B; limits of temperature rounded down.
const RULES: readonly Rule[] = [
  {
    material: ['glass', 'jar glass'],
    classes: ['alkali_strong'],
    overC: 60,
    severity: 'danger',
    says: 'hot alkali eats glass',
    gives: 'silica',
  },
  {
    material: ['jar glass'],
    classes: [],
    overC: 70,
    severity: 'danger',
    says: 'jar glass cracks when heated: thermal shock',
    gives: '',
  },
  { material: ['glass'], classes: [], overC: 250, severity: 'danger', says: 'beyond what a beaker takes', gives: '' },
  { material: ['polyethylene'], classes: [], overC: 70, severity: 'danger', says: 'softens', gives: '' },
  {
    material: ['polypropylene'],
    classes: [],
    overC: 90,
    severity: 'danger',
    says: 'softens, and does not stand on a hot plate',
    gives: '',
  },
  {
    material: ['polyethylene', 'polypropylene'],
    classes: ['halogen', 'acid_nitric'],
    overC: 0,
    severity: 'danger',
    says: 'goes brittle and stains',
    gives: 'organic matter',
  },
  {
    material: ['aluminium'],
    classes: [
      'acid_strong',
      'acid_weak',
      'alkali_strong',
      'alkali_mild',
      'copper_salt',
      'halogen',
      'hypochlorite',
      'chloride',
    ],
    overC: 0,
    severity: 'refuse',
    says: 'aluminium dissolves, with hydrogen',
    gives: 'aluminium',
  },
  {
    material: ['iron'],
    classes: ['acid_strong', 'acid_weak', 'copper_salt', 'chloride', 'hypochlorite', 'sulfate'],
    overC: 0,
    severity: 'refuse',
    says: 'iron dissolves or rusts',
    gives: 'iron',
  },
  {
    material: ['copper'],
    classes: ['acid_nitric', 'ammonia', 'halogen', 'hypochlorite', 'persulfate'],
    overC: 0,
    severity: 'refuse',
    says: 'copper dissolves',
    gives: 'copper',
  },
  {
    material: ['stainless steel'],
    classes: ['hypochlorite', 'halogen'],
    overC: 0,
    severity: 'danger',
    says: 'pits',
    gives: 'iron and chromium',
  },
  {
    material: ['stainless steel'],
    classes: ['acid_strong'],
    // Nitric acid keeps its skin of oxide whole.
    bears: 'acid_nitric',
    overC: 0,
    severity: 'danger',
    says: 'hydrochloric and warm sulfuric acid dissolve it',
    gives: 'iron, chromium and nickel',
  },
  {
    material: ['stainless steel'],
    classes: ['chloride'],
    overC: 50,
    severity: 'caution',
    says: 'warm chloride pits it',
    gives: 'iron',
  },
  {
    material: ['paper'],
    classes: ['hypochlorite', 'sulfuric_conc', 'acid_nitric', 'permanganate', 'persulfate'],
    overC: 0,
    severity: 'refuse',
    says: 'eats or ignites paper: use glass wool or a glass filter',
    gives: 'fibres',
  },
  {
    material: ['paper'],
    classes: ['alkali_strong', 'acid_strong'],
    overC: 40,
    severity: 'caution',
    says: 'hot strong acid or alkali weakens paper: double it, or let it cool',
    gives: 'fibres',
  },
  {
    material: ['ceramic'],
    classes: ['alkali_strong'],
    overC: 80,
    severity: 'caution',
    says: 'hot alkali dulls the glaze',
    gives: 'silica, perhaps lead',
  },
];

/** What a vessel or filter of this material would suffer or give, with these contents at this temperature; worst first. */
export function materialClashes(
  material: Material,
  contents: readonly Present[],
  tempC: number,
): readonly (Clash & { readonly gives: string })[] {
  const present = contents.map(({ substanceId, pct }) => classesOf(substanceId, pct));
  return RULES.filter(
    (rule) =>
      rule.material.includes(material) &&
      tempC >= rule.overC &&
      (rule.classes.length === 0 || present.some((classes) => touches(rule, classes))),
  )
    .map(({ severity, says, gives }) => ({
      severity,
      releases: gives,
      gives,
      sentence: `${material}: ${says}${gives ? `; ${gives} goes into the product` : ''}.`,
    }))
    .sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}

function touches({ classes, bears }: Rule, of: ReadonlySet<string>): boolean {
  return classes.some((each) => of.has(each)) && (bears === undefined || !of.has(bears));
}

const RANK = { refuse: 0, danger: 1, caution: 2 } as const;
/** Difference of temperature that borosilicate takes in a quench, K; jar glass takes less. */
const SHOCK_K: Partial<Record<Material, number>> = { glass: 100, 'jar glass': 40, ceramic: 60 };

/** Whether putting a hot vessel into a bath would crack it; empty when it holds. */
export function quenchSays(material: Material, hotC: number, bathC: number): string {
  const limit = SHOCK_K[material];
  return limit !== undefined && hotC - bathC > limit
    ? `From ${Math.round(hotC)} °C into ${Math.round(bathC)} °C cracks ${material}: let it cool to ${Math.round(bathC + limit)} °C first.`
    : '';
}
