import type { Bench } from '#matter/gear';
import { contentOf, type ShelfBottle } from '#matter/stock';
import type { SubstanceId } from '#matter/substance';
import type { Demand } from './demand.ts';

/** What a thing is poured on against, and g of the pure one for each mol of it, with the gas it makes, mol for each mol. */
interface Agent {
  readonly id: SubstanceId;
  readonly gPerMol: number;
  readonly carbonDioxide: number;
}

export type Against = 'acid' | 'base' | 'hypochlorite' | 'halogen' | 'permanganate';

/** In the order they are taken: what can do no harm by itself first. */
const AGENTS: Readonly<Record<Against, readonly Agent[]>> = {
  acid: [
    { id: 'sodium-hydrogencarbonate', gPerMol: 84.0, carbonDioxide: 1 },
    { id: 'potassium-hydrogencarbonate', gPerMol: 100.1, carbonDioxide: 1 },
    { id: 'calcium-carbonate', gPerMol: 50.0, carbonDioxide: 0.5 },
    { id: 'sodium-carbonate-decahydrate', gPerMol: 143.1, carbonDioxide: 0.5 },
    { id: 'sodium-carbonate', gPerMol: 53.0, carbonDioxide: 0.5 },
    { id: 'sodium-carbonate-monohydrate', gPerMol: 62.0, carbonDioxide: 0.5 },
    { id: 'sodium-sesquicarbonate', gPerMol: 75.3, carbonDioxide: 0.67 },
    { id: 'potassium-carbonate', gPerMol: 69.1, carbonDioxide: 0.5 },
    { id: 'magnesium-hydroxide', gPerMol: 29.2, carbonDioxide: 0 },
  ],
  base: [
    { id: 'citric-acid', gPerMol: 64.0, carbonDioxide: 0 },
    { id: 'citric-acid-monohydrate', gPerMol: 70.0, carbonDioxide: 0 },
    { id: 'tartaric-acid', gPerMol: 75.0, carbonDioxide: 0 },
    { id: 'acetic-acid', gPerMol: 60.1, carbonDioxide: 0 },
    { id: 'boric-acid', gPerMol: 61.8, carbonDioxide: 0 },
  ],
  hypochlorite: [
    { id: 'sodium-sulfite', gPerMol: 126.0, carbonDioxide: 0 },
    { id: 'sodium-thiosulfate-pentahydrate', gPerMol: 124.1, carbonDioxide: 0 },
    { id: 'sodium-thiosulfate', gPerMol: 79.1, carbonDioxide: 0 },
    { id: 'ascorbic-acid', gPerMol: 176.1, carbonDioxide: 0 },
  ],
  halogen: [
    { id: 'sodium-thiosulfate-pentahydrate', gPerMol: 496.4, carbonDioxide: 0 },
    { id: 'sodium-thiosulfate', gPerMol: 316.2, carbonDioxide: 0 },
    { id: 'sodium-sulfite', gPerMol: 126.0, carbonDioxide: 0 },
    { id: 'ascorbic-acid', gPerMol: 176.1, carbonDioxide: 0 },
  ],
  permanganate: [
    { id: 'sodium-sulfite', gPerMol: 315.1, carbonDioxide: 0 },
    { id: 'ascorbic-acid', gPerMol: 440.3, carbonDioxide: 0 },
    { id: 'oxalic-acid-dihydrate', gPerMol: 315.2, carbonDioxide: 5 },
  ],
};

/** What of one’s own shelf is taken, and how much of it. */
export interface Pour {
  readonly against: Against;
  readonly bottleId: string;
  readonly name: string;
  readonly place: string;
  /** g of the product as it stands there. */
  readonly grams: number;
  /** g of the product for each mol. */
  readonly gPerMol: number;
  /** mol it is for, and with how much to spare. */
  readonly mol: number;
  readonly spare: number;
  readonly leftG: number | null;
  readonly enough: boolean;
  readonly carbonDioxideMol: number;
  /** In one’s own measure, where one was weighed with it. */
  readonly measures: { readonly name: string; readonly count: number; readonly gramsEach: number } | null;
}

/** A quarter more than it takes: what lies in the corners is not reached at once. */
const SPARE = 1.25;

/** What to pour on it from this shelf; null where nothing that does stands there, or nothing is needed. */
export function pourFor(
  against: Against,
  mol: number,
  { shelf, bench, day }: { readonly shelf: readonly ShelfBottle[]; readonly bench: Bench; readonly day: string },
): Pour | null {
  if (!(mol > 1e-4)) return null;
  const found = AGENTS[against].flatMap((agent): readonly Pour[] =>
    shelf
      .filter(({ archived, card }) => !archived && card.substanceId === agent.id && card.group !== 'waste')
      .flatMap((bottle): readonly Pour[] => {
        const content = contentOf(bottle, bench.tempC, day);
        if (!content.ok || !(content.value.w.value > 0)) return [];
        const gPerMol = agent.gPerMol / (content.value.w.value / 100);
        const grams = mol * gPerMol * SPARE;
        const leftG = content.value.leftG?.value ?? null;
        const { name, place = '' } = bottle.card;
        return [
          {
            against,
            bottleId: bottle.id,
            name,
            place,
            grams,
            gPerMol,
            mol,
            spare: SPARE,
            leftG,
            enough: leftG === null || leftG >= grams,
            carbonDioxideMol: mol * agent.carbonDioxide,
            measures: inMeasures(name, grams, bench),
          },
        ];
      }),
  );
  return found.find(({ enough }) => enough) ?? found[0] ?? null;
}

function inMeasures(name: string, grams: number, { measures }: Bench): Pour['measures'] {
  const words = name.toLowerCase();
  const own = measures.find(
    ({ of }) => of !== '' && (words.includes(of.toLowerCase()) || of.toLowerCase().includes(words)),
  );
  return own ? { name: own.name, count: Math.ceil(grams / own.gramsEach - 1e-9), gramsEach: own.gramsEach } : null;
}

/** What has to be poured on against everything that is in it, the gravest first. */
export function needsOf({
  acidMol,
  baseMol,
  metalMol,
  oxidants,
}: Demand): readonly { against: Against; mol: number }[] {
  const oxidising = (Object.entries(oxidants) as [keyof typeof oxidants, number][]).map(([against, mol]) => ({
    against,
    mol,
  }));
  // What is acid and basic at once is told by what is over.
  const acid = acidMol + metalMol - baseMol;
  const rest = acid > 0 ? { against: 'acid' as const, mol: acid } : { against: 'base' as const, mol: -acid };
  return [...oxidising, rest].filter(({ mol }) => mol > 1e-3);
}
