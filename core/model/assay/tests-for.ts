import { limits, type TestRow, tests } from '#matter/data';
import { findSubstance, parseFormula, type Substance, substanceById } from '#matter/substance';

/** Identity tests of a substance, and the limit tests that matter for it. */
export interface TestsFor {
  readonly identity: readonly TestRow[];
  readonly limit: readonly TestRow[];
}

/** Rows whose name is of several, or of a form that the record names otherwise. */
const SAID: readonly (readonly [of: string, species: readonly string[]])[] = [
  ['bromine water', ['bromine']],
  ['sodium or potassium formate', ['sodium-formate', 'potassium-formate']],
  ['graphite or charcoal', ['carbon']],
  ['calcium ammonium nitrate (double salt)', ['calcium-ammonium-nitrate']],
  ['ester of salicylic acid', ['ethyl-salicylate']],
];

/** Names of identity tests, by the species they are of; a row may name a mixture or a thing, and is then of none. */
const bySpecies = new Map<string, TestRow[]>();
for (const row of tests) {
  if (row.kind !== 'identity') continue;
  for (const species of speciesOf(row)) bySpecies.set(species, [...(bySpecies.get(species) ?? []), row]);
}

function speciesOf(row: TestRow): readonly string[] {
  const said = SAID.find(([of]) => of === row.of)?.[1];
  if (said) return said;
  const found = findSubstance(row.of) ?? (parseFormula(row.formula).ok ? findSubstance(row.formula) : undefined);
  return found ? [found.species] : [];
}

/** What a reagent is looked through for, by what it is made of or made from. */
const LIMITS: readonly (readonly [test: string, suits: (substance: Substance) => boolean])[] = [
  ['chloride', (s) => holds(s, 'soluble') && !/Cl/.test(s.formula)],
  ['sulfate', (s) => holds(s, 'soluble') && !/SO4|S2O/.test(s.formula)],
  ['iron', (s) => !/Fe/.test(s.formula) && s.form !== 'metal'],
  ['iron, household', (s) => !/Fe/.test(s.formula) && s.form !== 'metal'],
  ['ammonium', (s) => holds(s, 'soluble') && !/NH4|NH3/.test(s.formula)],
  ['calcium', (s) => holds(s, 'soluble') && !/Ca/.test(s.formula)],
  ['carbonate in hydroxide', (s) => /OH/.test(s.formula) && holds(s, 'soluble')],
  ['residual acid (strong)', (s) => s.form === 'solid' && s.ions !== null],
  ['residual alkali', (s) => s.form === 'solid' && s.ions !== null && !/OH|CO3/.test(s.formula)],
  ['moisture in a powder', (s) => s.form === 'solid'],
  ['clear solution', (s) => s.form === 'solid' && holds(s, 'soluble')],
  ['copper', (s) => /Zn|Ni|Fe/.test(s.formula) && !/Cu/.test(s.formula)],
  ['iodate in iodide', (s) => s.id === 'potassium-iodide' || s.id === 'sodium-iodide'],
  ['ferric in ferrous', (s) => s.species === 'iron-sulfate'],
  ['free acid in an ester or spirit', (s) => s.form === 'liquid'],
  ['water in a solvent, copper sulfate', (s) => s.form === 'liquid'],
  ['peroxide left', (s) => /copper|iron|ferric/.test(s.id)],
];

function holds({ water }: Substance, kind: Substance['water']): boolean {
  return water === kind || (kind === 'soluble' && water === 'miscible');
}

/** A melting point is an identity test where one is held: low and drawn out, it is impure or wet. */
function meltingOf({ limits: own, described, name, formula }: Substance): readonly TestRow[] {
  const said = described?.meltsC ?? null;
  const row = limits.find(
    ({ formula: of, property }) =>
      own.includes(of) && (property === 'melting-point' || property === 'melts-in-own-water'),
  );
  const [low, high] = said === null ? [row?.low, row?.high ?? row?.low] : [said, said];
  if (low === undefined || high === undefined) return [];
  const at = low === high ? `${low} °C` : `${low} to ${high} °C`;
  return [
    {
      kind: 'identity',
      of: name,
      formula,
      reagents: 'its melting point',
      procedure: 'Dry powder in a thin glass tube beside a thermometer in a stirred bath; warm 2 °C a minute near it.',
      expected: `melts at ${at}${row?.property === 'melts-in-own-water' ? ' in its own water' : ''}, within a degree or two`,
      sameFrom: 'others that melt there; mixed with the true one they melt lower',
      ruledOutBy: 'a mixture with a known sample that melts at the same point',
      detects: '',
      caution: 'hot bath: oil, no water above 90 °C; goggles',
      grade: row?.grade ?? 'C',
    },
  ];
}

/** Tests for a substance by its id; empty lists where none are held. */
export function testsFor(substanceId: string): TestsFor {
  const substance = substanceById(substanceId);
  if (!substance) return { identity: [], limit: [] };
  const wanted = new Set(LIMITS.filter(([, suits]) => suits(substance)).map(([test]) => test));
  return {
    identity: [...(bySpecies.get(substance.species) ?? []), ...meltingOf(substance)],
    limit: tests.filter(({ kind, of }) => kind === 'limit' && wanted.has(of)),
  };
}
