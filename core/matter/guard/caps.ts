import { type Problem, problem } from '#base/problem';
import { formatNumber } from '#base/units';
import { molarMass, type SubstanceId, substanceById, substanceOf } from '#matter/substance';
import { type Air, isOpen, judgeAir, type Released } from './air.ts';
import { classesOf } from './classes.ts';

/** A gas of a batch: how much in all, in how long, and whether its step is done outdoors whatever the bench. */
export interface GasOfBatch extends Released {
  readonly mol: number;
  readonly stepOutdoors: boolean;
}

/** What a batch comes to, for the caps. */
export interface Scale {
  readonly gases: readonly GasOfBatch[];
  readonly air: Air;
  /** Strong acid that is taken from bottles and that is made: mL, at which mass %. */
  readonly acids: readonly {
    readonly name: string;
    readonly substanceId: SubstanceId;
    readonly pct: number;
    readonly mL: number;
  }[];
  /** g of alkali that is molten. */
  readonly moltenAlkaliG: number;
  /** g of iodine as crystals. */
  readonly iodineG: number;
}

/** mol of a gas in one batch, wherever it is made: no setting lifts them. Judgement, for a hobby bench with an absorber. */
const MOST_MOL: Readonly<Record<string, number>> = {
  chlorine: 0.1,
  'nitrogen-dioxide': 0.1,
  'nitric-oxide': 0.1,
  'sulfur-dioxide': 0.5,
  'hydrogen-chloride': 2,
  'ammonia-gas': 4,
  hydrogen: 10,
  'carbon-dioxide': 50,
  bromine: 0.03,
  'hydrogen-sulfide': 0,
  'chlorine-dioxide': 0,
  'nitrogen-trichloride': 0,
  'carbon-monoxide': 0,
};
/** What a room takes much of, and is judged by the room. */
const HARMLESS: ReadonlySet<string> = new Set(['carbon-dioxide', 'hydrogen']);
const MOST_ACID_ML = 2500;
const STRONG_PCT = 20;
const MOST_MOLTEN_G = 250;
const MOST_IODINE_G = 10;

interface Over {
  /** How many times over: 2 is twice too much; infinity where there is none that is little enough. */
  readonly times: number;
  readonly says: string;
}

/**
 * Everything of a batch that is over a cap, the furthest over first: the sentence says what, and `within` the largest part of the
 * batch that would be within them all.
 */
export function overCaps(scale: Scale): { readonly says: string; readonly within: number } | null {
  const over = [...scale.gases.flatMap((gas) => ofGas(gas, scale.air)), ...ofAcids(scale), ...ofSolids(scale)];
  const [worst] = over.sort((a, b) => b.times - a.times);
  return worst ? { says: worst.says, within: 1 / worst.times } : null;
}

/** The refusal of a batch that is over a cap, with the largest amount within it. */
export function capProblem(scale: Scale, amount: { readonly value: number; readonly unit: string }): Problem | null {
  const over = overCaps(scale);
  if (!over) return null;
  const most = roundedDown(amount.value * over.within);
  const instead = most > 0 ? `At most ${formatNumber(most, 2)} ${amount.unit} at a time here.` : 'It is not made here.';
  return problem('out-of-range', `${over.says} ${instead}`, { field: 'target.amount' });
}

function ofGas(gas: GasOfBatch, air: Air): readonly Over[] {
  const { name } = substanceOf(gas.id);
  const found: Over[] = [];
  const most = MOST_MOL[gas.id];
  if (most !== undefined && gas.mol > most * 1.0001) {
    const litres = formatNumber(gas.litres, 2);
    found.push({
      times: most > 0 ? gas.mol / most : Number.POSITIVE_INFINITY,
      says: `About ${litres} L of ${name} come off, ${formatNumber(gas.mol, 2)} mol; ${most > 0 ? `at most ${most} mol of it are planned here in one batch, wherever it is done` : 'none of it is planned here'}.`,
    });
  }
  // A step that is done outdoors leaves a poison outside; what burns is still judged by the room it is started in.
  const outside = gas.stepOutdoors && gas.id !== 'hydrogen';
  const judged = isOpen(air) || outside ? null : judgeAir(gas, air);
  if (judged?.verdict === 'refuse' && judged.limit !== null)
    found.push({
      times: judged.share / judged.limit,
      says: `About ${formatNumber(gas.litres, 2)} L of ${name} come off. ${judged.says} Outdoors, where your bench is set so, more is planned.`,
    });
  return found;
}

function ofAcids({ acids }: Scale): readonly Over[] {
  return acids
    .filter(({ substanceId, pct }) => pct >= STRONG_PCT && isStrongAcid(substanceId, pct))
    .flatMap(({ name, pct, mL }) =>
      mL > MOST_ACID_ML
        ? [
            {
              times: mL / MOST_ACID_ML,
              says: `That is ${formatNumber(mL / 1000, 2)} L of ${formatNumber(pct, 2)} % ${name}; strong acid is handled here up to ${MOST_ACID_ML / 1000} L in one batch.`,
            },
          ]
        : [],
    );
}

function isStrongAcid(substanceId: SubstanceId, pct: number): boolean {
  const classes = classesOf(substanceId, pct);
  return classes.has('acid_strong') && substanceOf(substanceId).form === 'dissolved';
}

function ofSolids({ moltenAlkaliG, iodineG }: Scale): readonly Over[] {
  const grams = (g: number, most: number, what: string): readonly Over[] =>
    g > most
      ? [
          {
            times: g / most,
            says: `That is about ${formatNumber(g, 2)} g of ${what}; up to ${most} g are planned here at a time.`,
          },
        ]
      : [];
  return [...grams(moltenAlkaliG, MOST_MOLTEN_G, 'molten alkali'), ...grams(iodineG, MOST_IODINE_G, 'iodine crystals')];
}

/** Two figures, downwards: what is said to be within is within. */
function roundedDown(value: number): number {
  if (!(value > 0)) return 0;
  const step = 10 ** (Math.floor(Math.log10(value)) - 1);
  return Number((Math.floor(value / step + 1e-9) * step).toPrecision(2));
}

/** Every gas and vapour that poisons, by its formula: one is what it is under whichever name it was found. */
const POISONS = new Map(
  Object.entries(MOST_MOL).flatMap(([id, most]) => {
    const gas = substanceById(id);
    return gas && !HARMLESS.has(id) ? [[gas.formula, { name: gas.name, most }] as const] : [];
  }),
);

/**
 * The part of an amount of an element or gas that is within its cap, 0 to 1, with the cap in words where that is not all of it;
 * null where no cap is held or all is within.
 */
export function overCapOf(formula: string, mol: number): { readonly within: number; readonly says: string } | null {
  if (formula === 'I2') {
    const g = mol * molarMass(formula);
    const says = `That is ${formatNumber(g, 2)} g of iodine; up to ${MOST_IODINE_G} g are planned here at a time.`;
    return g > MOST_IODINE_G ? { within: MOST_IODINE_G / g, says } : null;
  }
  const gas = POISONS.get(formula);
  if (!gas || mol <= gas.most) return null;
  const most =
    gas.most > 0
      ? `at most ${gas.most} mol of it are planned here in one batch, outdoors and with an absorber for all of it`
      : 'none of it is planned here';
  return { within: gas.most / mol, says: `That is ${formatNumber(mol, 2)} mol of ${gas.name}; ${most}.` };
}

/** Whether a poison is made here in small amounts: whether it is, its amount decides. */
export function isCapped(formula: string): boolean {
  return (POISONS.get(formula)?.most ?? 0) > 0;
}

/** Whether so much of an element or gas by itself is computed here, as of a current: the cap in words where it is not. */
export function capOfAmount(formula: string, mol: number): Problem | null {
  const over = overCapOf(formula, mol);
  return over ? problem('beyond-scope', over.says) : null;
}
