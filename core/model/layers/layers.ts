import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { fields, list, nullable, number, type Of } from '#base/shape';
import { acids, saltings } from '#matter/data';
import { molarMass, type SubstanceId, substance, substanceOf } from '#matter/substance';
import { type BaseChoice, basesFor } from './bases.ts';
import { onTop } from './on-top.ts';
import { drivesOut, type Layer, type Liquor, liquidDensity, mutualOf, type Parted, part } from './parting.ts';
import { saltLayers } from './salting.ts';
import { distributionOf, leftAfter, shareIn, unionised } from './shares.ts';

const liquor = fields({
  waterG: number({ min: 0, max: 50_000 }),
  salt: nullable(substance()),
  saltG: number({ min: 0, max: 50_000 }),
});

export const layersShape = fields({
  liquid: substance(),
  liquidG: number({ moreThan: 0, max: 50_000 }),
  liquor,
  /** What else is dissolved, g. */
  solutes: list(fields({ substanceId: substance(), grams: number({ min: 0, max: 50_000 }) }), 8),
  /** Of the water, as read; null: acids as they are, undissociated. */
  pH: nullable(number({ min: -1, max: 15 })),
  /** Liquors shaken with what is above or below, one after another, each run off. */
  washes: list(liquor, 12),
});
export type LayersInput = Of<typeof layersShape>;

/** Something dissolved, shared between both. */
export interface Shared {
  readonly substanceId: SubstanceId;
  readonly organicG: number;
  readonly aqueousG: number;
  /** g left in the organic layer after the washes, with the range of its distribution. */
  readonly afterG: readonly [low: number, usual: number, high: number];
}

export interface LayersAnswer {
  readonly organic: Layer | null;
  readonly aqueous: Layer | null;
  readonly above: 'organic' | 'aqueous' | null;
  readonly gap: number;
  readonly parts: string;
  readonly says: string;
  /** True where salt’s part in it is an estimate. */
  readonly about: boolean;
  readonly shared: readonly Shared[];
  /** g of the liquid that each wash takes along, and what stays after the last. */
  readonly washLossG: readonly number[];
  readonly liquidLeftG: number;
  /** For the acid among the solutes: bases, the one that needs least water first. */
  readonly bases: readonly BaseChoice[];
  /** mL of a funnel that leaves a third empty. */
  readonly funnelMl: number;
  /** g of salt that the layers take until some stays undissolved; null where the liquid parts by itself. */
  readonly saltG: number | null;
  /** What could not be told, in sentences. */
  readonly notKnown: readonly string[];
}

const FULL = 2 / 3;
const ROOM_C = 20;

/** What two liquids in a funnel do. */
export function layers(input: LayersInput): Result<LayersAnswer> {
  const { liquid } = input;
  if (mutualOf(liquid)) return ok(ofTheirOwn(input));
  if (saltings.some((row) => row.liquid === liquid)) return bySalt(input);
  const { name, water } = substanceOf(liquid);
  return fail(
    'no-data',
    `${water === 'miscible' ? `${name} mixes with water, and no salt is held that parts them` : `How ${name} and water part is not held`}; there are ethyl acetate, isoamyl acetate, formate and alcohol, ethyl salicylate, and ethanol, propan-2-ol and acetone with salt.`,
    { field: 'liquid' },
  );
}

function ofTheirOwn(input: LayersInput): LayersAnswer {
  const { liquid, liquidG, liquor, washes, pH } = input;
  const parted = part(liquid, liquidG, liquor);
  const top = onTop(parted);
  const { losses, left, volumes } = washed(liquid, parted, washes);
  const notKnown: string[] = [];
  if (liquor.salt && !drivesOut(liquor.salt))
    notKnown.push(`What ${substanceOf(liquor.salt).name} does to the layers is not held: taken as none.`);
  const shared = input.solutes.flatMap(({ substanceId, grams }): Shared[] => {
    const row = distributionOf(liquid, substanceId);
    if (!row) {
      notKnown.push(`How ${substanceOf(substanceId).name} shares itself is not held.`);
      return [];
    }
    const free = unionised(pKaOf(substanceId), pH);
    const share = (D: number) => shareIn(D * free, parted.organic?.ml ?? 0, parted.aqueous?.ml ?? 0);
    const after = (D: number) =>
      grams * share(D) * volumes.reduce((rest, [own, wash]) => rest * leftAfter(D * free, own, [wash]), 1);
    const [low, usual, high] = row.D;
    const organicG = grams * share(usual);
    return [{ substanceId, organicG, aqueousG: grams - organicG, afterG: [after(low), after(usual), after(high)] }];
  });
  const acid = input.solutes.find(({ substanceId }) => pKaOf(substanceId) !== null);
  const bulk = input.solutes.filter(({ grams, substanceId }) => grams > MUCH * liquidG && mixes(substanceId));
  for (const { substanceId } of bulk)
    notKnown.push(
      `So much ${substanceOf(substanceId).name} makes both layers hold more of each other: how much more is not held.`,
    );
  return {
    ...parted,
    ...top,
    shared,
    washLossG: losses,
    liquidLeftG: left,
    bases: acid
      ? basesFor(acid.substanceId, acid.grams / molarMass(substanceOf(acid.substanceId).formula), ROOM_C)
      : [],
    funnelMl: ((parted.organic?.ml ?? 0) + (parted.aqueous?.ml ?? 0)) / FULL,
    saltG: null,
    notKnown,
  };
}

/** A third liquid beyond this share of the first changes both layers. */
const MUCH = 0.1;
const mixes = (id: SubstanceId) => substanceOf(id).water === 'miscible' && pKaOf(id) === null;

/** What washes take of the liquid, one by one, and mL of both at each. */
function washed(liquid: SubstanceId, { organic }: Parted, washes: readonly Liquor[]) {
  let left = organic?.liquidG ?? 0;
  const losses: number[] = [];
  const volumes: (readonly [own: number, wash: number])[] = [];
  for (const wash of washes) {
    const { organic: own, aqueous } = part(liquid, left, wash);
    const stays = own?.liquidG ?? 0;
    losses.push(left - stays);
    volumes.push([own?.ml ?? 0, aqueous?.ml ?? 0]);
    left = stays;
  }
  return { losses, left, volumes };
}

/** First pKa of a weak acid; null of what is none. */
function pKaOf(id: SubstanceId): number | null {
  const step = substanceOf(id).acidBase?.steps[0];
  const row = acids.find(({ name }) => name === step);
  return row && row.pKa > 0 && row.pKa < 7 ? row.pKa : null;
}

function bySalt({ liquid, liquidG, liquor, solutes }: LayersInput): Result<LayersAnswer> {
  if (!liquor.salt)
    return fail('missing-part', `${substanceOf(liquid).name} mixes with water: name the salt that is to part them.`, {
      field: 'liquor.salt',
    });
  const found = saltLayers({ liquid, salt: liquor.salt }, liquidG, liquor.waterG);
  if (!found.ok) return { ok: false, problem: { ...found.problem, field: 'liquor.salt' } };
  const { row, upperG, lowerG, liquidUpG, upperPct, saltG } = found.value;
  const saltUp = ((row.saltUpper?.[1] ?? 0) / 100) * upperG;
  const organic = layerOf(liquid, liquidUpG, { waterG: upperG - liquidUpG - saltUp, saltG: saltUp });
  const below = liquidG - liquidUpG;
  const inLower = saltG - saltUp;
  const aqueous = layerOf(liquid, below, { waterG: lowerG - below - inLower, saltG: inLower });
  const short = saltG - liquor.saltG;
  const notKnown = solutes.map(({ substanceId }) => `How ${substanceOf(substanceId).name} shares itself is not held.`);
  if (short > 0)
    notKnown.push(
      `With ${Math.round(liquor.saltG)} g of salt, less comes up, and wetter: how much is not held; it takes ${Math.round(saltG)} g until some stays undissolved.`,
    );
  if (!row.lower) notKnown.push('What stays in the brine is not held: taken as none, so this is the most.');
  return ok({
    organic,
    aqueous,
    above: 'organic',
    gap: aqueous.gPerMl - organic.gPerMl,
    parts: 'quickly',
    says: `Above, about ${upperPct[1]} % (${upperPct[0]} to ${upperPct[2]} %).${row.note ? ` ${itemAt(row.note, 0).toUpperCase()}${row.note.slice(1)}.` : ''}`,
    about: true,
    shared: [],
    washLossG: [],
    liquidLeftG: liquidUpG,
    bases: [],
    funnelMl: (organic.ml + aqueous.ml) / FULL,
    saltG,
    notKnown,
  });
}

function layerOf(liquid: string, liquidG: number, { waterG, saltG }: { waterG: number; saltG: number }): Layer {
  // Salt takes about 0.45 mL a gram in its solution.
  const ml = liquidG / liquidDensity(liquid) + waterG + 0.45 * saltG;
  return { liquidG, waterG, saltG, ml, gPerMl: (liquidG + waterG + saltG) / ml };
}
