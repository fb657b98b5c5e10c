import { formatPlain } from '#base/units';
import type { Material, OwnVessel } from '#matter/gear';
import {
  type Air,
  type Caution,
  type CautionFacts,
  type CautionId,
  cautionFor,
  classesOf,
  judgeAir,
  presentIn,
  quenchSays,
} from '#matter/guard';
import { type Handled, hazardCautionsAt, saidBy, vapourFrom } from '#matter/hazard';
import { freezingOf } from '#matter/solution';
import { substanceById } from '#matter/substance';
import { amountOf, at, vesselNames } from '#matter/vessel';
import type { PlanFacts } from '#run/plan';
import type { StepTemplate } from '#run/route';
import { coolsTo, placeOf } from '#run/technique';
import { gasOf, gasTotals } from './gas.ts';
import { gasesOf } from './gate.ts';
import type { Walk } from './walk.ts';

/** Classes of what bites as an acid. */
const ACIDS = ['acid_strong', 'acid_weak', 'acid_nitric', 'formic_oxalic'];

/** Cautions that a route says once for all of its steps. */
const METALS: readonly CautionId[] = ['copper-salt', 'zinc-salt'];

type StepFacts = Omit<CautionFacts, 'riseK' | 'gases' | 'quench' | 'acids'>;

/** What the cautions of a whole run are computed from, besides its plan. */
export interface CautionSetting {
  readonly foamMl: number;
  readonly liquidMl: number;
  readonly vessel: OwnVessel | null;
  readonly made: CautionFacts['made'];
}

/**
 * The cautions of each step, computed for these amounts in this place: those its route names, those of what is handled at it by its
 * hazards (each told once in a run), what comes off and what stands open against the air of the room, and the law at the first.
 */
export function cautionsByStep(
  facts: PlanFacts,
  walk: Walk,
  setting: CautionSetting,
): Record<string, readonly Caution[]> {
  // Steps come from files too: one named like a member of every object must not be found.
  const by = Object.create(null) as Record<string, readonly Caution[]>;
  const shared = sharedFacts(facts, walk, setting);
  const told = new Set(
    METALS.filter((id) => facts.steps.some(({ cautions }) => cautions.includes(id))).flatMap(saidBy),
  );
  const legal = facts.steps.some((step) => step.cautions.includes('law')) ? undefined : facts.steps[0]?.id;
  const material: Material = setting.vessel?.material ?? 'glass';
  for (const [i, step] of facts.steps.entries()) {
    const riseK = walk.heats.find((each) => each.step === step.id)?.rise.value ?? null;
    const gases = step.cautions.some((id) => OF_GAS.has(id)) ? gasesAfter(facts, walk, i) : [];
    // A hot liquor that is cooled: the boil stands before the cold.
    const cold = coolsTo(step.op, facts);
    const quench = cold === null ? '' : quenchSays(material, 98, cold);
    const handled = handledAt(facts, walk, step);
    const acids = acidsOf(facts, handled);
    const ids = new Set<CautionId>(step.cautions);
    if (quench !== '') ids.add('quench');
    if (riseK !== null) ids.add('heat');
    if (step.id === legal) ids.add('law');
    if (i === 0 && shared.freezes) ids.add('frost');
    const vapour = vapourCautions(facts, step, setting.vessel);
    // Where the grams are computed, the rule of thumb is not said beside them.
    if (vapour.length > 0) ids.delete('fume');
    const written = [...ids].flatMap((id) => cautionFor(id, { ...shared, acids, gases, riseK, quench }) ?? []);
    const said = [
      ...written,
      ...hazardCautionsAt(handled, step.cautions, told),
      ...airCautions(facts, walk, step),
      ...vapour,
    ];
    if (said.length > 0) by[step.id] = said;
  }
  return by;
}

/** A bench so cold has frost near it, °C; and what freezes above this may freeze there. */
const FROSTY_C = 3;
const MAY_FREEZE_C = -10;

/** What of the batch may freeze where it is done, with the temperature from which it does; water for rinsing too. */
function freezesAt({ bench, contents, names }: PlanFacts): string {
  if (bench.tempC > FROSTY_C) return '';
  const said = Object.entries(contents).flatMap(([role, { substance, w }]) => {
    const found = freezingOf(substance, w.value);
    if (!found || found.below || found.tempC < MAY_FREEZE_C) return [];
    return [`${names[role] ?? substance.name} from about ${formatPlain(Math.round(found.tempC))} °C`];
  });
  return `Water and wash bottles freeze at 0 °C${said.length > 0 ? `; ${said.join(', ')}` : ''}.`;
}

/** The most bromine that stands in any vessel at any time, mol. */
function mostBromine({ outcomes }: Walk): number {
  const all = [...outcomes.values()].flatMap(({ vessels }) =>
    vesselNames.map((name) => amountOf(at(vessels, name), 'bromine')?.value ?? 0),
  );
  return Math.max(0, ...all);
}

function sharedFacts(facts: PlanFacts, walk: Walk, { foamMl, liquidMl, made }: CautionSetting): StepFacts {
  return {
    products: Object.values(facts.contents).map(({ substance, w }) => ({ substanceId: substance.id, pct: w.value })),
    made: made ?? null,
    country: facts.bench.country,
    distils: facts.steps.some(({ op }) => op.do === 'distil'),
    roomM3: facts.bench.roomM3,
    startC: facts.bench.tempC,
    foamMl,
    liquidMl,
    bromineMol: mostBromine(walk),
    freezes: freezesAt(facts),
  };
}

/** What is in the hand at a step: the bottle that is poured, or what stands in its vessel. */
function handledAt(facts: PlanFacts, { outcomes, end }: Walk, step: StepTemplate): readonly Handled[] {
  const { op } = step;
  if (op.do === 'add') {
    const content = facts.contents[op.role];
    const line = end.additions.find((each) => each.step === step.id);
    if (!content || !line) return [];
    const grams = (line.actual ?? line.dose.mass).value;
    const pct = Math.min(100, content.w.value);
    return [{ substanceId: content.substance.id, pct, g: (grams * pct) / 100 }];
  }
  const vessels = outcomes.get(step.id)?.vessels;
  if (!vessels) return [];
  return presentIn(at(vessels, placeOf(op))).map(({ substanceId, pct, g = 0 }) => ({ substanceId, pct, g }));
}

/** Acids that are handled, at the strength they have there; the bottles’ where none is in sight. */
function acidsOf(facts: PlanFacts, handled: readonly Handled[]): CautionFacts['acids'] {
  const isAcid = (substanceId: string, pct: number) => {
    const classes = classesOf(substanceId, pct);
    return ACIDS.some((each) => classes.has(each));
  };
  const here = handled
    .filter(({ substanceId, pct }) => isAcid(substanceId, pct))
    .map(({ substanceId, pct }) => ({ substanceId, name: substanceById(substanceId)?.name ?? substanceId, pct }));
  if (here.length > 0) return here;
  return Object.entries(facts.contents).flatMap(([role, { substance, w }]) =>
    isAcid(substance.id, w.value) ? [{ substanceId: substance.id, name: facts.names[role] ?? role, pct: w.value }] : [],
  );
}

/** Cautions that are about the gas of a step. */
const OF_GAS: ReadonlySet<CautionId> = new Set([
  'hydrogen',
  'foam',
  'ammonia-gas',
  'acid-gas',
  'cell-gas',
  'chlorine',
  'sulfite-fume',
]);

/** All gases of a step, or of the next one that gives some, or of the one before; litres. */
function gasesAfter(facts: PlanFacts, { gases }: Walk, from: number): CautionFacts['gases'] {
  const later = new Set(facts.steps.slice(from).map(({ id }) => id));
  const first = gases.find((each) => later.has(each.step)) ?? gases[0];
  return gasTotals(gases.filter((each) => each.step === first?.step)).map(({ id, amount }) => ({
    id,
    litres: gasOf(facts, id, amount).volume.value,
  }));
}

function airOf({ bench }: PlanFacts): Air {
  return { roomM3: bench.roomM3, kind: bench.air ?? 'closed' };
}

/** What the gases of a step do to the air of the room. */
function airCautions(facts: PlanFacts, { gases }: Walk, step: StepTemplate): readonly Caution[] {
  if (step.where === 'outdoors') return [];
  return gasesOf(
    facts,
    gases.filter((each) => each.step === step.id),
  ).flatMap((gas): readonly Caution[] => {
    const { verdict, says } = judgeAir(gas, airOf(facts));
    if (verdict === 'silent') return [];
    const severity = verdict === 'watch' ? 'watch' : 'stop';
    const name = substanceById(gas.id)?.name ?? gas.id;
    return [{ id: `hazard air ${gas.id}`, severity, title: `The air: ${name}`, text: says }];
  });
}

/** Mouth of a beaker where none of one’s own fits, mm. */
const USUAL_MOUTH_MM = 90;

/** What leaves a volatile liquid while it is poured. */
function vapourCautions(facts: PlanFacts, step: StepTemplate, vessel: OwnVessel | null): readonly Caution[] {
  const { op } = step;
  const content = op.do === 'add' ? facts.contents[op.role] : undefined;
  if (!content || step.where === 'outdoors') return [];
  const mouthCm = (vessel?.diameterMm ?? USUAL_MOUTH_MM) / 10;
  const surface = { areaCm2: (Math.PI / 4) * mouthCm ** 2, minutes: step.handsOnMin, tempC: facts.bench.tempC };
  const { substance, w } = content;
  const found = vapourFrom({ substanceId: substance.id, pct: Math.min(100, w.value) }, surface, airOf(facts));
  if (!found) return [];
  return [
    {
      id: `hazard vapour ${substance.id}`,
      severity: found.verdict,
      title: `Vapour: ${substance.name}`,
      text: found.says,
    },
  ];
}
