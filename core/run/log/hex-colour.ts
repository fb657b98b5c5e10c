import type { Shape } from '#base/shape';

/** A colour as #rrggbb. */
export const hexColour = (): Shape<string> => ({
  is: 'text',
  min: 7,
  max: 7,
  like: { pattern: /^#[0-9a-f]{6}$/, says: 'is a colour such as #a0b0c0', example: '#a0b0c0' },
});
