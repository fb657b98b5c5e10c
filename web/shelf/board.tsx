import { useId } from 'react';
import { Link } from 'react-router';
import type { BottleAnswer } from '#contract/api';
import type { BottleFace } from '#core/stock';
import { BottleDrawing } from './bottle-drawing.tsx';
import { labelStrength, leftText } from './face-text.ts';

interface BoardProps {
  readonly name: string;
  readonly bottles: readonly BottleAnswer[];
  readonly faces: ReadonlyMap<string, BottleFace>;
  readonly search: string;
  readonly chosen: string | undefined;
  /** Stands at the end of the heading: how the shelf is shown. */
  readonly end?: React.ReactNode;
}

/** One board of the shelf with its bottles standing on it. */
export function Board({ name, bottles, faces, search, chosen, end }: BoardProps) {
  const id = useId();
  return (
    <section aria-labelledby={id}>
      <div className="shelf-head">
        <h2 id={id}>{name}</h2>
        <span className="quiet">{bottles.length}</span>
        {end}
      </div>
      <ul className="board">
        {bottles.map(({ id: bottleId, card, archived }) => {
          const face = faces.get(bottleId);
          return (
            <li key={bottleId} className="stand">
              <Link
                to={`/shelf/${bottleId}${search ? `?${search}` : ''}`}
                aria-current={chosen === bottleId ? 'true' : undefined}
              >
                <BottleDrawing
                  container={card.container}
                  level={face?.level ?? null}
                  tint={face?.tint ?? 'clear'}
                  strength={labelStrength(card)}
                  formula={face?.formula ?? ''}
                  assayed={card.assayed}
                  stale={face?.stale ?? false}
                />
                <span className="plank" />
                <span className="name" title={card.name}>
                  {card.name}
                </span>
                <span className="sr">{card.assayed ? '' : ', label only, '}</span>
                <span className="note">{noteOf(card, archived, face)}</span>
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function noteOf(card: BottleAnswer['card'], archived: boolean, face: BottleFace | undefined): string {
  if (archived) return 'archived';
  if (face?.stale) return `stale, ${leftText(card, face)}`;
  return card.assayed ? `assayed, ${leftText(card, face)}` : leftText(card, face);
}
