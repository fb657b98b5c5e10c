import { derive, type Figure, given } from '#base/figure';
import { readingValue, type ValueWithSd } from '#base/reading';
import { uncertain } from '#base/units';
import { isSubstanceId, type SubstanceId, substanceOf } from '#matter/substance';
import {
  at,
  type Contents,
  contentsMass,
  emptyContents,
  holding,
  liquidVolume,
  type Place,
  parted,
  phaseOf,
  poured,
  total,
  vesselNames,
  withAmount,
} from '#matter/vessel';
import type { BodyOf } from '#run/log';
import type { Doing, Facts, Standing } from '#run/technique';
import type { Passed } from './entries.ts';
import { following } from './following.ts';

/** What of a batch goes with it when a share is poured off. */
const GOES_ALONG = ['product.mass', 'crystals.mass'];

/** What was poured off or in, or taken as a test portion, after a step, in the order it was. */
export function passOn(
  doing: Doing,
  standing: Standing,
  where: { readonly facts: Facts; readonly place: Place },
  passed: readonly Passed[],
): void {
  const { place } = where;
  // A portion comes out of what stands there when everything else has passed.
  for (const body of passed) {
    if (body.kind === 'poured-off') pourOff(doing, standing, place, body);
    if (body.kind === 'went-wrong') spill(doing, body);
    if (body.kind === 'poured-in') following(doing, { ...where, standing }, () => pourIn(doing, place, body));
  }
  for (const body of passed)
    if (body.kind === 'portion-taken') following(doing, { ...where, standing }, () => takePortion(doing, place, body));
}

function pourOff(doing: Doing, standing: Standing, place: Place, { share }: BodyOf<'poured-off'>): void {
  const naming = { symbol: 'kept', name: 'part kept of the batch', unit: '' };
  const kept = given(naming, Math.max(0, 1 - share), 'poured off, as entered');
  takeAway(doing, place, kept, 'elsewhere');
  // What can still come of this batch goes with it; a test portion, by contrast, is a loss to its yield.
  const { extent } = doing.progress;
  if (extent) doing.progress = { ...doing.progress, extent: part(extent, kept) };
  for (const name of GOES_ALONG) {
    const figure = doing.figures[name] ?? standing.figures[name];
    if (figure) doing.figures = { ...doing.figures, [name]: part(figure, kept) };
  }
}

/** What is spilled is gone from its vessel; unlike what is poured off, it is a loss to the yield. */
function spill(doing: Doing, { share, vessel }: BodyOf<'went-wrong'>): void {
  const from = vesselNames.find((name) => name === vessel);
  if (!from || !share) return;
  const naming = { symbol: 'kept', name: 'part that was not spilled', unit: '' };
  takeAway(doing, from, given(naming, Math.max(0, 1 - share), 'as entered'), 'elsewhere');
}

/** A test portion that does not come back takes its share of everything. */
function takePortion(doing: Doing, place: Place, { reading }: BodyOf<'portion-taken'>): void {
  const contents = at(doing.vessels, place);
  const read = readingValue(reading);
  const massNow = contentsMass(contents);
  if (!read || massNow <= 0) return;
  const liquidMl = liquidVolume(contents);
  // Millilitres of dry solid are none.
  if (read.unit === 'mL' && liquidMl <= 0) return;
  const taken = read.unit === 'mL' ? read.value * (massNow / liquidMl) : read.value;
  const naming = { symbol: 'kept', name: 'part left after the test portion', unit: '' };
  takeAway(
    doing,
    place,
    given(naming, Math.max(0, 1 - taken / massNow), 'test portion booked at the bench'),
    'samples',
  );
}

function takeAway(doing: Doing, place: Place, kept: Figure, to: Place): void {
  const split = parted(at(doing.vessels, place), kept);
  doing.vessels = poured(holding(doing.vessels, place, split.kept), to, split.gone);
}

function pourIn(doing: Doing, place: Place, body: BodyOf<'poured-in'>): void {
  const from = `batch ${body.number}`;
  const figure = (name: string, unit: string, { value, sd }: ValueWithSd): Figure =>
    given(
      { symbol: unit === 'mol' ? 'n' : 'm', name, unit },
      uncertain(value, sd, { id: `from:${body.batchId}`, name: from }),
      `from ${from}`,
    );
  let came: Contents = {
    ...emptyContents,
    waterG: figure(`water from ${from}`, 'g', body.waterG),
    inertG: figure(`inert matter from ${from}`, 'g', body.inertG),
  };
  for (const [id, n] of Object.entries(body.amounts)) {
    if (!isSubstanceId(id)) continue;
    came = withAmount(came, phaseFor(id, came), id, figure(`${substanceOf(id).name} from ${from}`, 'mol', n));
  }
  doing.vessels = poured(doing.vessels, place, came);
  if (!body.extentMol) return;
  const extent = figure(`extent reached in ${from}`, 'mol', body.extentMol);
  const had = doing.progress.extent;
  doing.progress = {
    ...doing.progress,
    extent: had ? total('extent of reaction, in all', 'mol', had, extent) : extent,
  };
}

/** A hydrate comes as its crystals; everything else as it stands in water. */
function phaseFor(id: SubstanceId, contents: Contents) {
  const substance = substanceOf(id);
  return substance.species === id ? phaseOf(substance, contents.waterG.value > 0) : 'solid';
}

function part(figure: Figure, kept: Figure): Figure {
  return derive(
    { symbol: figure.symbol, name: figure.name, unit: figure.unit },
    'x × kept',
    { x: figure, kept },
    (v) => v.x * v.kept,
  );
}
