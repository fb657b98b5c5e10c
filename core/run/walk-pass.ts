import { derive, type Figure, given } from '#core/figure';
import { substanceById } from '#core/substance';
import { uncertain } from '#core/units';
import { total } from '#core/vessel';
import type { ValueWithSd } from './event.ts';
import { keepPart } from './walk-keep.ts';
import type { Walker } from './walker.ts';

/** What was poured off to another batch or away, and what came from another, after a step. */
export function passOn(walker: Walker, step: string): void {
  const { actuals, so } = walker;
  for (const body of actuals.poured) {
    if (body.step !== step) continue;
    if (body.kind === 'poured-off') {
      const naming = { symbol: 'kept', name: 'part kept of the batch', unit: '' };
      const kept = given(naming, Math.max(0, 1 - body.share), 'poured off, as entered');
      keepPart(so, kept);
      // What can still come of this batch goes with it; a test portion, by contrast, is a loss to its yield.
      if (so.extent) so.extent = part(so.extent, kept);
      if (so.product) so.product = part(so.product, kept);
      if (so.crystals) so.crystals = part(so.crystals, kept);
      continue;
    }
    const from = `batch ${body.number}`;
    const figure = (name: string, unit: string, { value, sd }: ValueWithSd): Figure =>
      given(
        { symbol: unit === 'mol' ? 'n' : 'm', name, unit },
        uncertain(value, sd, { id: `from:${body.batchId}`, name: from }),
        `from ${from}`,
      );
    const amounts = { ...so.contents.amounts };
    for (const [id, n] of Object.entries(body.amounts)) {
      const name = substanceById(id)?.name ?? id;
      const came = figure(`${name} from ${from}`, 'mol', n);
      amounts[id] = amounts[id] ? total(name, 'mol', amounts[id]!, came) : came;
    }
    const waterG = total('water', 'g', so.contents.waterG, figure(`water from ${from}`, 'g', body.waterG));
    const inertG = total(
      'inert matter',
      'g',
      so.contents.inertG,
      figure(`inert matter from ${from}`, 'g', body.inertG),
    );
    so.contents = { amounts, waterG, inertG };
    if (body.extentMol) {
      const came = figure(`extent reached in ${from}`, 'mol', body.extentMol);
      so.extent = so.extent ? total('extent of reaction, in all', 'mol', so.extent, came) : came;
    }
  }
}

function part(figure: Figure, kept: Figure): Figure {
  return derive(
    { symbol: figure.symbol, name: figure.name, unit: figure.unit },
    'x × kept',
    { x: figure, kept },
    (v) => v.x * v.kept,
  );
}
