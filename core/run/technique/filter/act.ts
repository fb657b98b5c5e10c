import { derive } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { at, holding, liquidVolume, type Place, parted, poured } from '#matter/vessel';
import { standAsRead } from '../at-volume.ts';
import type { At } from '../facts.ts';
import { liquidFigures } from '../liquid.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl } from '../product.ts';
import { isUnderWay, volumeRead } from '../read-value.ts';
import { placeOf } from '../where.ts';
import { apart, heldByCake } from './apart.ts';
import { caught } from './caught.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const doing = begin(standing);
  if (isUnderWay(step)) return ok(doing);
  if (op.keep === 'solid') {
    caught(doing, standing, { step, place: placeOf(op) });
    return ok(doing);
  }
  const place = placeOf(op);
  const { filtrate, cake } = apart(at(standing.vessels, place));
  const { through, held } = heldByCake(filtrate, cake, op.holds ?? 0);
  doing.vessels = poured(poured(holding(doing.vessels, place, through), 'paper', cake), 'paper', held);
  ranThrough(doing, step, place);
  Object.assign(doing.figures, liquidFigures(doing.vessels, step.facts));
  return ok(doing);
}

/** As much as was read ran through: what lacks is in the paper, what is over was the rinse. */
function ranThrough(doing: Doing, step: At, place: Place): void {
  const before = at(doing.vessels, place);
  const V = volumeRead(step.entries.readings.volume, 'the volume that ran through');
  const all = liquidVolume(before);
  if (!V || !(all > 0) || V.value >= all) {
    standAsRead(doing, step, place);
    return;
  }
  const there = aboutMl('all of the liquid', all);
  const part = derive(
    { symbol: 'kept', name: 'part of the liquid that ran through', unit: '' },
    'V ÷ V₀',
    { V, 'V₀': there },
    (x) => Math.min(1, x.V / x['V₀']),
  );
  const { kept, gone } = parted(before, part);
  doing.vessels = poured(holding(doing.vessels, place, kept), 'paper', gone);
}
