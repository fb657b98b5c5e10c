import { useState } from 'react';
import { Link } from 'react-router';
import type { BottleCard } from '#matter/stock';
import { newId } from '../api/ids.ts';
import type { Run } from '../run/use-run.ts';

/** The product as a new bottle, with the batch it came from. */
export function ToShelf({ run, card }: { run: Run; card: BottleCard | null | undefined }) {
  const [placed, setPlaced] = useState(false);
  const bottleId = run.state.bottles.at(-1);
  // Told when the bottle really stands there.
  if (bottleId && run.waiting.size > 0) return <span className="quiet">on its way to the shelf</span>;
  if (bottleId) return <Link to={`/shelf/${bottleId}`}>On the shelf</Link>;
  if (!card) return null;
  const place = () => {
    setPlaced(true);
    run.enter({ kind: 'bottled', bottleId: newId('bottle'), card });
  };
  return (
    <button type="button" className="act" disabled={placed} onClick={place}>
      Put it on the shelf
    </button>
  );
}
