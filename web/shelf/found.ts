import type { BottleAnswer } from '#contract/api';
import type { BottleFace } from '#matter/stock';

/** The bottles in whose name, substance, formula, place or note every typed word occurs. */
export function found(
  bottles: readonly BottleAnswer[],
  faces: ReadonlyMap<string, BottleFace>,
  typed: string,
): readonly BottleAnswer[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return bottles;
  return bottles.filter((bottle) => {
    const text = textOf(bottle, faces.get(bottle.id));
    return words.every((word) => text.includes(word));
  });
}

const SUBSCRIPTS = /[₀-₉]/g;

function textOf({ card }: BottleAnswer, face: BottleFace | undefined): string {
  // As it is typed: H2SO4 finds H₂SO₄.
  const formula = (face?.formula ?? '').replace(SUBSCRIPTS, (digit) => String(digit.charCodeAt(0) - 0x2080));
  const substances = [card.substanceId, ...card.others.map(({ substanceId }) => substanceId)];
  return [
    card.name,
    ...substances.map((id) => id.replaceAll('-', ' ')),
    formula,
    card.product,
    card.place,
    card.labelText,
    card.note,
  ]
    .join(' ')
    .toLowerCase();
}
