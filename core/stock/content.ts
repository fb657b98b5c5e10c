import { derive, type Figure, given } from '#core/figure';
import { fail, ok, type Result } from '#core/problem';
import { agedFigure, daysBetween } from '#core/rate';
import { densityFigure, hasDensity, massFractionFigure } from '#core/solution';
import { molarMassFigure, type Substance, substanceById } from '#core/substance';
import { uncertain } from '#core/units';
import type { BottleCard, Shelved } from './bottle.ts';
import { labelUncertainty, UNSTATED_PURITY_BAND } from './label-uncertainty.ts';

/** A bottle in figures, at one temperature. */
export interface Content {
  readonly substance: Substance;
  /** Mass % of the substance. */
  readonly w: Figure;
  /** g/mL; undefined for solids and liquids without a table. */
  readonly density: Figure | undefined;
  readonly dissolved: boolean;
  /** A solid that went on wet: what is not of the substance is water. */
  readonly wet: boolean;
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
  const age = day === null ? 0 : daysBetween(card.since, day);
  const w = agedFigure(strength.value, bottleId, substance, age, { tempC, light: 'dark' });
  const dissolved = isDissolved(card, substance);
  const rho = dissolved && hasDensity(substance) ? densityFigure(substance, w, tempC) : undefined;
  if (rho && !rho.ok) return rho;
  const density = rho?.value;
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
    wet: !dissolved && onlyWaterBesides(card),
    sizeG,
    leftG,
    leftMol,
    pricePerMol: sizeG && card.price !== null && w.value > 0 ? priceFigure(card.price, sizeG, w, M) : undefined,
    level: sizeG && sizeG.value > 0 ? Math.min(1, Math.max(0, 1 - usedG / sizeG.value)) : undefined,
  });
}

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
        uncertain(100, UNSTATED_PURITY_BAND / Math.sqrt(3), source),
        'taken as pure; the label gives no strength',
      ),
    );
  }
  const { value, unit } = card.strength;
  const decimals = String(value).split('.')[1]?.length ?? 0;
  const band = card.strengthBand ?? labelUncertainty(value, decimals, unit === 'w/w');
  const who = card.assayed ? 'assay' : 'label';
  const source = { id: `${who}:${bottleId}`, name: `${card.name}: ${who}` };
  // A label is a rectangle of that half-width; a measured strength comes with a 95 % band.
  const sd = band / (card.assayed ? 2 : Math.sqrt(3));
  const how = card.assayed ? `measured, ± ${band}` : `label, taken as good to ± ${Number(band.toPrecision(2))}`;
  const label = given({ ...naming, unit: unit === 'w/w' ? '%' : unit }, uncertain(value, sd, source), how);
  return massFractionFigure(label, unit, substance, tempC);
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

/** Whether water is all that a bottle holds besides its substance. */
export function onlyWaterBesides(card: BottleCard): boolean {
  return card.others.length > 0 && card.others.every(({ substanceId }) => substanceId === 'water');
}
