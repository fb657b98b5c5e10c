import { formatNumber } from '#base/units';
import {
  type Air,
  type Clash,
  clashesOf,
  classesOf,
  isOpen,
  judgeAir,
  limitsOf,
  minutesTo,
  nameOf,
  type Present,
  presentIn,
} from '#matter/guard';
import { molarVolume } from '#matter/reaction';
import { molarMass, parseFormula, type SubstanceId, substanceById, substanceOf } from '#matter/substance';
import { amountsOf, type Contents, contentsMass } from '#matter/vessel';
import { acidOf, baseOf } from './protons.ts';

/** A gas that two things in one vessel give, as if they reacted to their end: about, it may take hours. */
export interface MetGas {
  readonly id: SubstanceId;
  readonly name: string;
  readonly mol: number;
  readonly grams: number;
  readonly litres: number;
  /** Parts per million of the room, all of it out at once; null outdoors and under the hood. */
  readonly ppm: number | null;
  /** Minutes until its limit is passed, coming evenly in a quarter of an hour; null where it is not. */
  readonly minutes: number | null;
  readonly verdict: 'silent' | 'watch' | 'stop' | 'refuse';
}

/** Two things that met, with what comes off and how warm it gets. */
export interface Met {
  /** Ids of the two. */
  readonly two: readonly [string, string];
  readonly severity: Clash['severity'];
  readonly says: string;
  readonly why: string;
  readonly gas: MetGas | null;
  /** K that all of it would grow warmer by, nothing lost; 0 where no heat of it is held. */
  readonly warmerK: number;
  /** Whether one leaves: never to be together, or a gas beyond its limit here. */
  readonly leave: boolean;
}

/** What gives a gas with an acid, or with another class: mol of gas from a mol of it, and mol of the other that each mol takes. */
interface Giver {
  readonly of: string;
  readonly with: readonly string[];
  readonly gas: SubstanceId;
  readonly per: (id: SubstanceId) => number;
  /** mol of H+, OH- or of the other thing for a mol of gas. */
  readonly takes: number;
}

const ACIDS = ['acid_strong', 'acid_weak', 'formic_oxalic', 'acidic_salt', 'acid_nitric'];
const one = () => 1;
const count = (symbol: string) => (id: SubstanceId) => {
  const read = parseFormula(substanceOf(id).formula);
  return (read.ok ? read.value.elements[symbol] : undefined) ?? 0;
};

/** Ammonium, and not every nitrogen: of the nitrate it is half. */
const ammoniumIn = (id: SubstanceId) => {
  const found = /NH4\)?(\d?)/.exec(substanceOf(id).formula);
  return found ? Number(found[1] || 1) : 0;
};

const hydrogenOf = (id: SubstanceId) => (substanceOf(id).formula === 'Al' ? 1.5 : 1);

/** By the equations of textbooks, to their end; the first that fits. */
const GIVERS: readonly Giver[] = [
  // OCl- + Cl- + 2 H+ -> Cl2 + H2O
  {
    of: 'hypochlorite',
    with: ACIDS,
    gas: 'chlorine',
    per: count('Cl'),
    takes: 2,
  },
  {
    of: 'isocyanurate',
    with: ACIDS,
    gas: 'chlorine',
    per: (id) => (id === 'trichloroisocyanuric-acid' ? 3 : 2),
    takes: 1,
  },
  // SO3 2- + 2 H+ -> SO2 + H2O; of a metabisulfite two, a proton each.
  { of: 'sulfite', with: ACIDS, gas: 'sulfur-dioxide', per: count('S'), takes: 1 },
  { of: 'metabisulfite', with: ACIDS, gas: 'sulfur-dioxide', per: count('S'), takes: 1 },
  { of: 'thiosulfate', with: ACIDS, gas: 'sulfur-dioxide', per: one, takes: 2 },
  // 2 HNO2 -> NO + NO2, and NO browns in air.
  { of: 'nitrite', with: ACIDS, gas: 'nitrogen-dioxide', per: one, takes: 1 },
  { of: 'sulfide', with: ACIDS, gas: 'hydrogen-sulfide', per: count('S'), takes: 2 },
  // 2 MnO4- + 10 Cl- + 16 H+ -> 5 Cl2; MnO2 + 4 HCl -> Cl2.
  { of: 'permanganate', with: ['hydrochloric'], gas: 'chlorine', per: () => 2.5, takes: 3.2 },
  { of: 'manganese_dioxide', with: ['hydrochloric'], gas: 'chlorine', per: one, takes: 4 },
  { of: 'ammonia', with: ['alkali_strong', 'quicklime'], gas: 'ammonia-gas', per: ammoniumIn, takes: 1 },
  // Cu + 4 HNO3 -> 2 NO2
  { of: 'metal_copper', with: ['acid_nitric'], gas: 'nitrogen-dioxide', per: () => 2, takes: 2 },
  { of: 'metal_iron', with: ['acid_nitric'], gas: 'nitrogen-dioxide', per: () => 3, takes: 2 },
  { of: 'metal_active', with: ['acid_nitric'], gas: 'nitrogen-dioxide', per: () => 2, takes: 2 },
  // Zn + 2 H+ -> H2; 2 Al + 6 H+ or 2 OH- -> 3 H2. Nitric acid gives its own gas first.
  { of: 'metal_active', with: ACIDS, gas: 'hydrogen', per: hydrogenOf, takes: 2 },
  { of: 'metal_iron', with: ACIDS, gas: 'hydrogen', per: hydrogenOf, takes: 2 },
  { of: 'aluminium', with: ['alkali_strong'], gas: 'hydrogen', per: hydrogenOf, takes: 0.67 },
];

/** kJ for a mol of water from H+ and OH-; weak acids and carbonates give less. CRC. */
const NEUTRAL_KJ = 55.8;
/** J/(g K) of a solution, about. */
const HEAT_CAPACITY = 4;
/** A mistake gives its gas off in about so long, h. */
const OVER_H = 0.25;
/** mol of a poison gas from which one leaves out of doors too: some tenths of a litre. */
const LEAVE_MOL = 0.01;

/**
 * What of a vessel’s contents met that should not have, the worst first. `poured` is how strong each went in: what diluted it
 * since takes nothing from what it did on the way.
 */
export function metIn(
  contents: Contents,
  { air, tempC, pressureHPa, heatTold = false }: Place,
  poured: ReadonlyMap<string, number> = new Map(),
): readonly Met[] {
  const present = presentIn(contents).map((each) => ({
    ...each,
    pct: Math.max(each.pct, poured.get(each.substanceId) ?? 0),
  }));
  const mol = new Map<string, number>(amountsOf(contents));
  const found: Met[] = [];
  for (const [i, added] of present.entries())
    for (const here of present.slice(0, i)) {
      const [worst] = clashesOf([here], added, { beside: present });
      const gas = gasOf([here, added], mol, { air, tempC, pressureHPa });
      if (!worst && !gas) continue;
      const warmerK = heatTold ? 0 : heatOf([here, added], mol, contentsMass(contents));
      const refused = worst?.severity === 'refuse';
      if (!refused && worst?.severity !== 'danger' && !isGrave(gas, air) && warmerK < HOT_K) continue;
      found.push({
        two: [here.substanceId, added.substanceId],
        severity: worst?.severity ?? 'danger',
        says: saysOf([here, added], { worst, gas, warmerK }),
        why: worst?.sentence ?? '',
        gas,
        warmerK,
        leave: refused || isGrave(gas, air),
      });
    }
  return found.sort((a, b) => Number(b.leave) - Number(a.leave) || RANK[a.severity] - RANK[b.severity]);
}

const RANK = { refuse: 0, danger: 1, caution: 2 } as const;
/** Warmer than this by mixing, it spits and boils. */
const HOT_K = 15;

function isGrave(gas: MetGas | null, air: Air): boolean {
  if (!gas) return false;
  const row = limitsOf(gas.id);
  const isPoison = row !== undefined && (row.short ?? row.day ?? row.kills) !== null;
  return isOpen(air) ? isPoison && gas.mol >= LEAVE_MOL : gas.verdict === 'stop' || gas.verdict === 'refuse';
}

function saysOf(
  two: readonly [Present, Present],
  { worst, gas, warmerK }: { readonly worst: Clash | undefined; readonly gas: MetGas | null; readonly warmerK: number },
): string {
  const off = gas
    ? `up to ${formatNumber(gas.grams, 2)} g of ${gas.name}${gas.ppm === null ? '' : `, ${formatNumber(gas.ppm, 2)} ppm of this room`}${gas.minutes === null ? '' : `, beyond its limit in ${gas.minutes < 1 ? 'less than a minute' : `about ${formatNumber(gas.minutes, 1)} min`}`}`
    : (worst?.releases ?? '');
  const hot = warmerK >= 1 ? `up to ${formatNumber(warmerK, 2)} K warmer` : '';
  const first = nameOf(two[0]);
  return `${first.charAt(0).toUpperCase()}${first.slice(1)} and ${nameOf(two[1])} are in it together: ${[off, hot].filter((each) => each !== '').join('; ')}`;
}

interface Place {
  /** Whether the heat of what was taken up is told elsewhere. */
  readonly heatTold?: boolean;
  readonly air: Air;
  readonly tempC: number;
  readonly pressureHPa: number;
}

function gasOf(
  [a, b]: readonly [Present, Present],
  mol: ReadonlyMap<string, number>,
  { air, tempC, pressureHPa }: Place,
): MetGas | null {
  const found = giving(a, b) ?? giving(b, a);
  if (!found) return null;
  const { giver, gives, takes } = found;
  const most = (mol.get(gives.substanceId) ?? 0) * giver.per(gives.substanceId as SubstanceId);
  const other = strengthMol(takes, mol) / giver.takes;
  const n = Math.min(most, other);
  if (!(n > 1e-6)) return null;
  const litres = n * molarVolume(tempC, pressureHPa);
  const { name, formula } = substanceOf(giver.gas);
  const released = { id: giver.gas, litres, hours: OVER_H };
  const { verdict } = judgeAir({ ...released, hours: 0 }, air);
  const row = limitsOf(giver.gas);
  const limitPpm = row?.short ?? row?.day ?? null;
  return {
    id: giver.gas,
    name,
    mol: n,
    grams: n * molarMass(formula),
    litres,
    ppm: isOpen(air) ? null : (litres / 1000 / air.roomM3) * 1e6,
    minutes: limitPpm === null ? null : minutesTo(limitPpm / 1e6, released, air),
    verdict,
  };
}

function giving(gives: Present, takes: Present) {
  const own = classesOf(gives.substanceId, gives.pct);
  const others = classesOf(takes.substanceId, takes.pct);
  const giver = GIVERS.find(
    (each) =>
      (own.has(each.of) || gives.substanceId === each.of.replace('_', '-')) &&
      each.with.some(
        (name) => others.has(name) || (name === 'hydrochloric' && takes.substanceId === 'hydrochloric-acid'),
      ),
  );
  return giver && { giver, gives, takes };
}

/** mol of H+ or OH- that a thing can give; of anything else, its own. */
function strengthMol({ substanceId, pct }: Present, mol: ReadonlyMap<string, number>): number {
  const id = substanceId as SubstanceId;
  const classes = classesOf(substanceId, pct);
  const protons = Math.max(acidOf(id, classes), baseOf(id, classes));
  return (mol.get(substanceId) ?? 0) * (protons > 0 ? protons : 1);
}

/** K by which an acid and an alkali warm what they are in. */
function heatOf([a, b]: readonly [Present, Present], mol: ReadonlyMap<string, number>, grams: number): number {
  const protons = (each: Present, of: typeof acidOf) =>
    substanceById(each.substanceId)
      ? (mol.get(each.substanceId) ?? 0) * of(each.substanceId as SubstanceId, classesOf(each.substanceId, 100))
      : 0;
  const isAlkali = (each: Present) => classesOf(each.substanceId, 100).has('alkali_strong');
  const [acid, alkali] = isAlkali(a) ? [b, a] : [a, b];
  if (!isAlkali(alkali) || grams <= 0) return 0;
  const n = Math.min(protons(acid, acidOf), protons(alkali, baseOf));
  return (n * NEUTRAL_KJ * 1000) / (HEAT_CAPACITY * grams);
}
