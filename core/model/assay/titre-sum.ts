import type { Figure } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { day, fields, flag, list, nullable, number, type Of } from '#base/shape';
import { BenchDefaults, benchShape } from '#matter/gear';
import { diluteDensity } from '#matter/solution';
import { type BottleCard, shelvedShape } from '#matter/stock';
import { substance, substanceById } from '#matter/substance';
import { methods } from '#model/method';
import type { AssayEntry } from './record/entries.ts';
import type { AssayPlan } from './record/plan.ts';
import type { Statistics } from './reduce/statistics.ts';
import type { AssayResult } from './standing.ts';
import { type AssayState, assayState } from './state.ts';

/** A portion of something, titrated with a bottle from the shelf: at a bench, in the middle of a run. */
export const portionShape = fields({
  analyte: substance(),
  titrant: shelvedShape,
  byMass: flag(),
  sampleG: number({ moreThan: 0, max: 5000 }),
  titre: number({ moreThan: 0, max: 5000 }),
  bench: benchShape,
  day: day(),
});
export type Portion = Of<typeof portionShape>;

/** Titres and what they were had of, without a bottle or a notebook. */
export const titreSumShape = fields({
  /** What is in the flask. */
  analyte: substance(),
  titrant: substance(),
  /** Its strength, and the standard uncertainty of that. */
  titrantMolPerL: number({ moreThan: 0, max: 20 }),
  titrantSd: number({ min: 0, max: 5 }),
  /** Titres in g of titrant, out of a dropper bottle; mL of a burette otherwise. */
  byMass: flag(),
  /** g of sample, and the titre. */
  replicates: list(
    fields({ sampleG: number({ moreThan: 0, max: 5000 }), titre: number({ min: 0, max: 5000 }) }),
    20,
    1,
  ),
  blanks: list(number({ min: 0, max: 5000 }), 20),
  dilution: nullable(fields({ weighG: number({ moreThan: 0, max: 5000 }), toG: number({ moreThan: 0, max: 50_000 }) })),
  balanceG: number({ moreThan: 0, max: 100 }),
});
export type TitreSum = Of<typeof titreSumShape>;

export interface TitreAnswer {
  readonly method: string;
  readonly reaction: string;
  readonly result: AssayResult;
  readonly statistics: Statistics;
  readonly found: readonly Figure[];
}

/** The strength that titres find, mass %, with its budget; refused where no method titrates the one with the other. */
export function strengthFromTitres(sum: TitreSum): Result<TitreAnswer> {
  const plan = planOf(sum);
  if (!plan.ok) return plan;
  return answerOf(assayState(plan.value, entriesOf(sum)));
}

function answerOf(state: Result<AssayState>): Result<TitreAnswer> {
  if (!state.ok) return state;
  const { result, statistics, replicates, title, reaction } = state.value;
  const wrong = replicates.find(({ problem }) => problem)?.problem;
  if (wrong) return { ok: false, problem: { ...wrong, field: 'replicates' } };
  if (!result || !statistics)
    return fail(
      'out-of-range',
      'That comes to nothing: the titrant has a strength, and the titre is more than the blank.',
      { field: 'replicates' },
    );
  return ok({ method: title, reaction, result, statistics, found: replicates.flatMap(({ found }) => found ?? []) });
}

/** The strength that one titre of a portion finds, mass %, by a bottle whose own uncertainty is carried along. */
export function strengthOfPortion({
  analyte,
  titrant,
  byMass,
  sampleG,
  titre,
  bench,
  day: on,
}: Portion): Result<TitreAnswer> {
  const [unknown, known] = [substanceById(analyte), substanceById(titrant.card.substanceId)];
  const method = unknown && known && methodFor(unknown.species, known.species);
  if (!unknown || !known || !method) return noMethod(unknown?.name ?? analyte, titrant.card.name);
  const plan = {
    ...draftOf(unknown.id, unknown.name),
    methodId: method.id,
    known: [titrant],
    byMass,
    sampleG,
    bench,
    day: on,
  };
  return answerOf(assayState(plan, entriesOf({ replicates: [{ sampleG, titre }], blanks: [], byMass })));
}

function methodFor(flask: string, burette: string) {
  return methods.find(
    (each) => each.is === 'titration' && each.pairs.some((pair) => pair.flask === flask && pair.burette === burette),
  );
}

function noMethod(analyte: string, titrant: string): Result<never> {
  return fail('no-data', `No method titrates ${analyte} with ${titrant}.`, { field: 'titrant' });
}

/** A plan without its method: an unknown of about a per cent. */
function draftOf(substanceId: string, name: string): AssayPlan {
  const card: BottleCard = { ...CARD, substanceId, name, strength: { value: 1, unit: 'w/w' } };
  return {
    id: 'assay_sum',
    bottle: { id: 'unknown', card, usedG: 0 },
    methodId: '',
    turned: false,
    known: [],
    byMass: false,
    sampleG: 1,
    dilution: null,
    indicator: null,
    tolerancePct: 1,
    bench: BenchDefaults,
    day: CARD.since,
  };
}

function planOf(sum: TitreSum): Result<AssayPlan> {
  const [analyte, titrant] = [substanceById(sum.analyte), substanceById(sum.titrant)];
  if (!analyte || !titrant) return fail('unknown-substance', 'Name what is titrated and what with.');
  const method = methodFor(analyte.species, titrant.species);
  if (!method) return noMethod(analyte.name, titrant.name);
  const strength = { value: sum.titrantMolPerL, unit: 'mol/L' as const };
  const gPerMl = diluteDensity(strength, titrant);
  const known: BottleCard = {
    ...CARD,
    substanceId: titrant.id,
    name: titrant.name,
    strength,
    measured: {
      assayId: 'sum',
      method: 'as given',
      day: CARD.since,
      sources: sum.titrantSd > 0 ? [{ id: 'titrant', name: 'strength of the titrant', effect: sum.titrantSd }] : [],
    },
    ...(gPerMl !== undefined && titrant.density === null ? { gPerMl } : {}),
    size: { value: 1000, unit: 'mL' },
  };
  return ok({
    ...draftOf(analyte.id, analyte.name),
    methodId: method.id,
    known: [{ id: 'titrant', card: known, usedG: 0 }],
    byMass: sum.byMass,
    sampleG: sum.replicates[0]?.sampleG ?? 1,
    dilution: sum.dilution,
    bench: { ...BenchDefaults, balanceG: sum.balanceG },
  });
}

/** A bottle on no shelf: it is what the sum says of it. */
const CARD: BottleCard = {
  name: '',
  substanceId: 'water',
  strength: null,
  others: [],
  strengthBand: null,
  assayed: true,
  size: { value: 1000, unit: 'g' },
  price: null,
  container: 'bottle',
  group: 'bought',
  since: '2026-01-01',
  labelText: '',
  fromBatch: null,
  note: '',
};

function entriesOf({
  replicates,
  blanks,
  byMass,
}: Pick<TitreSum, 'replicates' | 'blanks' | 'byMass'>): readonly AssayEntry[] {
  let n = 0;
  const entry = (body: AssayEntry['body']): AssayEntry => ({
    id: `ev_sum${++n}`,
    happenedAt: '2026-01-01T12:00:00Z',
    body,
  });
  const levels = (replicate: string, titre: number) => {
    const [from, to] = byMass ? [titre, 0] : [0, titre];
    return [from, to].map((value) => entry({ kind: 'read', replicate, name: 'level', value }));
  };
  const end = (replicate: string) => entry({ kind: 'ended', replicate, as: 'sign', note: '' });
  return [
    ...blanks.flatMap((titre, i) => [...levels(`b${i + 1}`, titre), end(`b${i + 1}`)]),
    ...replicates.flatMap(({ sampleG, titre }, i) => {
      const key = String(i + 1);
      return [
        entry({ kind: 'read', replicate: key, name: 'sampleG', value: sampleG }),
        ...levels(key, titre),
        end(key),
      ];
    }),
  ];
}
