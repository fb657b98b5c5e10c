import { formulaText, substanceById } from '#matter/substance';
import type { ShelfBottle } from '#run/route';
import { BottleDrawing } from '../parts/bottle-drawing.tsx';
import { labelStrength } from '../parts/face-text.ts';

interface TakenBottlesProps {
  readonly shelf: readonly ShelfBottle[];
  readonly taken: readonly string[];
  readonly onTake: (ids: readonly string[]) => void;
}

/** The shelf in a row: a tap takes a bottle for this batch, another puts it back. */
export function TakenBottles({ shelf, taken, onTake }: TakenBottlesProps) {
  const mine = taken.flatMap((id) => shelf.find((each) => each.id === id) ?? []);
  const rest = shelf.filter(({ id, archived, card }) => !archived && card.group !== 'waste' && !taken.includes(id));
  return (
    <section aria-label="What goes in">
      <ul className="own-taken">
        {mine.length === 0 ? <li className="quiet">Take what goes in from the shelf below.</li> : null}
        {mine.map((bottle) => (
          <li key={bottle.id}>
            <button
              type="button"
              className="own-bottle"
              aria-label={`Put ${bottle.card.name} back`}
              onClick={() => onTake(taken.filter((id) => id !== bottle.id))}
            >
              <Drawn bottle={bottle} />
              <span>{bottle.card.name}</span>
            </button>
          </li>
        ))}
      </ul>
      <ul className="own-shelf" aria-label="Shelf">
        {rest.map((bottle) => (
          <li key={bottle.id}>
            <button
              type="button"
              className="own-bottle own-bottle-small"
              aria-label={`Take ${bottle.card.name}`}
              title={`${bottle.card.name}, ${labelStrength(bottle.card)}`}
              onClick={() => onTake([...taken, bottle.id])}
            >
              <Drawn bottle={bottle} />
              <span>{bottle.card.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Drawn({ bottle: { card, usedG } }: { bottle: ShelfBottle }) {
  const substance = substanceById(card.substanceId);
  const level = card.size === null ? null : Math.max(0, Math.min(1, 1 - usedG / card.size.value));
  return (
    <BottleDrawing
      container={card.container}
      level={level}
      tint={substance?.tint ?? 'clear'}
      strength={labelStrength(card)}
      formula={formulaText(substance?.formula ?? '')}
      assayed={card.assayed}
      stale={false}
    />
  );
}
