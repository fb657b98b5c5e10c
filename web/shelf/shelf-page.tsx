import { lazy, Suspense, useDeferredValue, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useParams, useSearchParams } from 'react-router';
import type { BottleAnswer } from '#contract/api';
import { BenchDefaults } from '#matter/gear';
import type { BottleFace } from '#matter/stock';
import { type BottleGroup, groups } from '#matter/stock';
import { sentenceOf } from '../api/client.ts';
import { useBench, useBottles } from '../api/queries.ts';
import { anywhere } from '../kit/is-typing.ts';
import { InMargin } from '../parts/margin.tsx';
import { Board } from './board.tsx';
import { BottleSheet } from './bottle-sheet.tsx';
import { found } from './found.ts';
import { LabelLine } from './label-line.tsx';
import { useFaces } from './use-faces.ts';
import './shelf.css';

const PlacesView = lazy(async () => ({ default: (await import('./places-view.tsx')).PlacesView }));

const BottleTable = lazy(async () => ({ default: (await import('./bottle-table.tsx')).BottleTable }));

const GROUP_NAMES: Readonly<Record<BottleGroup, string>> = {
  bought: 'As bought',
  made: 'Made here',
  intermediate: 'Intermediates',
  'by-product': 'Kept by-products',
  waste: 'Waste',
};
const ORDERS = { use: 'by use', strength: 'by strength', age: 'by age', name: 'by name' } as const;
type Order = keyof typeof ORDERS;
/** From so many on one looks for a bottle by typing. */
const FINDS_FROM = 12;
const HEADS = { drawn: 'All', table: 'All', places: 'Where it stands' } as const;
const NO_FACES: ReadonlyMap<string, BottleFace> = new Map();
const VIEWS = ['drawn', 'table', 'places'] as const;

/** The shelf: a line to put bottles on it, the bottles drawn or in a table, the chosen one’s sheet in the margin. */
export function ShelfPage() {
  const { bottleId } = useParams();
  const [search, setSearch] = useSearchParams();
  const bottles = useBottles();
  const bench = useBench();
  const tempC = bench.data?.bench.tempC ?? 20;
  const view = VIEWS.find((each) => each === search.get('view')) ?? 'drawn';
  const showArchived = search.get('archived') === 'yes';
  const order = (search.get('by') ?? 'use') as Order;
  const standing = useMemo(
    () => (bottles.data ?? []).filter((each) => showArchived || !each.archived),
    [bottles.data, showArchived],
  );
  const plainly = useMemo(() => [...standing].sort(comparison('use', NO_FACES)), [standing]);
  const faces = useFaces(plainly, tempC);
  // By use nothing is asked of what is computed: a long shelf is not sorted again when that comes.
  const byStrength = order === 'strength' ? faces : NO_FACES;
  const ordered = useMemo(
    () => (order === 'use' ? plainly : [...standing].sort(comparison(order, byStrength))),
    [standing, plainly, order, byStrength],
  );
  const [typed, setTyped] = useState('');
  const sought = useDeferredValue(typed);
  const sorted = useMemo(() => found(ordered, faces, sought), [ordered, faces, sought]);
  const finder = useRef<HTMLInputElement>(null);
  useHotkeys('f', () => finder.current?.focus(), { preventDefault: true, useKey: true, ...anywhere });
  const chosen = bottles.data?.find((each) => each.id === bottleId);
  const archived = (bottles.data ?? []).filter((each) => each.archived).length;
  const set = (key: string, value: string | null) =>
    setSearch((before) => {
      const next = new URLSearchParams(before);
      if (value === null) next.delete(key);
      else next.set(key, value);
      return next;
    });

  const choices = (
    <span className="end small">
      {standing.length >= FINDS_FROM ? (
        <input
          ref={finder}
          type="search"
          className="find"
          aria-label="Find on the shelf"
          placeholder="find (f)"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      ) : null}
      <Choice on={view === 'drawn'} onClick={() => set('view', null)} text="drawn" />
      <Choice on={view === 'table'} onClick={() => set('view', 'table')} text="table" />
      <Choice on={view === 'places'} onClick={() => set('view', 'places')} text="by place" />
      <a href="/api/export/shelf.csv" download className="choice">
        CSV
      </a>
      {' · '}
      {(Object.keys(ORDERS) as Order[]).map((each) => (
        <Choice
          key={each}
          on={order === each}
          onClick={() => set('by', each === 'use' ? null : each)}
          text={ORDERS[each]}
        />
      ))}
      {archived > 0 ? (
        <>
          {' · '}
          <Choice
            on={showArchived}
            onClick={() => set('archived', showArchived ? null : 'yes')}
            text={`archived ${archived}`}
          />
        </>
      ) : null}
    </span>
  );

  return (
    <>
      <h1 className="sr">Shelf</h1>
      <LabelLine tempC={tempC} bench={bench.data} />
      {bottles.isLoadingError ? <p className="problem">{sentenceOf(bottles.error)}</p> : null}
      {bottles.isPending ? <p className="waiting-block">Loading the shelf …</p> : null}
      {bottles.data?.length === 0 ? <Empty /> : null}
      {(view !== 'drawn' && standing.length > 0) || (standing.length > 0 && sorted.length === 0) ? (
        <div className="shelf-head">
          <h2>{sorted.length === 0 ? 'None' : HEADS[view]}</h2>
          {choices}
        </div>
      ) : null}
      {standing.length > 0 && sorted.length === 0 ? (
        <p className="waiting-block">No bottle here says “{sought}”.</p>
      ) : null}
      {view === 'places' && bench.data ? (
        <Suspense fallback={<p className="waiting-block">Loading the places …</p>}>
          <PlacesView bottles={sorted} bench={bench.data} />
        </Suspense>
      ) : null}
      {view === 'table' ? (
        <Suspense fallback={<p className="waiting-block">Loading the table …</p>}>
          <BottleTable bottles={sorted} faces={faces} groupNames={GROUP_NAMES} />
        </Suspense>
      ) : null}
      {view === 'drawn'
        ? groups
            .filter((group) => sorted.some((each) => each.card.group === group))
            .map((group, i) => {
              const here = sorted.filter((each) => each.card.group === group);
              return (
                <Board
                  key={group}
                  name={GROUP_NAMES[group]}
                  bottles={here}
                  faces={faces}
                  search={search.toString()}
                  chosen={bottleId}
                  end={i === 0 ? choices : null}
                />
              );
            })
        : null}
      {chosen ? (
        <InMargin>
          <BottleSheet key={chosen.id} bottle={chosen} bench={bench.data?.bench ?? BenchDefaults} />
        </InMargin>
      ) : null}
      {bottleId && bottles.data && !chosen ? <p className="problem">That bottle is not in this notebook.</p> : null}
    </>
  );
}

function comparison(
  order: Order,
  faces: ReadonlyMap<string, BottleFace>,
): (a: BottleAnswer, b: BottleAnswer) => number {
  const lastUse = (each: BottleAnswer) => each.uses.at(-1)?.at ?? '';
  switch (order) {
    case 'strength':
      return (a, b) => (faces.get(b.id)?.strength?.value ?? 0) - (faces.get(a.id)?.strength?.value ?? 0);
    case 'age':
      return (a, b) => a.card.since.localeCompare(b.card.since);
    case 'name':
      return (a, b) => a.card.name.localeCompare(b.card.name);
    default:
      return (a, b) =>
        lastUse(b).localeCompare(lastUse(a)) || b.uses.length - a.uses.length || a.card.name.localeCompare(b.card.name);
  }
}

function Choice({ on, onClick, text }: { on: boolean; onClick: () => void; text: string }) {
  return (
    <button type="button" className="link choice" aria-pressed={on} onClick={onClick}>
      {text}
    </button>
  );
}

function Empty() {
  return (
    <div className="waiting-block">
      <h2>An empty shelf</h2>
      <p>Type what a label says on the line above, for example:</p>
      <p className="mono">hydrochloric acid 28% 5 L 11.50</p>
      <p className="mono">hair peroxide 30 vol 120 ml</p>
      <p className="mono">washing soda crystals 1kg</p>
    </div>
  );
}
