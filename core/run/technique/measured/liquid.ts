import { derive, type Figure, given } from '#base/figure';
import { amountOf, at, type Contents, contentsMass, slurryVolume } from '#matter/vessel';
import type { At, Facts } from '../facts.ts';
import { liquidFigures } from '../liquid.ts';
import type { Doing } from '../outcome.ts';
import { byDensity, readAt } from './read.ts';
import { asStrongAs, standsAt, weighs } from './stands.ts';

/** A liquid follows what goes in and out after it was caught. */
export function liquidMoved(doing: Doing, facts: Facts): void {
  if (facts.recipe.makes.kind === 'liquid') Object.assign(doing.figures, liquidFigures(doing.vessels, facts));
}

/** A liquid in its vessel: as much as it weighs or measures, and as strong as it was found to be. */
export function liquidAsRead(
  doing: Doing,
  step: At,
  makes: Extract<Facts['recipe']['makes'], { kind: 'liquid' }>,
): void {
  const { facts } = step;
  const place = makes.vessel;
  const contents = at(doing.vessels, place);
  const read = readAt(step);
  const modelG = contentsMass(contents);
  if (!(modelG > 0) || !amountOf(contents, makes.substanceId)) return;
  if (!read.volume && !read.mass && !read.strength && !read.density) return;
  const m = read.mass ?? (read.volume && massFrom(read.volume, { contents, density: read.density }));
  const isMore = m && m.value > modelG;
  if (m) weighs(doing, place, { m, id: makes.substanceId });
  // By its volume alone, and more than was computed: the last of it is water, as much as makes it stand there.
  if (isMore && !read.mass && read.volume && (!contents.organic[makes.substanceId] || isWatery(contents)))
    standsAt(doing, place, { V: read.volume, facts });
  const pct = read.strength ?? (read.density && byDensity(read.density, makes.substanceId, facts));
  if (pct) asStrongAs(doing, place, { id: makes.substanceId, pct });
  Object.assign(doing.figures, liquidFigures(doing.vessels, facts));
}

/** Mostly water, whatever is in it. */
const isWatery = (contents: Contents) => contents.waterG.value > contentsMass(contents) / 2;

function massFrom(V: Figure, { contents, density }: { contents: Contents; density: Figure | undefined }): Figure {
  const model = given(
    { symbol: 'ρ', name: 'density, about', unit: 'g/mL' },
    contentsMass(contents) / Math.max(1e-9, slurryVolume(contents)),
    'by what is in it',
  );
  return derive(
    { symbol: 'm', name: 'mass of what was made', unit: 'g' },
    'V × ρ',
    { V, ρ: density ?? model },
    (x) => x.V * x.ρ,
  );
}
