import { useVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState } from 'react';
import { Stand, type Standing } from './stand.tsx';

/** A bottle with its name and note, before it is measured; px. */
const STAND_W = 126;
const ROW_H = 262;

/** A board of hundreds: the rows in sight and a few around them stand in the page, the others are room. */
export function LongBoard({ bottles, faces, search, chosen }: Standing) {
  const list = useRef<HTMLUListElement>(null);
  const { columns, top } = usePlace(list);
  const rows = Math.ceil(bottles.length / columns);
  const virtual = useVirtualizer({
    count: rows,
    getScrollElement: () => document.getElementById('work'),
    estimateSize: () => ROW_H,
    overscan: 2,
    scrollMargin: top,
  });
  return (
    <ul className="board board-long" ref={list} style={{ height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().flatMap((row) =>
        bottles.slice(row.index * columns, (row.index + 1) * columns).map((bottle, i) => (
          <li
            key={bottle.id}
            className="stand"
            aria-setsize={bottles.length}
            aria-posinset={row.index * columns + i + 1}
            style={{
              height: row.size,
              width: `${100 / columns}%`,
              left: `${(100 / columns) * i}%`,
              top: row.start - top,
            }}
          >
            <Stand bottle={bottle} face={faces.get(bottle.id)} search={search} chosen={chosen === bottle.id} />
          </li>
        )),
      )}
    </ul>
  );
}

/** How many bottles stand in a row, and how far down in what scrolls the board begins. */
function usePlace(list: React.RefObject<HTMLUListElement | null>) {
  const [place, setPlace] = useState({ columns: 6, top: 0 });
  useLayoutEffect(() => {
    const board = list.current;
    const work = document.getElementById('work');
    if (!board || !work) return;
    const measure = () => {
      const columns = Math.max(3, Math.floor(board.clientWidth / STAND_W));
      const top = Math.round(board.getBoundingClientRect().top - work.getBoundingClientRect().top + work.scrollTop);
      setPlace((before) => (before.columns === columns && before.top === top ? before : { columns, top }));
    };
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(board);
    watch.observe(work);
    return () => watch.disconnect();
  }, [list]);
  return place;
}
