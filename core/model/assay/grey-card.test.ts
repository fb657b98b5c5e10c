import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { colourDifference, hexOf, labOf, type Rgb, rgbOf, underGreyCard } from './index.ts';

describe('a colour under a grey card', () => {
  it('loses the light it was taken in', () => {
    const linear = (value: number) => ((value / 255 + 0.055) / 1.055) ** 2.4;
    const encode = (value: number) => 255 * (1.055 * value ** (1 / 2.4) - 0.055);
    // The same sample and card under a yellow lamp that passes 1.2, 1 and 0.6 of red, green and blue.
    const lamp = (colour: Rgb): Rgb => ({
      r: encode(linear(colour.r) * 1.2),
      g: colour.g,
      b: encode(linear(colour.b) * 0.6),
    });
    const card = { r: 118, g: 118, b: 118 };
    const sample = { r: 90, g: 140, b: 160 };
    const plain = underGreyCard(sample, card)!;
    const lit = underGreyCard(lamp(sample), lamp(card))!;
    for (const channel of ['r', 'g', 'b'] as const) expect(lit[channel]).toBeCloseTo(plain[channel], 6);
    expect(underGreyCard(card, card)!.r).toBeCloseTo(118, 0);
    expect(underGreyCard(sample, { r: 255, g: 118, b: 118 })).toBeUndefined();
  });

  it('has the CIELAB of the standard, and words for a difference', () => {
    // sRGB red: L* 53.24, a* 80.09, b* 67.20 (CIE 15, D65).
    const red = labOf({ r: 255, g: 0, b: 0 });
    expect(red.L).toBeCloseTo(53.24, 1);
    expect(red.a).toBeCloseTo(80.09, 0);
    expect(red.b).toBeCloseTo(67.2, 0);
    expect(colourDifference({ r: 200, g: 200, b: 120 }, { r: 200, g: 200, b: 200 })).toContain('yellower');
    expect(colourDifference({ r: 200, g: 200, b: 200 }, { r: 202, g: 200, b: 199 })).toContain('the same');
  });

  it('goes to hex and back', () => {
    const channel = fc.integer({ min: 0, max: 255 });
    fc.assert(
      fc.property(fc.record({ r: channel, g: channel, b: channel }), (colour) => {
        expect(rgbOf(hexOf(colour))).toEqual(colour);
      }),
    );
  });
});
