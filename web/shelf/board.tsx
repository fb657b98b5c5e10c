import { lazy, Suspense, useId } from 'react';
import { Stand, type Standing } from './stand.tsx';

const LongBoard = lazy(async () => ({ default: (await import('./long-board.tsx')).LongBoard }));

interface BoardProps extends Standing {
  readonly name: string;
  /** Stands at the end of the heading: how the shelf is shown. */
  readonly end?: React.ReactNode;
}

/** More bottles than these are drawn as they come into sight. */
const ALL_DRAWN = 80;

/** One board of the shelf with its bottles standing on it. */
export function Board(props: BoardProps) {
  const { name, bottles, end } = props;
  const id = useId();
  return (
    <section aria-labelledby={id}>
      <div className="shelf-head">
        <h2 id={id}>{name}</h2>
        <span className="quiet">{bottles.length}</span>
        {end}
      </div>
      {bottles.length > ALL_DRAWN ? (
        <Suspense fallback={null}>
          <LongBoard {...props} />
        </Suspense>
      ) : (
        <ShortBoard {...props} />
      )}
    </section>
  );
}

function ShortBoard({ bottles, faces, search, chosen }: Standing) {
  return (
    <ul className="board">
      {bottles.map((bottle) => (
        <li key={bottle.id} className="stand">
          <Stand bottle={bottle} face={faces.get(bottle.id)} search={search} chosen={chosen === bottle.id} />
        </li>
      ))}
    </ul>
  );
}
