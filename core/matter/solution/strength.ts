import { derive, type Figure, given } from '#base/figure';
import { doubleAt, numberAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { molarMass, molarMassFigure, type Substance } from '#matter/substance';
import { DILUTE_PCT, density, dilutes, hasDensity, TABLE_SD, waterDensityAt } from './density.ts';
import { type StrengthUnit, strengthUnits } from './strength-units.ts';

export interface Strength {
  readonly value: number;
  readonly unit: StrengthUnit;
}

/** O2 set free by 1 mol H2O2: half a mole at 0 °C and 101.325 kPa, 22.414 L/mol; the trade's “volumes”. */
const OXYGEN_L_PER_MOL = 22.414 / 2;
const CHLORINE_G_PER_MOL = 70.9;
/** Baumé and Twaddell hydrometers are marked at 60 °F. */
export const SIXTY_F = 15.56;

/**
 * The strength as mass % of the substance (0 to 100) at a temperature in °C. Units by volume are solved against the
 * density table. Where two strengths share one density (strong sulfuric, acetic acid) that is said, not guessed.
 */
export function massFraction(strength: Strength, substance: Substance, tempC: number, atTemp = false): Result<number> {
  const { value, unit } = strength;
  if (!Number.isFinite(value)) return fail('not-a-number', 'The strength is not a number; write it like 28 %.');
  if (value < 0)
    return fail('impossible-strength', `A strength is 0 or more; ${value} ${strengthUnits[unit]} is below it.`);
  if (value === 0 && !isGravity(unit)) return ok(0);
  const M = molarMass(substance.formula);
  switch (unit) {
    case 'w/w':
      return value > 100
        ? fail('impossible-strength', `Nothing is more than 100 % of itself; ${value} % by mass does not exist.`)
        : checked(value, substance, tempC);
    case 'ppm':
      return massFraction({ value: value / 1e4, unit: 'w/w' }, substance, tempC);
    case 'mol/kg':
      return checked((100 * value * M) / (1000 + value * M), substance, tempC);
    case 'g/100g':
      return checked((100 * value) / (100 + value), substance, tempC);
    default:
      break;
  }
  if (!hasDensity(substance)) {
    const dilute = diluteFraction(strength, substance, tempC);
    if (dilute !== undefined) return ok(dilute);
    return fail('no-density', `${strengthUnits[unit]} needs a density table, and none is held for ${substance.name}.`);
  }
  // A hydrometer read in a solution at a stated temperature gives the density there, not at its own mark.
  const atC = atTemp ? tempC : (referenceC(unit) ?? tempC);
  const wanted = targetOf(strength, substance);
  return wanted.ok ? solve(substance, atC, wanted.value, strength) : wanted;
}

/** Mass % of a dilute solution without a density table; undefined for other units, and for what is not dilute. */
function diluteFraction({ value, unit }: Strength, substance: Substance, tempC: number): number | undefined {
  const perMl = { 'w/v': value / 100, 'g/L': value / 1000, 'mol/L': (value * molarMass(substance.formula)) / 1000 };
  const gPerMl = unit === 'w/v' || unit === 'g/L' || unit === 'mol/L' ? perMl[unit] : undefined;
  if (gPerMl === undefined || !dilutes(substance)) return undefined;
  // Twice through: the density it has is that of the strength it turns out to be.
  const first = density(substance, Math.min(DILUTE_PCT, 100 * gPerMl), tempC);
  const w = first.ok ? (100 * gPerMl) / first.value.gPerMl : Number.NaN;
  return w <= DILUTE_PCT ? w : undefined;
}

/** As a figure in %, from a label's (or assay's) own figure; the uncertainty goes through the same solving. */
export function massFractionFigure(
  label: Figure,
  unit: StrengthUnit,
  substance: Substance,
  tempC: number,
  atTemp = false,
): Result<Figure> {
  const first = massFraction({ value: label.value, unit }, substance, tempC, atTemp);
  if (!first.ok) return first;
  const naming = { symbol: 'w', name: `mass fraction of ${substance.name}`, unit: '%' };
  if (unit === 'w/w') return ok({ ...label, ...naming });
  const solveAt = (value: number) => {
    const answer = massFraction({ value, unit }, substance, tempC, atTemp);
    return answer.ok ? answer.value : Number.NaN;
  };
  const M = molarMassFigure(substance.formula);
  const T = given({ symbol: 'T', name: 'temperature', unit: '°C' }, tempC, 'bench temperature');
  const shown =
    unit === 'mol/L' ? 'w such that 10 × ρ(w, T) × w ÷ M = c' : `w such that ${strengthUnits[unit]} = c at T`;
  const w = derive(naming, shown, { c: label, M, T }, (x) => solveAt(x.c));
  return ok({
    ...w,
    uncertainty: { ...w.uncertainty, ...tableUncertainty(label.value, unit, first.value, substance, tempC, solveAt) },
  });
}

/** What the density table's own uncertainty does to a strength solved through it, in %. */
function tableUncertainty(
  value: number,
  unit: StrengthUnit,
  w: number,
  substance: Substance,
  tempC: number,
  solveAt: (value: number) => number,
): Figure['uncertainty'] {
  const at = density(substance, w, tempC);
  if (!at.ok || unit === 'mol/kg' || unit === 'g/100g' || unit === 'ppm') return {};
  const relative = TABLE_SD[at.value.grade] / at.value.gPerMl;
  // A density moves by the table's uncertainty itself; an amount in a volume by as large a part of itself.
  const shifted = isGravity(unit) ? solveAt(value + gravityStep(value, unit, relative)) : w * (1 - relative);
  const effect = Number.isFinite(shifted) ? Math.abs(shifted - w) : w * relative;
  return { [`density:${substance.density}`]: { name: 'density table', effect } };
}

/** The step of a hydrometer scale that a relative change of density makes. */
function gravityStep(value: number, unit: StrengthUnit, relative: number): number {
  if (unit === 'SG') return value * relative;
  if (unit === 'Tw') return (200 + value) * relative;
  return (145 - value) * relative;
}

interface Target {
  /** A quantity that the density table turns into mass %: the density itself, or mass of solute per mL. */
  readonly of: 'density' | 'grams-per-mL' | 'volume-fraction';
  readonly value: number;
}

function targetOf({ value, unit }: Strength, substance: Substance): Result<Target> {
  const M = molarMass(substance.formula);
  const perMl = (gPerMl: number): Result<Target> => ok({ of: 'grams-per-mL', value: gPerMl });
  switch (unit) {
    case 'w/v':
      return perMl(value / 100);
    case 'g/L':
      return perMl(value / 1000);
    case 'mol/L':
      return perMl((value * M) / 1000);
    case 'vol':
      return substance.id === 'hydrogen-peroxide'
        ? perMl(((value / OXYGEN_L_PER_MOL) * M) / 1000)
        : fail('unit-does-not-fit', `Volumes of oxygen count peroxide, not ${substance.name}.`);
    case 'Cl g/L':
      return substance.id === 'sodium-hypochlorite'
        ? perMl(((value / CHLORINE_G_PER_MOL) * M) / 1000)
        : fail('unit-does-not-fit', `Available chlorine counts hypochlorite, not ${substance.name}.`);
    case 'v/v':
      return ok({ of: 'volume-fraction', value: value / 100 });
    case 'proof':
      return ok({ of: 'volume-fraction', value: value / 200 });
    case 'SG':
      return ok({ of: 'density', value: value * waterDensityAt(20) });
    case 'Tw':
      return ok({ of: 'density', value: (1 + value / 200) * waterDensityAt(SIXTY_F) });
    case 'Bé':
      // Heavy scale, 145 modulus; the light scale (ammonia, ethanol) has modulus 140 and its zero at 10.
      return ok({ of: 'density', value: baumeGravity(value, substance) * waterDensityAt(SIXTY_F) });
    default:
      return fail('unknown-unit', `${unit} is not a unit of strength known here.`);
  }
}

/** Lighter than water: measured on Baumé's light scale. */
export function isLight(substance: Substance): boolean {
  return substance.id === 'ammonia' || substance.form === 'liquid';
}

function baumeGravity(degrees: number, substance: Substance): number {
  return isLight(substance) ? 140 / (130 + degrees) : 145 / (145 - degrees);
}

/** The temperature a unit is defined at, °C; undefined when it goes by the solution's own. */
function referenceC(unit: StrengthUnit): number | undefined {
  if (unit === 'Bé' || unit === 'Tw') return SIXTY_F;
  return unit === 'SG' || unit === 'v/v' || unit === 'proof' ? 20 : undefined;
}

function isGravity(unit: StrengthUnit): boolean {
  return unit === 'SG' || unit === 'Tw' || unit === 'Bé';
}

/** Mass % between two nodes of the grid that is scanned. */
const GRID_PCT = 0.5;
const GRID_NODES = 100 / GRID_PCT + 1;
const GRIDS = new Map<string, Float64Array>();
/** Substances at temperatures; a shelf at one temperature takes a few dozen. */
const MOST_GRIDS = 64;

/** Densities at every node, NaN beyond the table: tables do not change, so a substance at a temperature is read once. */
function gridOf(substance: Substance, tempC: number): Float64Array {
  const key = `${substance.density} ${tempC}`;
  const known = GRIDS.get(key);
  if (known) return known;
  const grid = Float64Array.from({ length: GRID_NODES }, (_, i) => densityAt(substance, i * GRID_PCT, tempC));
  if (GRIDS.size >= MOST_GRIDS) GRIDS.clear();
  GRIDS.set(key, grid);
  return grid;
}

function densityAt(substance: Substance, w: number, tempC: number): number {
  const at = density(substance, w, tempC);
  return at.ok ? at.value.gPerMl : Number.NaN;
}

/** A density this near to the highest there is, relative, is the highest. */
const AT_TOP = 0.006;

/** Where a table is flat at its top, and a density a little above it is meant. */
function nearTop(grid: Float64Array, rho: number): { pct: number; rho: number; from: number } | undefined {
  const held = [...grid].filter((each) => Number.isFinite(each));
  const top = Math.max(...held);
  const at = held.indexOf(top);
  const from = held.findIndex((each) => each > top * (1 - AT_TOP));
  const isFlat = (at - from) * GRID_PCT >= 3 && rho > top && rho < top * (1 + AT_TOP);
  return isFlat ? { pct: at * GRID_PCT, rho: top, from: from * GRID_PCT } : undefined;
}

/** Scans the whole table for crossings, so that two answers are seen; each is then closed in. */
function solve(substance: Substance, tempC: number, target: Target, strength: Strength): Result<number> {
  const grid = gridOf(substance, tempC);
  const pure = target.of === 'volume-fraction' ? doubleAt(grid, GRID_NODES - 1) : Number.NaN;
  if (target.of === 'volume-fraction' && !Number.isFinite(pure)) {
    return fail('no-density', `% by volume needs the density of pure ${substance.name}, which is not held.`);
  }
  const off = (w: number, rho: number) => {
    if (target.of === 'density') return rho - target.value;
    if (target.of === 'volume-fraction') return (rho * w) / 100 / pure - target.value;
    return (rho * w) / 100 - target.value;
  };
  const miss = (w: number) => off(w, densityAt(substance, w, tempC));
  const roots: number[] = [];
  for (let i = 0; i + 1 < GRID_NODES; i++) {
    const low = i * GRID_PCT;
    const high = low + GRID_PCT;
    const a = off(low, doubleAt(grid, i));
    const b = off(high, doubleAt(grid, i + 1));
    if (!Number.isFinite(b)) break;
    // The last step closes on its own end so that 100 % is found too; half-open elsewhere, lest a node count twice.
    if (a === 0 || a * b < 0 || (high === 100 && Math.abs(b) < 1e-9)) roots.push(closeIn(miss, [low, a], [high, b]));
  }
  const said = `${strength.value} ${strengthUnits[strength.unit]}`;
  if (roots.length === 0) {
    const flat = target.of === 'density' ? nearTop(grid, target.value) : undefined;
    if (flat !== undefined)
      return fail(
        'impossible-strength',
        `At ${tempC} °C ${substance.name} is densest at about ${flat.pct} %, ${flat.rho.toFixed(4)} g/mL, and hardly changes from ${flat.from} % on: ${said} is that, and its density does not tell which.`,
      );
    return fail('impossible-strength', `${capital(substance.name)} does not reach ${said} at ${tempC} °C.`);
  }
  if (roots.length > 1) {
    const options = roots.map((w) => `${Number(w.toPrecision(3))} %`).join(' or ');
    return fail('impossible-strength', `${said} fits two strengths of ${substance.name}: ${options}. Give it by mass.`);
  }
  return ok(numberAt(roots, 0));
}

/** Narrower than any strength is known, %. */
const WIDTH_PCT = 1e-12;
const MOST_STEPS = 100;

/** The crossing between two points [w, f(w)] of opposite sign, or the end that is one: false position, the stale end halved (Illinois). */
function closeIn(f: (w: number) => number, from: readonly [number, number], to: readonly [number, number]): number {
  let [a, fa] = from;
  let [b, fb] = to;
  if (fa === 0) return a;
  if (fa * fb > 0) return b;
  for (let i = 0; i < MOST_STEPS && fb !== 0 && Math.abs(b - a) > WIDTH_PCT; i++) {
    const w = b - (fb * (b - a)) / (fb - fa);
    const fw = f(w);
    if (fw * fb < 0) [a, fa] = [b, fb];
    else fa /= 2;
    // As near as a double comes: the next step would not move.
    if (w === b) break;
    [b, fb] = [w, fw];
  }
  return b;
}

/** A mass % the substance can have: within its density table where one is held. */
function checked(wtPct: number, substance: Substance, tempC: number): Result<number> {
  if (substance.form !== 'dissolved' || !hasDensity(substance)) return ok(wtPct);
  const at = density(substance, wtPct, tempC);
  return at.ok ? ok(wtPct) : at;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
