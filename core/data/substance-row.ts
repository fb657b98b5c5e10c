// The shape of a substance; the substances themselves stand in tables/substances.ts.
/** How a substance usually comes: dissolved in water, as a solid, a metal, a neat liquid, or a gas. */
export type Form = 'dissolved' | 'solid' | 'metal' | 'liquid' | 'gas';

export interface SubstanceRow {
  readonly id: string;
  readonly name: string;
  /** As written by chemists, hydrate water after a dot. */
  readonly formula: string;
  readonly form: Form;
  /** Other names on labels, in lists and in old books; matched whatever the case. */
  readonly names: readonly string[];
  /** Density table of its aqueous solution, where one is held. */
  readonly density?: string;
  /** For a hydrate: the anhydrous substance. */
  readonly anhydrous?: string;
  /** Colour of its solution or crystals in a drawing, as a word of the palette. */
  readonly tint?: 'clear' | 'straw' | 'green' | 'blue' | 'white' | 'grey' | 'lime' | 'amber';
}

type Extra = Pick<SubstanceRow, 'density' | 'anhydrous' | 'tint'>;
/** A row with its names as one text, parted by semicolons. */
export const row = (
  id: string,
  name: string,
  formula: string,
  form: Form,
  names: string,
  extra: Extra = {},
): SubstanceRow => ({
  id,
  name,
  formula,
  form,
  names: names === '' ? [] : names.split('; '),
  ...extra,
});
