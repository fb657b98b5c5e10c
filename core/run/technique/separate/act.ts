import { datum, derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { type SubstanceId, substanceOf } from '#matter/substance';
import {
  at,
  type Contents,
  contentsMass,
  emptyContents,
  entriesOf,
  holding,
  liquidVolume,
  type Phase,
  parted as partedBy,
  phases,
  poured,
  withAmount,
} from '#matter/vessel';
import { onTop } from '#model/layers';
import { weighingSd } from '../add/mass.ts';
import type { At } from '../facts.ts';
import { liquidFigures } from '../liquid.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl } from '../product.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import { type Funnel, funnelOf } from './funnel.ts';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;

/** mL of the kept layer that walls, tap and the line between keep. */
const KEEPS_ML = 1.5;
const SOURCE = {
  source: 'mutual solubility as published, salt by Long and McDevit; distributions',
  grade: 'C',
} as const;

/** The water layer goes to the liquor with what it holds; the liquid's own layer stays, less what the funnel keeps. */
export function act(standing: Standing, op: Op, step: At): Result<Outcome> {
  const doing = begin(standing);
  const place = placeOf(op);
  const before = at(standing.vessels, place);
  const funnel = funnelOf(before, op.liquid);
  if (!funnel) return ok(doing);
  const { name } = substanceOf(op.liquid);
  const { organic } = funnel.parted;
  if (!organic || !funnel.parted.aqueous) {
    doing.notKnown.push({ what: 'layers', says: onTop(funnel.parted).says });
    return ok(doing);
  }
  for (const id of funnel.notHeld)
    doing.notKnown.push({
      what: 'layers',
      says: `How ${substanceOf(id).name} shares itself between ${name} and water is not held: taken to stay.`,
    });
  const { own, water } = split(before, funnel, op.liquid);
  doing.figures = {
    'layer.volume': aboutMl(`the ${name} layer`, liquidVolume(own)),
    'layer.mass': given({ symbol: 'm', name: `the ${name} layer`, unit: 'g' }, contentsMass(own), 'as it parts'),
    'layer.gap': given(
      { symbol: 'Δρ', name: 'between the densities', unit: 'g/mL' },
      onTop(funnel.parted).gap,
      'of both layers',
    ),
    'layer.lost': given(
      { symbol: 'm', name: `${name} that the water takes along`, unit: 'g' },
      funnel.parted.aqueous.liquidG,
      'mutual solubility',
    ),
  };
  if (isUnderWay(step)) return ok(doing);
  const { kept, gone } = partedBy(own, keptShare(step, own));
  doing.vessels = poured(poured(holding(doing.vessels, place, kept), 'liquor', water), 'funnel', gone);
  Object.assign(doing.figures, liquidFigures(doing.vessels, step.facts));
  return ok(doing);
}

/** Both layers: every amount by its share, solids with the water, dirt with the kept layer. */
function split(before: Contents, { parted, shares }: Funnel, liquid: SubstanceId) {
  const waterShare = share('water', (parted.organic?.waterG ?? 0) / Math.max(1e-12, before.waterG.value));
  let own: Contents = { ...emptyContents, inertG: before.inertG, waterG: by(before.waterG, waterShare, 'x × s') };
  let water: Contents = { ...emptyContents, waterG: by(before.waterG, waterShare, 'x × (1 − s)') };
  for (const phase of phases)
    for (const [id, n] of entriesOf(before[phase])) {
      const s = share(substanceOf(id).name, shares.get(id) ?? 0);
      const up = by(n, s, 'x × s');
      const down = by(n, s, 'x × (1 − s)');
      if (up.value > 0) own = withAmount(own, organicPhase(phase, id, liquid), id, up);
      if (down.value > 0) water = withAmount(water, phase === 'organic' ? 'aqueous' : phase, id, down);
    }
  return { own, water };
}

/** What goes with the liquid is dissolved in it; a solid stays one. */
const organicPhase = (phase: Phase, id: SubstanceId, liquid: SubstanceId): Phase =>
  phase === 'solid' && id !== liquid ? 'solid' : 'organic';

function share(name: string, value: number): Figure {
  const s = Math.min(1, Math.max(0, value));
  return datum(
    { symbol: 's', name: `share of ${name} in the kept layer`, unit: '' },
    { value: s, uncertainty: { layers: { name: 'how the layers share', effect: 0.25 * s * (1 - s) } } },
    SOURCE,
  );
}

function by(x: Figure, s: Figure, formula: 'x × s' | 'x × (1 − s)'): Figure {
  return derive({ symbol: x.symbol, name: x.name, unit: x.unit }, formula, { x, s }, (v) =>
    formula === 'x × s' ? v.x * v.s : v.x * (1 - v.s),
  );
}

/** What the funnel does not keep: as weighed or measured afterwards, else all but a little. */
function keptShare({ entries, key, facts }: At, own: Contents): Figure {
  const naming = { symbol: 'kept', name: 'part that the funnel does not keep', unit: '' };
  const mass = entries.readings.mass && readingValue(entries.readings.mass);
  const volume = entries.readings.volume && readingValue(entries.readings.volume);
  const [all, allMl] = [contentsMass(own), liquidVolume(own)];
  const byMl = volume && allMl > 0 ? volume.value / allMl : undefined;
  const read = mass ? mass.value / all : byMl;
  if (read !== undefined && read >= 0 && all > 0) {
    const uncertainty = {
      [`read:mass:${key}`]: {
        name: 'weighing the layer',
        effect: mass ? Math.max(mass.sd, weighingSd(facts.bench.balanceG)) / all : 0.03,
      },
    };
    return given(naming, { value: Math.min(1, read), uncertainty }, 'measured at the bench');
  }
  const keeps = allMl > 0 ? Math.min(0.9, KEEPS_ML / allMl) : 0;
  const uncertainty = { funnel: { name: 'what the funnel keeps', effect: keeps / 2 } };
  return datum(naming, { value: 1 - keeps, uncertainty }, { source: 'estimate: 1.5 mL', grade: 'C' });
}
