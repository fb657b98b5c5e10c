import { itemAt } from '#base/lookup';

const THIN = '\u202f';

/** The 95 % band is twice the standard uncertainty (GUM 6.3.3, k = 2); it is what stands behind every ± shown. */
export const COVERAGE = 2;

/** Decimals that the uncertainty allows: two figures of it when it begins with 1 or 2, else one. */
export function roundToUncertainty(
  value: number,
  sd: number,
): { decimals: number; value: string; band: string | undefined } {
  const band = sd * COVERAGE;
  if (!(band > 0)) return { decimals: 0, value: shortest(value, 5), band: undefined };
  // A uncertainty this small says nothing at four figures, and would ask for seven.
  if (band < Math.abs(value) * 3e-4) {
    const decimals = decimalsForFigures(value, 4);
    return { decimals, value: fixed(value, decimals), band: undefined };
  }
  const power = Math.floor(Math.log10(band));
  const lead = band / 10 ** power;
  // Cap the figures shown: a band far smaller than the value needs no more than six figures of it.
  const decimals = Math.min((lead < 2.95 ? 1 : 0) - power, decimalsForFigures(value, 6));
  return { decimals, value: fixed(value, decimals), band: fixed(band, decimals) };
}

/** “8.75 ± 0.13”, rounded to the uncertainty. */
export function formatFigure(value: number, sd: number): string {
  const rounded = roundToUncertainty(value, sd);
  return rounded.band === undefined ? rounded.value : `${rounded.value} ± ${rounded.band}`;
}

/** A number to so many significant figures, without a trailing exponent for everyday sizes. */
export function formatNumber(value: number, figures = 4): string {
  return fixed(value, decimalsForFigures(value, figures));
}

/** To at most so many figures, without trailing zeros: for exact numbers and inside a working. */
export function shortest(value: number, figures: number): string {
  const text = formatNumber(value, figures);
  return text.includes('.') && !text.includes('×') ? text.replace(/\.?0+$/, '') : text;
}

/** As typed into a field: plain digits, no grouping, no trailing zeros. */
export function formatPlain(value: number, figures = 6): string {
  return String(Number(value.toPrecision(figures)));
}

function decimalsForFigures(value: number, figures: number): number {
  if (value === 0 || !Number.isFinite(value)) return 0;
  return Math.max(-3, figures - 1 - Math.floor(Math.log10(Math.abs(value))));
}

function fixed(value: number, decimals: number): string {
  if (!Number.isFinite(value)) return '–';
  const magnitude = Math.abs(value);
  if (magnitude !== 0 && (magnitude >= 1e7 || magnitude < 1e-4)) {
    const [mantissa = '', power = '0'] = value.toExponential(2).split('e');
    return `${mantissa.replace('-', '\u2212')} × 10${superscript(Number(power))}`;
  }
  const step = decimals < 0 ? 10 ** -decimals : 1;
  const rounded = Math.round(value / step) * step;
  const text = (decimals < 0 ? rounded : value).toFixed(Math.min(20, Math.max(0, decimals)));
  const [whole = '', rest] = (Number(text) === 0 ? text.replace('-', '') : text).split('.');
  const grouped = whole.replace('-', '\u2212').replace(/\B(?=(\d{3})+$)/g, whole.length > 4 ? THIN : '');
  return rest === undefined ? grouped : `${grouped}.${rest}`;
}

function superscript(power: number): string {
  return String(power).replace(/[-\d]/g, (c) => (c === '-' ? '⁻' : itemAt('⁰¹²³⁴⁵⁶⁷⁸⁹', Number(c))));
}
