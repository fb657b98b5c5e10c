import { derive, type Figure, given } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { uncertain } from '#base/units';
import { densityFigure, hasDensity, massFractionFigure, type Strength } from '#matter/solution';
import { molarMass, molarMassFigure, type Substance, substanceById } from '#matter/substance';
import { agedFigure, daysBetween } from './ageing.ts';
import type { BottleCard, Shelved } from './bottle.ts';
import { labelUncertainty, UNSTATED_PURITY_BAND } from './label-uncertainty.ts';
import { strengthSince } from './strength-since.ts';

/** A bottle in figures, at one temperature. */
export interface Content {
  readonly substance: Substance;
  /** Mass % of the substance. */
  readonly w: Figure;
  /** g/mL; undefined for solids and liquids without a table. */
  readonly density: Figure | undefined;
  readonly dissolved: boolean;
  /** A solid that went on wet: what is named of nothing else is water. */
  readonly wet: boolean;
  /** What else is in it that is known, mass %: a second acid, salt left in a cake. Water is not among it. */
  readonly others: readonly { readonly substance: Substance; readonly w: Figure }[];
  readonly sizeG: Figure | undefined;
  readonly leftG: Figure | undefined;
  readonly leftMol: Figure | undefined;
  readonly pricePerMol: Figure | undefined;
  /** 0 to 1, for drawing; undefined when the size is not known. */
  readonly level: number | undefined;
}

/**
 * Everything that follows from a card at `tempC`, aged to `day` (an ISO day; null takes the label as it was). `bottleId` names the source of uncertainty, so two additions from one bottle
 * share its label's uncertainty. Refused when the strength is missing where one is needed, or cannot exist.
 */
export function contentOf(
  { id: bottleId, card, usedG }: Shelved,
  tempC: number,
  day: string | null = null,
): Result<Content> {
  const substance = substanceById(card.substanceId);
  if (!substance) return fail('unknown-substance', `“${card.substanceId}” is not a substance known here.`);
  const strength = strengthFigure(bottleId, card, substance, tempC);
  if (!strength.ok) return strength;
  // Kept in the dark at the shelf's temperature, unless something better is known.
  const age = day === null ? 0 : daysBetween(strengthSince(card), day);
  const w = agedFigure(strength.value, bottleId, substance, age, { tempC, light: 'dark' });
  const dissolved = isDissolved(card, substance);
  const rho = dissolved && hasDensity(substance) ? densityFigure(substance, w, tempC) : undefined;
  // What was made here is what it was found to be: without a density it goes by its mass alone.
  if (rho && !rho.ok && !isMadeByMass(card)) return rho;
  const density = (rho?.ok ? rho.value : undefined) ?? (dissolved ? statedDensity(bottleId, card) : undefined);
  const sizeG = sizeFigure(card, density);
  const leftG = sizeG && leftFigure(sizeG, usedG);
  const M = molarMassFigure(substance.formula);
  const leftMol =
    leftG &&
    derive(
      { symbol: 'n', name: `${substance.name} left`, unit: 'mol' },
      'm × w ÷ (100 × M)',
      { m: leftG, w, M },
      (x) => (x.m * x.w) / 100 / x.M,
    );
  return ok({
    substance,
    w,
    density,
    dissolved,
    wet: !dissolved && isWet(card),
    others: othersOf(bottleId, card, density),
    sizeG,
    leftG,
    leftMol,
    pricePerMol: sizeG && card.price !== null && w.value > 0 ? priceFigure(card.price, sizeG, w, M) : undefined,
    level: sizeG && sizeG.value > 0 ? Math.min(1, Math.max(0, 1 - usedG / sizeG.value)) : undefined,
  });
}

const isMadeByMass = ({ fromBatch, size, strength }: BottleCard) =>
  fromBatch !== null && size?.unit === 'g' && strength?.unit === 'w/w';

function isDissolved(card: BottleCard, substance: Substance): boolean {
  if (substance.form === 'dissolved' || substance.form === 'liquid') return true;
  if (card.size?.unit === 'mL') return true;
  const unit = card.strength?.unit;
  return unit !== undefined && unit !== 'w/w' && unit !== 'ppm';
}

function strengthFigure(bottleId: string, card: BottleCard, substance: Substance, tempC: number): Result<Figure> {
  const naming = { symbol: 'w', name: `strength of ${card.name}`, unit: '%' };
  if (card.strength === null) {
    if (substance.form === 'dissolved') {
      return fail(
        'missing-part',
        `How strong is it? ${substance.name} is sold in many strengths; add one, such as 10 %.`,
        {
          field: 'strength',
        },
      );
    }
    const source = { id: `purity:${bottleId}`, name: `${card.name}: taken as pure, no label` };
    return ok(
      given(
        naming,
        uncertain(100 - UNSTATED_PURITY_BAND, UNSTATED_PURITY_BAND / Math.sqrt(3), source),
        `taken as pure: ${100 - 2 * UNSTATED_PURITY_BAND} to 100 %, nothing is more; the label gives no strength`,
      ),
    );
  }
  const { value, unit } = card.strength;
  const strengthBy = (stated: Figure): Result<Figure> => {
    if (isMadeByMass(card) && value <= 100) return ok(stated);
    const rho = hasDensity(substance) ? undefined : statedDensity(bottleId, card);
    return (rho && fromVolume(stated, unit, { rho, substance })) ?? massFractionFigure(stated, unit, substance, tempC);
  };
  const decimals = String(value).split('.')[1]?.length ?? 0;
  const band = card.strengthBand ?? labelUncertainty(value, { decimals, unit });
  const who = card.assayed ? 'assay' : 'label';
  const source = { id: `${who}:${bottleId}`, name: `${card.name}: ${who}` };
  // A label is a rectangle of that half-width; a measured strength comes with a 95 % band.
  const sd = band / (card.assayed ? 2 : Math.sqrt(3));
  if (card.measured) {
    const { method, day, sources } = card.measured;
    const uncertainty = Object.fromEntries(sources.map(({ id, name, effect }) => [id, { name, effect }]));
    return strengthBy(
      given({ ...naming, unit: unit === 'w/w' ? '%' : unit }, { value, uncertainty }, `measured ${day}: ${method}`),
    );
  }
  const how = card.assayed ? `measured, ± ${band}` : `label, taken as good to ± ${Number(band.toPrecision(2))}`;
  return strengthBy(given({ ...naming, unit: unit === 'w/w' ? '%' : unit }, uncertain(value, sd, source), how));
}

/** g/mL as its label or its owner states it: to a half of a per cent. */
function statedDensity(bottleId: string, { gPerMl, name }: BottleCard): Figure | undefined {
  if (gPerMl === undefined) return undefined;
  const source = { id: `density:${bottleId}`, name: `${name}: density as stated` };
  return given(
    { symbol: 'ρ', name: `density of ${name}`, unit: 'g/mL' },
    uncertain(gPerMl, STATED_SD * gPerMl, source),
    'as stated',
  );
}

const STATED_SD = 0.005;

/** Mass % from a strength by volume and a density that is stated; undefined for a unit that is not by volume. */
function fromVolume(
  c: Figure,
  unit: NonNullable<BottleCard['strength']>['unit'],
  { rho, substance }: { readonly rho: Figure; readonly substance: Substance },
): Result<Figure> | undefined {
  const naming = { symbol: 'w', name: c.name, unit: '%' };
  const M = molarMassFigure(substance.formula);
  const found = () => {
    switch (unit) {
      case 'w/v':
        return derive(naming, 'c ÷ ρ', { c, ρ: rho }, (x) => x.c / x.ρ);
      case 'g/L':
        return derive(naming, 'c ÷ (10 × ρ)', { c, ρ: rho }, (x) => x.c / (10 * x.ρ));
      case 'mol/L':
        return derive(naming, 'c × M ÷ (10 × ρ)', { c, M, ρ: rho }, (x) => (x.c * x.M) / (10 * x.ρ));
      default:
        return undefined;
    }
  };
  const w = found();
  if (!w) return undefined;
  return w.value <= 100
    ? ok(w)
    : fail(
        'impossible-strength',
        `At ${rho.value} g/mL that would be more than 100 % of ${substance.name}; check the density.`,
        {
          field: 'strength',
        },
      );
}

function sizeFigure(card: BottleCard, density: Figure | undefined): Figure | undefined {
  if (card.size === null) return undefined;
  const source = { id: 'fill', name: 'how full it was filled' };
  // Average fill of pre-packed goods is held to about 1 %.
  const size = given(
    { symbol: card.size.unit === 'g' ? 'm₀' : 'V₀', name: 'size on the label', unit: card.size.unit },
    uncertain(card.size.value, card.size.value * 0.01, source),
    'label',
  );
  if (card.size.unit === 'g') return size;
  if (!density) return undefined;
  return derive(
    { symbol: 'm₀', name: 'mass when full', unit: 'g' },
    'V₀ × ρ',
    { 'V₀': size, ρ: density },
    (x) => x['V₀'] * x.ρ,
  );
}

function leftFigure(sizeG: Figure, usedG: number): Figure {
  const used = given({ symbol: 'used', name: 'used so far', unit: 'g' }, usedG, 'bench record');
  return derive({ symbol: 'm', name: 'left', unit: 'g' }, 'm₀ − used', { 'm₀': sizeG, used }, (x) =>
    Math.max(0, x['m₀'] - x.used),
  );
}

function priceFigure(price: number, sizeG: Figure, w: Figure, M: Figure): Figure {
  const paid = given({ symbol: 'paid', name: 'price', unit: '' }, price, 'label');
  return derive(
    { symbol: 'p', name: 'price per mole', unit: 'per mol' },
    'paid × 100 × M ÷ (m₀ × w)',
    { paid, M, 'm₀': sizeG, w },
    (x) => (x.paid * 100 * x.M) / (x['m₀'] * x.w),
  );
}

function isWet(card: BottleCard): boolean {
  return card.others.some(({ substanceId }) => substanceId === 'water');
}

/** A strength beside another is taken to be good to this share of it. */
const BESIDE = 0.05;

function othersOf(bottleId: string, card: BottleCard, density: Figure | undefined): Content['others'] {
  return card.others.flatMap(({ substanceId, strength }) => {
    const substance = substanceById(substanceId);
    if (!substance || substance.id === 'water') return [];
    const pct = besidePct(strength, substance, density?.value ?? 1);
    if (!(pct > 0)) return [];
    const source = { id: `beside:${bottleId}:${substanceId}`, name: `${card.name}: its ${substance.name}` };
    const naming = { symbol: 'w', name: `${substance.name} in ${card.name}`, unit: '%' };
    return [{ substance, w: given(naming, uncertain(pct, BESIDE * pct, source), 'label, of a mixture') }];
  });
}

/** Mass % of what stands beside the first active; by volume, through the density of the whole, about. */
function besidePct({ value, unit }: Strength, substance: Substance, gPerMl: number): number {
  switch (unit) {
    case 'w/w':
      return value;
    case 'ppm':
      return value / 10_000;
    case 'w/v':
      return value / gPerMl;
    case 'g/L':
      return value / 10 / gPerMl;
    case 'mol/L':
      return (value * molarMass(substance.formula)) / 10 / gPerMl;
    default:
      return 0;
  }
}
