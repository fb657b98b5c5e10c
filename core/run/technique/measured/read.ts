import { derive, type Figure } from '#base/figure';
import { hasDensity, massFractionFigure, waterDensityAt } from '#matter/solution';
import { type SubstanceId, substanceOf } from '#matter/substance';
import type { At, Facts } from '../facts.ts';
import { readFigure } from '../read-value.ts';

/** Half a per cent of a mark. */
const MARK = 0.005;
/** What else each is good to: drops that cling, g; a hydrometer or a weighed volume, g/mL. */
const OWN = { mass: 0.3, strength: 0, density: 0.002 } as const;
const SYMBOLS = { volume: 'V', mass: 'm', strength: 'w', density: 'ρ' } as const;

/** What was read of what was made, at one of the last steps. */
export interface Read {
  readonly volume: Figure | undefined;
  readonly mass: Figure | undefined;
  readonly strength: Figure | undefined;
  readonly density: Figure | undefined;
}

export function readAt({ entries: { readings }, key }: At): Read {
  const of = (quantity: keyof Read, unit: string) => {
    const naming = { symbol: SYMBOLS[quantity], name: `${quantity} of what was made (${key})`, unit };
    const own = quantity === 'volume' ? MARK * (readFigure(readings.volume, naming, 0)?.value ?? 0) : OWN[quantity];
    const figure = readFigure(readings[quantity], naming, own);
    return figure && figure.value > 0 ? figure : undefined;
  };
  const strength = of('strength', '%');
  return {
    volume: of('volume', 'mL'),
    mass: of('mass', 'g'),
    strength: strength && strength.value <= 100 ? strength : undefined,
    density: of('density', 'g/mL'),
  };
}

/** Mass % by a density that was read; undefined where no table is held or it lies beyond its ends. */
export function byDensity(rho: Figure, id: SubstanceId, { bench }: Facts): Figure | undefined {
  const substance = substanceOf(id);
  if (!hasDensity(substance)) return undefined;
  const d = derive(
    { symbol: 'd', name: 'density against water at 20 °C', unit: '' },
    'ρ ÷ 0.9982',
    { ρ: rho },
    (x) => x.ρ / waterDensityAt(20),
  );
  const found = massFractionFigure(d, 'SG', substance, bench.tempC, true);
  return found.ok ? found.value : undefined;
}
