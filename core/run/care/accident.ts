import { formatNumber } from '#base/units';
import type { Bench } from '#matter/gear';
import {
  bandOf,
  clashesOf,
  describedRefused,
  firstMoves,
  isOpen,
  judgeAir,
  type Present,
  presentIn,
} from '#matter/guard';
import { type Handled, type Met, metIn, rowsFor, vapourFrom } from '#matter/hazard';
import { contentOf, type ShelfBottle } from '#matter/stock';
import { substanceById } from '#matter/substance';
import { type Contents, liquidVolume } from '#matter/vessel';
import { type Call, callsOf } from './calls.ts';
import { type Demand, demandOf } from './demand.ts';
import { needsOf, type Pour, pourFor } from './neutraliser.ts';

/** What a card is computed from. */
export interface AccidentSetting {
  readonly shelf: readonly ShelfBottle[];
  readonly bench: Bench;
  /** ISO day. */
  readonly day: string;
  /** °C of what is in the vessel; the bench’s where it is not known. */
  readonly tempC?: number;
  /** Mass % that each substance had when it was poured in: what diluted it since makes nothing milder. */
  readonly poured?: ReadonlyMap<string, number>;
  /** What stands in it if nothing of it had met yet: where a mistake is not over, it counts beside what is there. */
  readonly unmet?: Contents | undefined;
  /** What is booked of the heat of a mistake, in sentences: it is told by that, and by no other sum. */
  readonly warmed?: readonly string[] | undefined;
}

/** Something that stands near, and what would come of the two. */
export interface Near {
  readonly name: string;
  readonly place: string;
  readonly severity: 'refuse' | 'danger' | 'caution';
  readonly says: string;
}

/** What to do when it is out: in this order, in few words. */
export interface AccidentCard {
  /** “118 mL with 10 % sulfuric acid”. */
  readonly of: string;
  readonly go: 'stay' | 'leave';
  /** Why one leaves; empty where one stays. */
  readonly leaveBecause: string;
  readonly first: readonly string[];
  readonly leaveIf: string;
  readonly pours: readonly (Pour & { readonly how: string })[];
  /** Where nothing that does stands on the shelf, or nothing is needed: what to do all the same. */
  readonly instead: string;
  readonly firstAid: {
    readonly eye: string;
    readonly skin: string;
    readonly swallowed: string;
    readonly breathed: string;
  };
  readonly calls: readonly Call[];
  readonly inThere: readonly { readonly name: string; readonly amount: string }[];
  readonly working: readonly string[];
  readonly near: readonly Near[];
  readonly neverToDrain: string;
  readonly inReach: readonly string[];
}

const HOW: Readonly<Record<Pour['against'], string>> = {
  acid: 'From the rim inwards, until no sprinkle fizzes; then wipe up with water.',
  base: 'Strewn on from the rim inwards, a little water after it; then wipe up. Never on skin or in an eye.',
  hypochlorite: 'Dissolved in much water and poured on; no acid anywhere near.',
  halogen: 'Strewn on damp, until the colour is gone.',
  permanganate: 'Strewn on damp, until the purple is gone; the brown goes with it.',
};

/** The card of what is in a vessel, as if all of it were out. */
export function accidentCard(contents: Contents, setting: AccidentSetting): AccidentCard {
  const { shelf, bench, day } = setting;
  const present = presentIn(contents);
  const demand = demandOf(contents);
  const needs = needsOf(demand);
  const found = needs.flatMap(({ against, mol }) => pourFor(against, mol, { shelf, bench, day }) ?? []);
  const pours = found.map((pour) => ({ ...pour, how: HOW[pour.against] }));
  const missing = needs.filter(({ against }) => !found.some((pour) => pour.against === against));
  const near = nearOf(present, setting);
  const air = { roomM3: bench.roomM3, kind: bench.air ?? 'closed' } as const;
  const { tempC = bench.tempC, poured, unmet = contents, warmed = [] } = setting;
  const heatTold = setting.unmet !== undefined;
  const met = metIn(unmet, { air, tempC, pressureHPa: bench.pressureHPa, heatTold }, poured);
  const leave = met.find((each) => each.leave)?.says ?? whyLeave(present, contents, setting);
  const handled = handledOf([...present, ...consumed(presentIn(unmet), present)], poured);
  return {
    of: inShort(contents, present),
    go: leave === '' ? 'stay' : 'leave',
    leaveBecause: leave,
    first: firstOf(demand, leave, bench),
    leaveIf: leaveIfOf(near),
    pours: leave === '' ? pours : [],
    instead: leave === '' ? insteadOf(missing, pours, demand) : firstMoves.move,
    firstAid: firstAidOf(handled, met),
    calls: callsOf(bench),
    inThere: present
      .filter(({ g = 0 }) => g >= 0.01)
      .map(({ substanceId, pct, g = 0 }) => ({
        name: substanceById(substanceId)?.name ?? substanceId,
        amount:
          substanceId === 'water' ? `${formatNumber(g, 3)} g` : `${formatNumber(g, 3)} g, ${formatNumber(pct, 2)} %`,
      })),
    working: [...workingOf(demand, pours, setting), ...warmed, ...met.map(({ says }) => says)],
    near,
    neverToDrain: neverOf(demand),
    inReach: inReachOf(pours, handled),
  };
}

/** What was poured and has been taken up since: whoever was splashed was splashed by it. */
const consumed = (poured: readonly Present[], present: readonly Present[]) =>
  poured.filter(({ substanceId }) => !present.some((each) => each.substanceId === substanceId));

function handledOf(present: readonly Present[], poured: ReadonlyMap<string, number> = new Map()): readonly Handled[] {
  return present
    .filter(({ substanceId }) => substanceId !== 'water')
    .map(({ substanceId, pct, g = 0 }) => ({ substanceId, pct: Math.max(pct, poured.get(substanceId) ?? 0), g }));
}

function inShort(contents: Contents, present: readonly Present[]): string {
  const [main] = present.filter(({ substanceId }) => substanceId !== 'water').toSorted((a, b) => weight(b) - weight(a));
  const mL = liquidVolume(contents);
  const liquid = mL >= 1 ? `${formatNumber(mL, 2)} mL` : '';
  if (!main) return liquid === '' ? 'nothing that is known' : `${liquid} of water`;
  const name = substanceById(main.substanceId)?.name ?? main.substanceId;
  const strong = `${formatNumber(main.pct, 2)} % ${name}`;
  return liquid === '' ? `${formatNumber(main.g ?? 0, 3)} g of ${name}` : `${liquid} with ${strong}`;
}

/** What counts most in a mixture: what bites before what is there in plenty. */
function weight(each: Present): number {
  const rows = rowsFor({ substanceId: each.substanceId, pct: each.pct, g: each.g ?? 0 });
  return (rows.some(({ stop }) => stop) ? 1000 : 0) + (rows.length > 0 ? 100 : 0) + each.pct;
}

/** A spill spreads to about so thin a layer, cm, and gives off for so long before it is covered, min. */
const LAYER_CM = 0.3;
const MINUTES = 10;

function whyLeave(
  present: readonly Present[],
  contents: Contents,
  { bench, tempC = bench.tempC }: AccidentSetting,
): string {
  const air = { roomM3: bench.roomM3, kind: bench.air ?? 'closed' } as const;
  const areaCm2 = liquidVolume(contents) / LAYER_CM;
  for (const { substanceId, pct, g = 0 } of present) {
    const substance = substanceById(substanceId);
    if (!substance) continue;
    const refused = describedRefused(substanceId);
    if (refused) return `${refused.name} is in it`;
    if (substance.form === 'gas' && g > 0.01) {
      const litres = (g / 30) * 24;
      if (judgeAir({ id: substance.id, litres, hours: 0.1 }, air).verdict !== 'silent')
        return `${substance.name} comes off`;
    }
    if (isOpen(air)) continue;
    const vapour = vapourFrom({ substanceId: substance.id, pct }, { areaCm2, minutes: MINUTES, tempC }, air);
    if (vapour?.verdict === 'stop') return `${substance.name} fills the room: ${vapour.says}`;
  }
  return '';
}

function firstOf({ gives, flammableG }: Demand, leave: string, bench: Bench): readonly string[] {
  const open = isOpen({ roomM3: bench.roomM3, kind: bench.air ?? 'closed' });
  const lit = gives === 'hydrogen' || flammableG > 5 ? ['Nothing lit, no switches.'] : [];
  if (leave !== '') return ['Everybody out, upwind.', 'Door open behind you, nobody back in.', ...lit];
  return [open ? 'Stand upwind.' : 'Open the door.', ...lit, 'Goggles and gloves on before you touch it.'];
}

function leaveIfOf(near: readonly Near[]): string {
  const worst = near.find(({ severity }) => severity === 'refuse');
  return worst
    ? `if you cough, or if it runs to ${worst.name}: that makes ${worst.says}`
    : 'if you cough, or your eyes sting';
}

function insteadOf(missing: ReturnType<typeof needsOf>, pours: readonly Pour[], { flammableG }: Demand): string {
  const WITHOUT: Readonly<Record<Pour['against'], string>> = {
    acid: 'No soda or chalk stands on your shelf: sand on it, then much water from the rim; have baking soda before you begin.',
    base: 'No citric acid or vinegar stands on your shelf: take it up with sand or cloth, then much water.',
    hypochlorite: 'No sulfite or thiosulfate stands on your shelf: much water, and never acid.',
    halogen: 'No thiosulfate or sulfite stands on your shelf: air it, cover it with wet cloth, keep away.',
    permanganate: 'No sulfite or vitamin C stands on your shelf: much water; the brown comes off with weak acid later.',
  };
  const said = missing.map(({ against }) => WITHOUT[against]);
  if (flammableG > 5)
    said.push('Take it up with sand or cloth and carry that outdoors; nothing lit until the smell is gone.');
  if (said.length === 0 && pours.length === 0) said.push('Wipe it up with plenty of water; gloves on.');
  return said.join(' ');
}

/** First aid by what is in it at its strength; the longest rinse counts. */
function firstAidOf(handled: readonly Handled[], met: readonly Met[]): AccidentCard['firstAid'] {
  const rows = handled.flatMap(rowsFor);
  const codes = new Set(rows.map(({ code }) => code));
  // What reacts in the pot is no milder than its worst part, whatever that is diluted to.
  const reacts = met.some(({ severity }) => severity !== 'caution');
  const outOfScope = handled.some(({ substanceId }) => describedRefused(substanceId) !== undefined);
  const burns = reacts || outOfScope || codes.has('H314') || codes.has('H318');
  const poison = ['H300', 'H301', 'H302', 'H310', 'H311', 'H370'].some((code) => codes.has(code));
  const lungs =
    outOfScope ||
    met.some(({ gas }) => gas !== null) ||
    ['H330', 'H331', 'H332', 'H335', 'EUH071', 'H314'].some((code) => codes.has(code));
  const own = handled.flatMap(({ substanceId, pct }) => bandOf(substanceId, pct)?.firstAid ?? []).join(' ');
  return {
    eye: burns
      ? 'water 20 minutes, lids held open; call while it runs.'
      : 'water 10 minutes, lids held open; a doctor if it stays sore.',
    skin: burns
      ? 'clothes off, water 20 minutes; nothing on it to neutralise.'
      : 'wash it off with water; a doctor if it stays red.',
    swallowed:
      burns || poison
        ? 'rinse the mouth, do not vomit; call the poison centre at once.'
        : 'rinse the mouth, drink a glass of water; call if much.',
    breathed:
      lungs || /lung effects/.test(own)
        ? 'out into fresh air, sit up and rest; call if the chest is tight, also a day later.'
        : 'fresh air.',
  };
}

function nearOf(present: readonly Present[], { shelf, bench, day }: AccidentSetting): readonly Near[] {
  const rank = { refuse: 0, danger: 1, caution: 2 } as const;
  return shelf
    .filter(({ archived }) => !archived)
    .flatMap((bottle): readonly Near[] => {
      const content = contentOf(bottle, bench.tempC, day);
      const pct = content.ok ? Math.min(100, content.value.w.value) : 100;
      const [worst] = clashesOf(present, { substanceId: bottle.card.substanceId, pct });
      if (!worst || worst.severity === 'caution') return [];
      return [
        { name: bottle.card.name, place: bottle.card.place ?? '', severity: worst.severity, says: worst.releases },
      ];
    })
    .sort((a, b) => rank[a.severity] - rank[b.severity])
    .slice(0, 5);
}

const NAMES: Readonly<Record<string, string>> = {
  Zn: 'zinc',
  Cu: 'copper',
  Ni: 'nickel',
  Co: 'cobalt',
  Mn: 'manganese',
  Ag: 'silver',
  Sn: 'tin',
  Pb: 'lead',
  Cr: 'chromium',
  Ba: 'barium',
};

export function metalName(symbol: string): string {
  return NAMES[symbol] ?? symbol;
}

function neverOf({ metals }: Demand): string {
  const named = Object.entries(metals).filter(([, g]) => g >= 0.05);
  if (named.length === 0) return '';
  return `${named.map(([symbol, g]) => `${formatNumber(g, 2)} g of ${metalName(symbol)}`).join(', ')}: what is wiped up goes to a waste jar, never to a drain, soil or septic tank.`;
}

function workingOf(
  { acidMol, baseMol, metalMol }: Demand,
  pours: readonly Pour[],
  { bench }: AccidentSetting,
): readonly string[] {
  const lines = ['as if all of it were out'];
  if (acidMol > 1e-3) lines.push(`acid: ${formatNumber(acidMol, 3)} mol of H+`);
  if (metalMol > 1e-3) lines.push(`metal salts: ${formatNumber(metalMol, 3)} mol more until it is neutral`);
  if (baseMol > 1e-3) lines.push(`base: ${formatNumber(baseMol, 3)} mol of H+ to take up`);
  for (const { mol, gPerMol, spare, grams, name, measures, carbonDioxideMol } of pours) {
    lines.push(
      `${name}: ${formatNumber(mol, 3)} × ${formatNumber(gPerMol, 3)} × ${spare} = ${formatNumber(grams, 3)} g, a quarter to spare`,
    );
    if (measures)
      lines.push(
        `${formatNumber(grams, 3)} ÷ ${formatNumber(measures.gramsEach, 3)} g, take ${measures.count} × ${measures.name}`,
      );
    if (carbonDioxideMol > 0) {
      const litres = (carbonDioxideMol * 8.314 * (bench.tempC + 273.15)) / (bench.pressureHPa / 10);
      const pct = (litres / 1000 / bench.roomM3) * 100;
      lines.push(
        `carbon dioxide ${formatNumber(litres, 2)} L, ${formatNumber(pct, 2)} % of ${formatNumber(bench.roomM3, 3)} m³`,
      );
    }
  }
  return lines;
}

function inReachOf(pours: readonly Pour[], handled: readonly Handled[]): readonly string[] {
  const burns = handled.flatMap(rowsFor).some(({ code }) => code === 'H314' || code === 'H318');
  return [
    ...pours.map(({ name }) => name),
    ...(burns ? ['eye bottle'] : []),
    'tray',
    'bucket of water',
    'cloth and gloves',
  ];
}
