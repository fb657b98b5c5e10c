import { derive, type Figure, given } from '#base/figure';
import { itemAt, numberAt } from '#base/lookup';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { Reaction } from '#matter/reaction';
import { type SubstanceId, substanceOf } from '#matter/substance';
import { amountOf, at, holding, ledOff, type Place, steamedOff, total } from '#matter/vessel';
import { admitCell, FARADAY } from '#model/cell';
import { chargeFrom, type Passed } from '#model/electrolysis';
import { type At, type Facts, reactionOf, settingOf, speciesMade } from '../facts.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { isUnderWay } from '../read-value.ts';
import { type Course, coefficientOf, extentBy } from './extent.ts';
import { figuresOf } from './figures.ts';
import { type Passage, passageOf } from './passage.ts';
import { type CellFound, type CellOp, cellFound, placesOf } from './sides.ts';

/** A current does its work: as planned, or as far as the charge that was read. */
export function act(standing: Standing, op: CellOp, step: At): Result<Outcome> {
  const { facts } = step;
  const doing = begin(standing);
  const found = cellFound(standing.vessels, op, facts);
  const main = mostBy(standing, op, reactionOf(facts, op.reaction));
  const most = main ?? (op.orElse ? mostBy(standing, op, reactionOf(facts, op.orElse)) : undefined);
  if (!found || !most || !(most.extent.value > 0)) return ok(doing);
  const { reaction } = most;
  for (const id of found.unknown)
    doing.notKnown.push({
      what: 'heat',
      says: `What ${substanceOf(id).name} does in a cell is not held: it is counted as lying there.`,
    });
  // While it runs the plan still holds for its end; what is done is what was read.
  const passed = step.entries.finished || step.going.onlyDone ? passedAt(step) : null;
  if (isUnderWay(step) && !passed) return ok(doing);
  // What is refused is planning it; what has happened can always be entered.
  const admitted = admitCell({
    ...found.setup,
    supply: found.setup.gear.supply,
    anolyte: found.anolyte,
    catholyte: found.catholyte,
  });
  if (!admitted.ok && !passed) return step.going.onlyDone ? ok(doing) : admitted;
  const passage = letPass(found, { op, facts }, { most: most.extent.value, passed, reaction });
  if (!passage) {
    doing.notKnown.push({
      what: 'heat',
      says: 'What comes of this mixture in a cell has no name here: it is left as it was.',
    });
    return ok(doing);
  }
  const course: Course = { op, facts, step, found, passage, reaction, passed, most: most.extent };
  const extent = extentBy(course);
  goesOn(doing, standing.vessels, { ...course, extent });
  doing.figures = figuresOf(course, extent);
  const { progress } = doing;
  // With salt to spare it is the charge that limits, and no reagent.
  const limiting = op.spare ? undefined : most.limiting;
  if (op.makes === speciesMade(facts))
    doing.progress = {
      ...progress,
      limiting: limiting ?? progress.limiting,
      extent: progress.extent ? total('extent of reaction, in all', 'mol', progress.extent, extent) : extent,
      madeBy: new Map([
        ...progress.madeBy,
        ...(limiting ? reaction.products.map(({ substanceId }) => [substanceId, limiting] as const) : []),
      ]),
    };
  return ok(doing);
}

/** The most that the reagents of both sides allow, and which one limits it. */
function mostBy(
  { vessels }: Standing,
  op: CellOp,
  reaction: Reaction,
): { readonly reaction: Reaction; readonly extent: Figure; readonly limiting: SubstanceId } | undefined {
  const found: { id: SubstanceId; n: number; amount: Figure }[] = [];
  for (const { substanceId: id, n } of reaction.reactants) {
    if (id === 'water') continue;
    const parts = placesOf(op).flatMap((place) => amountOf(at(vessels, place), id) ?? hydrateOf(vessels, place, id));
    if (parts.length === 0) return undefined;
    found.push({ id, n, amount: parts.length === 1 ? itemAt(parts, 0) : total(substanceOf(id).name, 'mol', ...parts) });
  }
  const limiting = found.reduce((a, b) => (b.amount.value / b.n < a.amount.value / a.n ? b : a)).id;
  const inputs = Object.fromEntries(found.map(({ amount }, i) => [`n${'₁₂₃₄₅₆'[i]}`, amount]));
  const coefficients = found.map(({ n }) => n);
  const extent = derive(
    { symbol: 'ξ', name: 'extent that the reagents allow', unit: 'mol' },
    `min(${found.map(({ n }, i) => `n${'₁₂₃₄₅₆'[i]}${n === 1 ? '' : ` ÷ ${n}`}`).join('; ')})`,
    inputs,
    (x) => Math.max(0, Math.min(...Object.values(x).map((value, i) => value / numberAt(coefficients, i)))),
  );
  return { reaction, extent, limiting };
}

/** An undissolved hydrate of it counts as well. */
function hydrateOf(vessels: Standing['vessels'], place: Place, id: SubstanceId): readonly Figure[] {
  const { solid } = at(vessels, place);
  return Object.entries(solid).flatMap(([each, n]) =>
    substanceOf(each as SubstanceId).species === id && n ? [n] : [],
  );
}

/** Charge by a meter, or by the currents that were read. */
function passedAt({ entries }: At): Passed | null {
  const meter = entries.readings.charge && readingValue(entries.readings.charge);
  if (meter && meter.value >= 0) return { ampHours: meter.value, sd: Math.hypot(meter.sd, 0.01 * meter.value) };
  const { currents, from, to } = entries;
  const first = currents[0]?.at;
  const last = currents.at(-1)?.at;
  if (first === undefined || last === undefined) return null;
  const times = currents.map(({ at: each }) => each);
  return chargeFrom(currents, from ?? Math.min(...times), entries.finished && to !== null ? to : Math.max(...times));
}

function letPass(
  found: CellFound,
  { op, facts }: { op: CellOp; facts: Facts },
  { most, passed, reaction }: { most: number; passed: Passed | null; reaction: Reaction },
): Passage | null {
  const amps = Math.max(1e-4, settingOf(facts, op.current));
  const spare = op.spare ? settingOf(facts, op.spare) : 0;
  const share = settingOf(facts, op.finish) / 100 / (1 + spare / 100);
  const each = coefficientOf(reaction, op.makes);
  const expectedH = (most * share * op.electrons * FARADAY) / amps / 3600;
  const until = passed ? { coulombs: 3600 * passed.ampHours } : { madeMol: most * share * each };
  return passageOf(found, op, { amps, until, expectedH });
}

/** Everything that the current moves, each in proportion to how far it has come. */
function goesOn(doing: Doing, from: Standing['vessels'], course: Course & { readonly extent: Figure }): void {
  const { passage, found, op, reaction, extent } = course;
  const each = coefficientOf(reaction, op.makes);
  const model = passage.madeMol / each;
  const per = (amount: number): number => (model > 1e-12 ? amount / model : 0);
  const moved = (name: string, unit: string, amount: number): Figure =>
    derive(
      { symbol: 'Δ', name, unit },
      'k × ξ',
      {
        k: given({ symbol: 'k', name: 'for each mol of reaction', unit: '' }, per(amount), 'the cell’s model'),
        ξ: extent,
      },
      (x) => x.k * x.ξ,
    );
  let vessels = from;
  const change = ({ place, phase, id, mol: amount }: Passage['changes'][number]) => {
    if (per(amount) === 0) return;
    const contents = at(vessels, place);
    const had = contents[phase][id];
    const { name } = substanceOf(id);
    const by = moved(`${name}, moved or made`, 'mol', amount);
    const now = had
      ? derive({ symbol: 'n', name, unit: 'mol' }, 'max(0; n₀ + Δ)', { 'n₀': had, Δ: by }, (x) =>
          Math.max(0, x['n₀'] + x.Δ),
        )
      : by;
    vessels = holding(vessels, place, { ...contents, [phase]: { ...contents[phase], [id]: now } });
  };
  for (const each of passage.changes) change(each);
  if (found.metal && found.anodeMol !== null)
    change({ place: op.anodeIn, phase: 'solid', id: found.metal, mol: -passage.wornMol });
  for (const { place, grams } of passage.water) {
    const contents = at(vessels, place);
    const by = moved('water, used or made', 'g', grams);
    vessels = holding(vessels, place, {
      ...contents,
      waterG: derive(
        { symbol: 'W', name: 'water', unit: 'g' },
        'W₀ + Δ',
        { 'W₀': contents.waterG, Δ: by },
        (x) => x['W₀'] + x.Δ,
      ),
    });
  }
  vessels = evaporates(vessels, course, moved('water that evaporated', 'g', passage.evaporatedG));
  const gases = passage.gases.map(({ id, mol }) => ({
    id,
    amount: moved(`${substanceOf(id).name} given off`, 'mol', mol),
  }));
  doing.vessels = ledOff(vessels, gases);
  doing.gases.push(...gases);
}

/** What evaporates leaves every side by its share of the water. */
function evaporates(vessels: Standing['vessels'], { op }: Course, gone: Figure): Standing['vessels'] {
  const places = placesOf(op);
  const all = places.reduce((sum, place) => sum + at(vessels, place).waterG.value, 0);
  let now = vessels;
  for (const place of places) {
    const contents = at(now, place);
    const s = given(
      { symbol: 's', name: 'share of the water', unit: '' },
      all > 0 ? contents.waterG.value / all : 0,
      'by its water',
    );
    now = holding(now, place, {
      ...contents,
      waterG: derive(
        { symbol: 'W', name: 'water', unit: 'g' },
        'W₀ − s × E',
        { 'W₀': contents.waterG, s, E: gone },
        (x) => x['W₀'] - x.s * x.E,
      ),
    });
  }
  return steamedOff(now, gone);
}
