import { useMemo } from 'react';
import { Link } from 'react-router';
import type { BenchAnswer, BottleAnswer } from '#contract/api';
import { type Stored, storageGroups } from '#run/care';
import { useSaveBench } from '../api/queries.ts';
import { today } from '../parts/day.ts';
import { useCompute } from '../worker/compute.ts';

/** The shelf by place: what stands beside what, in which group it belongs, and what must be parted. */
export function PlacesView({ bottles, bench }: { bottles: readonly BottleAnswer[]; bench: BenchAnswer }) {
  const save = useSaveBench();
  const away = bench.bench.away ?? NONE;
  const { value } = useCompute(
    'places',
    useMemo(
      () => ({
        shelf: bottles.map(({ id, card, usedG, archived }) => ({ id, card, usedG, archived })),
        away,
        bench: bench.bench,
        day: today(),
      }),
      [bottles, away, bench.bench],
    ),
  );
  if (!value) return <p className="waiting-block">Looking at what stands beside what …</p>;
  const names = new Map(value.stored.map(({ id, name }) => [id, name]));
  const places = [...new Set(value.stored.map(({ place }) => place))].sort(
    (a, b) => Number(a === '') - Number(b === '') || a.localeCompare(b),
  );
  const remove = (id: string) =>
    save.mutate({ basedOn: bench.version, bench: { ...bench.bench, away: away.filter((each) => each.id !== id) } });
  return (
    <section aria-label="By place">
      {value.apart.map(({ place, ids, severity, says }) => (
        <p key={ids.join()} className={severity === 'refuse' ? 'caution caution-stop' : 'caution'} role="alert">
          <b>
            {names.get(ids[0])} and {names.get(ids[1])} both stand on {place}: part them.
          </b>{' '}
          {says}
        </p>
      ))}
      {value.apart.length === 0 ? <p className="quiet">Nothing that stands in one place is known to clash.</p> : null}
      {value.unplaced > 0 ? (
        <p className="quiet">{value.unplaced} have no place yet: edit a bottle and say where it stands.</p>
      ) : null}
      <div className="places">
        {places.map((place) => (
          <section key={place} className="place" aria-label={place === '' ? 'no place yet' : place}>
            <h2>{place === '' ? 'No place yet' : place.charAt(0).toUpperCase() + place.slice(1)}</h2>
            {storageGroups.map((group) => {
              const here = value.stored.filter((each) => each.place === place && each.group === group);
              if (here.length === 0) return null;
              return (
                <div key={group} className="place-group" data-group={group}>
                  <h3>{group}</h3>
                  <ul>
                    {here.map((each) => (
                      <Item key={each.id} each={each} onRemove={() => remove(each.id)} />
                    ))}
                  </ul>
                </div>
              );
            })}
          </section>
        ))}
      </div>
    </section>
  );
}

const NONE: readonly { readonly id: string; readonly place: string }[] = [];

function Item({ each, onRemove }: { each: Stored; onRemove: () => void }) {
  const asks = each.asks.length > 0 ? <span className="quiet small"> {each.asks.join(' · ')}</span> : null;
  if (each.group === 'keep away')
    return (
      <li>
        {each.name}
        {asks}{' '}
        <button type="button" className="link small" aria-label={`Take ${each.name} off`} onClick={onRemove}>
          gone
        </button>
      </li>
    );
  return (
    <li>
      <Link to={`/shelf/${each.id}?view=places`}>{each.name}</Link>
      {asks}
    </li>
  );
}
