import { derive, type Figure, given, sdOf } from '#base/figure';
import { formatNumber } from '#base/units';
import { molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import { amountOf, type Contents, contentsMass, liquidVolume, type Place, type VesselName } from '#matter/vessel';
import type { EventBody } from '#run/log';
import { gramsByPlace } from './grams-by-place.ts';
import { leftOverIn } from './left-over.ts';
import type { RunState } from './state.ts';
import type { StillRun } from './still-of.ts';

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

/** The receivers of a distillation in their order, by what was entered. */
export function fractionsOf(
  state: RunState,
  still: Pick<StillRun, 'volatile' | 'flask' | 'hadG' | 'cuts'>,
): readonly Fraction[] {
  const vessels = state.sheet.now?.vessels ?? {};
  const charged = stillBalance(state, still)?.chargedG ?? 0;
  const seen = new Set<VesselName>();
  return still.cuts.flatMap(({ step, into }): Fraction[] => {
    if (seen.has(into)) return [];
    seen.add(into);
    const contents = vessels[into];
    const found = contents && strengthOf(contents, still.volatile);
    if (!contents || !found) return [];
    return [
      {
        vessel: into,
        step,
        volatile: still.volatile,
        ...found,
        recoveryPct: charged > 0 ? (100 * Math.max(0, found.mass.value - (still.hadG[into] ?? 0))) / charged : 0,
        measured: state.readings.some(({ body }) => body.step === step && body.quantity === 'strength'),
        bottleId: state.shelved.find(({ from }) => from === into)?.bottleId ?? null,
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
  const others = given(
    { symbol: 'm₂', name: 'what else is in it', unit: 'g' },
    grams - mass.value - W.value,
    'as it stands',
  );
  const pct = derive(
    { symbol: 'w', name: 'strength of the fraction', unit: '%' },
    '100 × m ÷ (m + W + m₂)',
    { m: mass, W, 'm₂': others },
    (x) => (100 * x.m) / (x.m + x.W + Math.max(0, x['m₂'])),
  );
  return { mass, pct, grams, ml: liquidVolume(contents) };
}

/** Where what was charged into a flask has gone, as far as is entered; null before anything is in. */
export function stillBalance(
  state: RunState,
  { volatile, flask, hadG }: Pick<StillRun, 'volatile' | 'flask' | 'hadG'>,
): StillBalance | null {
  const vessels = state.sheet.now?.vessels;
  if (!vessels) return null;
  const now = gramsByPlace(vessels, volatile);
  // What lay elsewhere before is of no charge of this flask.
  const ofIt = (place: Place) => (now[place] ?? 0) - (place === flask ? 0 : (hadG[place] ?? 0));
  const places = (Object.keys(now) as Place[]).filter((place) => ofIt(place) > 1e-9);
  const all = places.reduce((sum, place) => sum + ofIt(place), 0);
  if (!(all > 0)) return null;
  return { parts: places.map((place) => ({ place, pct: (100 * ofIt(place)) / all })), chargedG: all };
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
