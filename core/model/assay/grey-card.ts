/** A colour as a camera stores it, 0 to 255 in sRGB. */
export interface Rgb {
  readonly r: number;
  readonly g: number;
  readonly b: number;
}

/** Reflectance of a photographer's grey card. */
const GREY = 0.18;

/**
 * The colour of a sample with the light taken out: each channel is scaled so that the grey card in the same photo comes out
 * as 18 % grey (von Kries, in linear sRGB, IEC 61966-2-1). Undefined when the card is black or burnt out in a channel.
 * Good to about 5 units of CIELAB with the same camera; a bright spot or a shadow on either spoils it.
 */
export function underGreyCard(sample: Rgb, card: Rgb): Rgb | undefined {
  const fix = (value: number, grey: number) => encode((linear(value) * GREY) / linear(grey));
  if ([card.r, card.g, card.b].some((channel) => channel < 8 || channel > 250)) return undefined;
  return { r: fix(sample.r, card.r), g: fix(sample.g, card.g), b: fix(sample.b, card.b) };
}

/** “#a1b2c3” */
export function hexOf({ r, g, b }: Rgb): string {
  return `#${[r, g, b].map((channel) => Math.round(channel).toString(16).padStart(2, '0')).join('')}`;
}

export function rgbOf(hex: string): Rgb {
  const at = (i: number) => Number.parseInt(hex.slice(i, i + 2), 16);
  return { r: at(1), g: at(3), b: at(5) };
}

/** CIELAB of an sRGB colour under D65 (CIE 15). */
export function labOf({ r, g, b }: Rgb): { readonly L: number; readonly a: number; readonly b: number } {
  const [lr, lg, lb] = [linear(r), linear(g), linear(b)];
  const x = f((0.4124 * lr + 0.3576 * lg + 0.1805 * lb) / 0.95047);
  const y = f(0.2126 * lr + 0.7152 * lg + 0.0722 * lb);
  const z = f((0.0193 * lr + 0.1192 * lg + 0.9505 * lb) / 1.08883);
  return { L: 116 * y - 16, a: 500 * (x - y), b: 200 * (y - z) };
}

/** How one colour differs from another, in words, when it is more than an eye and a camera can be wrong by. */
export function colourDifference(now: Rgb, before: Rgb): string {
  const [one, two] = [labOf(now), labOf(before)];
  const [dL, da, db] = [one.L - two.L, one.a - two.a, one.b - two.b];
  if (Math.hypot(dL, da, db) < 6) return 'the same, as near as a photo can tell';
  const words: string[] = [];
  if (Math.abs(dL) > 5) words.push(dL > 0 ? 'lighter' : 'darker');
  if (Math.abs(db) > 4) words.push(db > 0 ? 'yellower' : 'bluer');
  if (Math.abs(da) > 4) words.push(da > 0 ? 'redder' : 'greener');
  return words.join(', ') || 'a little different';
}

function linear(value: number): number {
  const c = value / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
}

function encode(value: number): number {
  const c = value <= 0.0031308 ? 12.92 * value : 1.055 * value ** (1 / 2.4) - 0.055;
  return Math.min(255, Math.max(0, c * 255));
}

function f(t: number): number {
  return t > 216 / 24389 ? Math.cbrt(t) : (24389 / 27) * (t / 116) + 16 / 116;
}
