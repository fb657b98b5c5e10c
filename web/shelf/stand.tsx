import { memo } from 'react';
import { Link } from 'react-router';
import type { BottleAnswer } from '#contract/api';
import type { BottleFace } from '#matter/stock';
import { BottleDrawing } from '../parts/bottle-drawing.tsx';
import { labelStrength, leftText } from '../parts/face-text.ts';

/** Bottles that stand side by side, and what is known of them. */
export interface Standing {
  readonly bottles: readonly BottleAnswer[];
  readonly faces: ReadonlyMap<string, BottleFace>;
  readonly search: string;
  /** The id of the one whose sheet is open. */
  readonly chosen: string | undefined;
}

interface StandProps {
  readonly bottle: BottleAnswer;
  readonly face: BottleFace | undefined;
  readonly search: string;
  readonly chosen: boolean;
}

/** One bottle on its board: drawn, named, with what is left in it. */
export const Stand = memo(function Stand({ bottle: { id, card, archived }, face, search, chosen }: StandProps) {
  return (
    <Link to={`/shelf/${id}${search ? `?${search}` : ''}`} aria-current={chosen ? 'true' : undefined}>
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
  );
});

function noteOf(card: BottleAnswer['card'], archived: boolean, face: BottleFace | undefined): string {
  if (archived) return 'archived';
  if (face?.stale) return `stale, ${leftText(card, face)}`;
  return card.assayed ? `assayed, ${leftText(card, face)}` : leftText(card, face);
}
