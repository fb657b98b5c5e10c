import { derive, type Figure, sdOf } from '#base/figure';
import { formatNumber } from '#base/units';
import { molarMass, molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import {
  amountOf,
  type Contents,
  contentsMass,
  liquidVolume,
  type Place,
  type VesselName,
  type Vessels,
} from '#matter/vessel';
import type { EventBody } from '#run/log';
import { leftOverIn } from './left-over.ts';
import type { RunState } from './state.ts';

/** A receiver of a distillation as it stands now. */
export interface Fraction {
  readonly vessel: VesselName;
  /** The step that filled it. */
  readonly step: string;
  readonly volatile: SubstanceId;
  readonly grams: number;
  readonly ml: number;
  /** Mass % of what counts, and g of it. */
  readonly pct: Figure;
  readonly mass: Figure;
  /** % of all that was charged. */
  readonly recoveryPct: number;
  /** The strength was measured, not computed. */
  readonly measured: boolean;
  /** The bottle it was put into. */
  readonly bottleId: string | null;
}

/** Where the substance that counts is: parts of what was charged, in %, which close to 100. */
export interface StillBalance {
  readonly parts: readonly { readonly place: Place; readonly pct: number }[];
  /** g charged. */
  readonly chargedG: number;
}

/** The receivers of a run in their order, by what was entered. */
export function fractionsOf(state: RunState): readonly Fraction[] {
  const vessels = state.sheet.now?.vessels ?? {};
  const seen = new Set<VesselName>();
  return state.steps.flatMap((step): Fraction[] => {
    const op = step.template?.op;
    if (op?.do !== 'distil' || seen.has(op.into)) return [];
    seen.add(op.into);
    const contents = vessels[op.into];
    const found = contents && strengthOf(contents, op.volatile);
    if (!contents || !found) return [];
    const charged = chargedOf(vessels, op.volatile);
    return [
      {
        vessel: op.into,
        step: step.key,
        volatile: op.volatile,
        ...found,
        recoveryPct: charged > 0 ? (100 * found.mass.value) / charged : 0,
        measured: state.readings.some(({ body }) => body.step === step.key && body.quantity === 'strength'),
        bottleId: state.shelved.find(({ from }) => from === op.into)?.bottleId ?? null,
      },
    ];
  });
}

function strengthOf(contents: Contents, id: SubstanceId) {
  const n = amountOf(contents, id);
  const grams = contentsMass(contents);
  if (!n || !(grams > 1e-6)) return undefined;
  const M = molarMassFigure(substanceOf(id).formula);
  const mass = derive(
    { symbol: 'm', name: `${substanceOf(id).name} in it`, unit: 'g' },
    'n × M',
    { n, M },
    (x) => x.n * x.M,
  );
  const W = contents.waterG;
  const pct = derive(
    { symbol: 'w', name: 'strength of the fraction', unit: '%' },
    '100 × m ÷ (m + W)',
    { m: mass, W },
    (x) => (100 * x.m) / (x.m + x.W),
  );
  return { mass, pct, grams, ml: liquidVolume(contents) };
}

/** g of a substance over all places: what was charged. */
function chargedOf(vessels: Vessels, id: SubstanceId): number {
  return Object.values(vessels).reduce((sum, contents) => sum + (contents ? gramsIn(contents, id) : 0), 0);
}

/** The same substance as a gas counts with it. */
const AS_GAS: Readonly<Record<string, SubstanceId>> = {
  'hydrochloric-acid': 'hydrogen-chloride',
  ammonia: 'ammonia-gas',
};

function gramsIn(contents: Contents, id: SubstanceId): number {
  const gas = AS_GAS[id];
  return [id, ...(gas ? [gas] : [])].reduce(
    (sum, each) => sum + (amountOf(contents, each)?.value ?? 0) * molarMass(substanceOf(each).formula),
    0,
  );
}

/** Where what was charged has gone, as far as is entered; null before anything is in. */
export function stillBalance(state: RunState, volatile: SubstanceId): StillBalance | null {
  const vessels = state.sheet.now?.vessels;
  if (!vessels) return null;
  const all = chargedOf(vessels, volatile);
  if (!(all > 0)) return null;
  const parts = (Object.entries(vessels) as [Place, Contents | undefined][]).flatMap(([place, contents]) => {
    const grams = contents ? gramsIn(contents, volatile) : 0;
    return grams > 1e-9 ? [{ place, pct: (100 * grams) / all }] : [];
  });
  return { parts, chargedG: all };
}

interface Shelving {
  readonly batch: { readonly id: string; readonly number: number };
  readonly bottleId: string;
  /** ISO day. */
  readonly today: string;
  readonly title: string;
}

/** What is entered in the run when a fraction goes to its own bottle: with the bottle’s card. */
export function shelveFraction(
  { vessel, volatile, grams, pct, measured }: Fraction,
  contents: Contents,
  { batch, bottleId, today, title }: Shelving,
): EventBody {
  const { name } = substanceOf(volatile);
  return {
    kind: 'bottled',
    bottleId,
    from: vessel,
    card: {
      name: `${name}, ${vessel}, batch ${batch.number}`,
      substanceId: volatile,
      strength: { value: Number(pct.value.toPrecision(4)), unit: 'w/w' },
      strengthBand: Number(Math.max(0.1, 2 * sdOf(pct)).toPrecision(2)),
      others: leftOverIn(contents, volatile),
      assayed: measured,
      size: { value: Number(grams.toPrecision(5)), unit: 'g' },
      price: null,
      container: 'bottle',
      group: 'made',
      since: today,
      labelText: '',
      fromBatch: batch.id,
      note: `${title}: ${formatNumber(pct.value, 3)} % ${measured ? 'as measured' : 'by the still’s model: measure it before you rely on it'}.`,
    },
  };
}
