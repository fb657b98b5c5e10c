import type { DividerKind } from '#matter/gear';
import { dividerOf, type Ranged } from './published.ts';

/** What a divider does to a current: how much it slows ions, how long it lives, what else is to be known. */
export interface Divider {
  readonly kind: DividerKind;
  /** Resistance of the same layer of free liquid, times this. Null for a membrane, which has a resistance of its own. */
  readonly times: Ranged | null;
  /** Ω cm² of a membrane. */
  readonly ohmCm2: number | null;
  /** Share of anions that are held back. */
  readonly holdsAnions: number;
  /** Hours in alkali of 1 mol/L; null where nothing is held. */
  readonly alkaliH: Ranged | null;
  /** Hours in acid of 0.5 mol/L. */
  readonly acidH: Ranged | null;
  /** °C that it bears. */
  readonly ceilingC: number;
  /** mL that pass in an hour through 100 cm² for each cm that one side stands higher; null where nothing is held. */
  readonly leaks: Ranged | null;
  readonly note: string;
}

const ROWS: Readonly<Record<Exclude<DividerKind, 'none' | 'membrane'>, string>> = {
  'flower pot': 'unglazed flower pot, 4-6 mm wall',
  'porous cup': 'unglazed porous cup, 3 mm, laboratory',
  'agar gel': 'agar gel 1.5-3 %',
  'gelatin gel': 'gelatin gel 5-10 %',
  parchment: 'parchment paper, vegetable',
  'filter paper': 'filter paper (one sheet)',
  cellophane: 'cellophane (uncoated)',
  canvas: 'cotton canvas, 2 layers',
  felt: 'polypropylene or polyester felt',
};

/** °C that a divider bears, where it is not 60. */
const CEILINGS: Readonly<Partial<Record<DividerKind, number>>> = { 'agar gel': 50, 'gelatin gel': 24 };

const NOTES: Readonly<Partial<Record<DividerKind, string>>> = {
  'flower pot':
    'Soak it an hour, or boil it in water: air in the wall carries nothing. A hole is closed with a plug; filled with water it may sweat but not drip.',
  'agar gel': 'Boil it clear, salt it, pour at 50 to 60 °C; it sets below 35.',
  'gelatin gel': 'It melts near 30 °C and dissolves in alkali: agar is the better one.',
  parchment: 'Vegetable parchment, not baking paper: silicone does not conduct.',
  'filter paper': 'It tears with gas and gives way in alkali.',
  canvas: 'It leaks by flow: keep both levels alike.',
  felt: 'Wet it with a drop of detergent first.',
};

export function dividerFor(kind: DividerKind): Divider | null {
  if (kind === 'none') return null;
  const membrane = kind === 'membrane';
  const gel = kind === 'agar gel';
  const life: Partial<Record<DividerKind, string>> = {
    'agar gel': 'agar plug in 4 % NaOH, life',
    'flower pot': 'flower pot in 5 % NaOH, life',
    'filter paper': 'paper in 5 % NaOH, life',
    cellophane: 'cellophane in 5 % NaOH, life',
  };
  const leak: Partial<Record<DividerKind, string>> = {
    'flower pot': '1 cm level difference over a flower pot, 100 cm2',
    canvas: '1 cm level difference over cotton canvas, 100 cm2',
  };
  return {
    kind,
    times: membrane ? null : dividerOf(ROWS[kind]),
    ohmCm2: membrane ? dividerOf('cation exchange membrane, sulfonated').value : null,
    holdsAnions: membrane ? 0.92 : 0,
    alkaliH: life[kind] ? dividerOf(life[kind]) : null,
    acidH: gel ? dividerOf('agar plug in 0.5 mol/L H2SO4, life') : null,
    ceilingC: CEILINGS[kind] ?? 60,
    leaks: leak[kind] ? dividerOf(leak[kind]) : null,
    note: NOTES[kind] ?? '',
  };
}

/** A plug of gel: g of agar and of salt in how much water, and when to pour it. */
export interface GelPlug {
  readonly waterMl: number;
  readonly agarG: readonly [low: number, usual: number, high: number];
  /** mol of salt: half a mol in a litre of the plug carries the current through it. */
  readonly saltMol: number;
  readonly pourC: readonly [number, number];
  readonly setsC: number;
  readonly meltsC: number;
}

const SALT_MOL_PER_L = 0.5;

/** What goes into a plug of so many cm² and mm. */
export function gelPlug(cm2: number, mm: number): GelPlug {
  const waterMl = (cm2 * mm) / 10;
  const dose = dividerOf('agar, dose');
  return {
    waterMl,
    agarG: [(dose.low * waterMl) / 100, (dose.value * waterMl) / 100, (dose.high * waterMl) / 100],
    saltMol: (SALT_MOL_PER_L * waterMl) / 1000,
    pourC: [50, 60],
    setsC: dividerOf('agar gel, sets below').value,
    meltsC: dividerOf('agar gel, melts above').value,
  };
}
