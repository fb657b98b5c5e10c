import { formatNumber } from '#base/units';
import type { Bench } from '#matter/gear';
import { clashesOf, type Present, presentIn } from '#matter/guard';
import { statementsAt } from '#matter/hazard';
import { contentOf, type ShelfBottle } from '#matter/stock';
import { type SubstanceId, substanceById } from '#matter/substance';
import {
  at,
  type Contents,
  contentsMass,
  liquidVolume,
  type VesselName,
  type Vessels,
  vesselNames,
} from '#matter/vessel';
import { metalName } from './accident.ts';
import { type Demand, demandOf } from './demand.ts';
import { needsOf, type Pour, pourFor } from './neutraliser.ts';

/** Something that is left, and what becomes of it. */
export interface WasteItem {
  readonly id: string;
  /** “mother liquor”, “on the paper”. */
  readonly name: string;
  /** “35 mL, zinc 2.1 g”. */
  readonly holds: string;
  readonly pours: readonly Pour[];
  /** What to do, in order. */
  readonly steps: readonly string[];
  /** pH to reach; null where nothing falls out or is made neutral. */
  readonly pH: string | null;
  readonly gasL: number;
  /** g of each metal. */
  readonly metals: Demand['metals'];
  /** Where it goes. */
  readonly goes: 'jar' | 'drain' | 'bin' | 'ask';
  readonly present: readonly Present[];
}

/** A waste jar, with what is in it and whether something may go in too. */
export interface Jar {
  readonly bottleId: string;
  readonly name: string;
  readonly place: string;
  /** What it would do with each item, by id; empty where they get on. */
  readonly against: Readonly<Record<string, string>>;
}

export interface WastePlan {
  readonly items: readonly WasteItem[];
  readonly jars: readonly Jar[];
  readonly never: string;
}

export interface WasteSetting {
  readonly shelf: readonly ShelfBottle[];
  readonly bench: Bench;
  readonly day: string;
  /** What was made: it is no waste. */
  readonly productId: SubstanceId;
}

const PLACE_NAMES: Readonly<Record<string, string>> = {
  pot: 'left in the vessel',
  liquor: 'mother liquor',
  paper: 'paper and what is on it',
};

/** What is left of a batch in each vessel, its rinse, and what becomes of it. */
export function wastePlan(vessels: Vessels, setting: WasteSetting): WastePlan {
  const items = vesselNames.flatMap((name): readonly WasteItem[] => {
    const contents = without(at(vessels, name), setting.productId);
    if (contentsMass(contents) < 0.05) return [];
    return [itemOf(name, contents, setting)];
  });
  const rinse = rinseOf(items);
  const all = rinse ? [...items, rinse] : items;
  return { items: all, jars: jarsOf(all, setting), never: neverOf(all) };
}

/** Contents without the solid that is the product itself. */
function without(contents: Contents, productId: SubstanceId): Contents {
  const species = substanceById(productId)?.species;
  const solid = Object.fromEntries(
    Object.entries(contents.solid).filter(([id]) => id !== productId && substanceById(id)?.species !== species),
  );
  return { ...contents, solid };
}

function itemOf(id: VesselName, contents: Contents, { shelf, bench, day }: WasteSetting): WasteItem {
  const demand = demandOf(contents);
  const present = presentIn(contents);
  const needs = needsOf(demand);
  const pours = needs.flatMap(({ against, mol }) => pourFor(against, mol, { shelf, bench, day }) ?? []);
  const metals = Object.fromEntries(Object.entries(demand.metals).filter(([, g]) => g >= 0.005));
  const gasMol = pours.reduce((sum, { carbonDioxideMol }) => sum + carbonDioxideMol, 0);
  const heavy = Object.keys(metals);
  const settles = heavy.length > 0 && needs.some(({ against }) => against === 'acid');
  const neutral = needs.length > 0 ? '6 to 9' : null;
  const pH = settles ? pHFor(heavy) : neutral;
  const solid = liquidVolume(contents) < 0.5;
  const goes = solid && heavy.length === 0 && demand.flammableG <= 5 ? 'bin' : whereTo(demand, present, heavy);
  return {
    id,
    name: PLACE_NAMES[id] ?? id,
    holds: holdsOf(contents, demand, metals),
    pours,
    steps: stepsOf(needs, pours, { pH, heavy, goes, demand }),
    pH,
    gasL: (gasMol * 8.314 * (bench.tempC + 273.15)) / (bench.pressureHPa / 10),
    metals,
    goes,
    present,
  };
}

/** pH at which the metals fall out most completely: zinc, chromium and aluminium dissolve again in more alkali. */
function pHFor(metals: readonly string[]): string {
  if (metals.some((each) => each === 'Ni' || each === 'Co')) return '9 to 10';
  if (metals.some((each) => each === 'Mn')) return '9.5 to 10';
  return metals.includes('Zn') ? '8.5 to 9' : '8 to 9';
}

/** Statements with which nothing is poured away. */
const KEPT_FOR = [
  'H400',
  'H410',
  'H411',
  'H300',
  'H301',
  'H310',
  'H311',
  'H340',
  'H341',
  'H350',
  'H350i',
  'H351',
  'H360D',
  'H360FD',
  'H370',
];

function whereTo({ flammableG }: Demand, present: readonly Present[], heavy: readonly string[]): WasteItem['goes'] {
  if (heavy.length > 0) return 'jar';
  if (flammableG > 5) return 'jar';
  const codes = new Set(present.flatMap(({ substanceId }) => statementsAt({ substanceId, pct: 100 })));
  if (KEPT_FOR.some((code) => codes.has(code))) return codes.has('H400') && codes.size < 5 ? 'ask' : 'jar';
  return 'drain';
}

function holdsOf(contents: Contents, { acidMol, baseMol }: Demand, metals: Demand['metals']): string {
  const mL = liquidVolume(contents);
  const amount = mL >= 0.5 ? `${formatNumber(mL, 2)} mL` : `${formatNumber(contentsMass(contents), 2)} g`;
  const acid = acidMol - baseMol > 1e-3 ? [`acid ${formatNumber(acidMol - baseMol, 2)} mol`] : [];
  const base = baseMol - acidMol > 1e-3 ? [`base ${formatNumber(baseMol - acidMol, 2)} mol`] : [];
  return [
    amount,
    ...acid,
    ...base,
    ...Object.entries(metals).map(([symbol, g]) => `${metalName(symbol)} ${formatNumber(g, 2)} g`),
  ].join(', ');
}

interface About {
  readonly pH: string | null;
  readonly heavy: readonly string[];
  readonly goes: WasteItem['goes'];
  readonly demand: Demand;
}

function stepsOf(
  needs: ReturnType<typeof needsOf>,
  pours: readonly Pour[],
  { pH, heavy, goes, demand }: About,
): readonly string[] {
  const steps: string[] = [];
  if (demand.gives === 'hydrogen')
    steps.push('Wait until the metal has stopped giving gas; nothing lit, no closed jar.');
  for (const { against, mol } of needs) {
    const pour = pours.find((each) => each.against === against);
    if (pour) {
      const scoops = pour.measures ? `, ${pour.measures.count} × ${pour.measures.name}` : '';
      const short = pour.enough ? '' : `; only ${formatNumber(pour.leftG ?? 0, 2)} g stand there`;
      steps.push(
        `${formatNumber(pour.grams / pour.spare, 2)} g of ${pour.name} in small portions${scoops}${pH ? `, to pH ${pH}` : ''}${short}.`,
      );
    } else steps.push(`${WANTED[against](mol)}: none stands on your shelf.`);
  }
  if (heavy.length > 0) {
    if (needs.length > 0) steps.push('Let it settle, pour off, filter: the sludge stays wet in its jar.');
    steps.push(
      'Sludge and paper are handed in. The clear liquid still holds a little: ask your local rules before any of it goes down a drain.',
    );
  } else if (goes === 'jar') steps.push('A closed, labelled bottle to the collection.');
  else if (goes === 'bin')
    steps.push(
      'What it is, is not known to the last: with the sludge, if the batch has one; else dry, wrapped, into the bin.',
    );
  else if (goes === 'ask') steps.push('Made harmless first; then as your local rules say.');
  else
    steps.push(
      'With plenty of water down the sewer, where your local rules allow it; not to soil, a ditch or a septic tank.',
    );
  return steps;
}

const WANTED: Readonly<Record<Pour['against'], (mol: number) => string>> = {
  acid: (mol) => `${formatNumber(mol * 84, 2)} g of baking soda`,
  base: (mol) => `${formatNumber(mol * 64, 2)} g of citric acid`,
  hypochlorite: (mol) => `${formatNumber(mol * 126, 2)} g of sodium sulfite`,
  halogen: (mol) => `${formatNumber(mol * 496, 2)} g of thiosulfate crystals`,
  permanganate: (mol) => `${formatNumber(mol * 315, 2)} g of sodium sulfite`,
};

/** Part of what stood in the vessels that clings to them: a few per cent, by habit of weighing beakers. About. */
const CLINGS = 0.02;

/** The rinse of all vessels and of the tray, where something in them may not go to a drain. */
function rinseOf(items: readonly WasteItem[]): WasteItem | null {
  const metals: Record<string, number> = {};
  for (const item of items)
    for (const [symbol, g] of Object.entries(item.metals)) metals[symbol] = (metals[symbol] ?? 0) + CLINGS * g;
  const heavy = Object.entries(metals).filter(([, g]) => g >= 0.005);
  if (heavy.length === 0) return null;
  return {
    id: 'rinse',
    name: 'rinse of vessels and tray',
    holds: `about 200 mL, ${heavy.map(([symbol, g]) => `${metalName(symbol)} about ${formatNumber(g, 1)} g`).join(', ')}`,
    pours: [],
    steps: [`Into the same jar, a pinch of soda to pH ${pHFor(heavy.map(([symbol]) => symbol))}.`],
    pH: pHFor(heavy.map(([symbol]) => symbol)),
    gasL: 0,
    metals: Object.fromEntries(heavy),
    goes: 'jar',
    present: items.flatMap(({ present }) => present.map((each) => ({ ...each, pct: each.pct * CLINGS }))),
  };
}

function jarsOf(items: readonly WasteItem[], { shelf, bench, day }: WasteSetting): readonly Jar[] {
  return shelf
    .filter(({ card, archived }) => card.group === 'waste' && !archived)
    .map((bottle) => {
      const content = contentOf(bottle, bench.tempC, day);
      const inIt: readonly Present[] = [
        { substanceId: bottle.card.substanceId, pct: content.ok ? Math.min(100, content.value.w.value) : 100 },
        ...bottle.card.others.map(({ substanceId, strength }) => ({ substanceId, pct: Math.min(100, strength.value) })),
      ];
      const against = Object.fromEntries(
        items.flatMap((item) => {
          const worst = item.present
            .flatMap((each) => clashesOf(inIt, each))
            .find(({ severity }) => severity !== 'caution');
          return worst ? [[item.id, worst.sentence]] : [];
        }),
      );
      return { bottleId: bottle.id, name: bottle.card.name, place: bottle.card.place ?? '', against };
    });
}

function neverOf(items: readonly WasteItem[]): string {
  const metals = [...new Set(items.flatMap((item) => Object.keys(item.metals)))].map(metalName);
  if (metals.length === 0)
    return 'Neither acid nor lye goes to a drain before it is neutral, and nothing to soil, a ditch or a septic tank.';
  return `Nothing that holds ${metals.join(' or ')} goes to a drain, soil, a ditch or a septic tank before it is neutral, settled and filtered; the sludge never.`;
}
