import { Select } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { formatNumber } from '#base/units';
import type { AccidentCard, Pour } from '#run/care';
import type { RunState } from '#run/state';
import { sentenceOf } from '../api/client.ts';
import { useBottles } from '../api/queries.ts';
import { InMargin } from '../parts/margin.tsx';
import { type Run, useRun } from '../run/use-run.ts';
import { useCompute } from '../worker/compute.ts';
import { MishapEntry } from './mishap-entry.tsx';
import { Scoops } from './scoops.tsx';
import { WallCard } from './wall-card.tsx';
import { Waste } from './waste.tsx';
import './care.css';

/** If it goes wrong: what to do now with what is in the vessel, a card for the wall, and what becomes of the rest. */
export function AccidentPage() {
  const { batchId } = useParams();
  const { run, error, problem } = useRun(batchId);
  if (run) return <Accident key={run.batch.id} run={run} />;
  if (error) return <p className="problem">{sentenceOf(error)}</p>;
  if (problem) return <p className="problem">{problem}</p>;
  return <p className="waiting-block">Loading the run …</p>;
}

function Accident({ run }: { run: Run }) {
  const { batch, events, state } = run;
  const bottles = useBottles();
  const [search, setSearch] = useSearchParams();
  const care = useCompute(
    'care',
    useMemo(
      () => ({
        plan: batch.plan,
        events,
        shelf: (bottles.data ?? []).map(({ id, card, usedG, archived }) => ({ id, card, usedG, archived })),
      }),
      [batch.plan, events, bottles.data],
    ),
  );
  const [chosen, setChosen] = useState<string | null>(null);
  const { value } = care;
  const shown = value?.cards.find(({ vessel }) => vessel === chosen) ?? value?.cards[0];
  const what = search.get('what') ?? 'it spilled';
  const title = `${state.title}, batch ${batch.number}`;
  if (care.problem) return <p className="problem">{care.problem.message}</p>;
  if (!value) return <p className="waiting-block">Looking at what is in the vessel …</p>;
  return (
    <div className="accident">
      <section className="accident-now" aria-label="What to do now">
        <h1>
          {capital(what)}{' '}
          <span className="quiet">
            {title}
            {shown ? `: ${shown.planned ? 'as planned, ' : ''}${shown.card.of}` : ''}
          </span>
        </h1>
        <p className="row no-print">
          <Link to={`/bench/${batch.id}`}>Back to the step</Link>
          {value.cards.length > 1 ? (
            <Select
              aria-label="Which vessel"
              value={shown?.vessel ?? ''}
              options={value.cards.map(({ vessel }) => ({ value: vessel, label: vessel }))}
              onChange={(next) => setChosen(next)}
              style={{ minWidth: 140 }}
            />
          ) : null}
        </p>
        {shown ? <Now card={shown.card} /> : <Nothing card={value.cards[0]?.card} />}
        <MishapEntry
          run={run}
          step={stepOf(state)}
          vessel={shown?.vessel ?? 'pot'}
          what={what}
          onWhat={(next) => setSearch({ what: next }, { replace: true })}
        />
      </section>
      <div className="accident-side">
        {shown ? <WallCard title={title} card={shown.card} day={batch.plan.day} /> : null}
        <Waste plan={value.waste} />
      </div>
      {shown ? (
        <InMargin>
          <Behind card={shown.card} />
        </InMargin>
      ) : null}
    </div>
  );
}

/** The step that an accident is entered at: what runs, else what comes next. */
function stepOf({ steps }: RunState): string {
  const step =
    steps.find(({ status }) => status === 'running') ?? steps.find(({ status }) => status === 'ready') ?? steps[0];
  return step?.key ?? '';
}

function Now({ card }: { card: AccidentCard }) {
  return (
    <>
      <div className="accident-go" data-go={card.go}>
        <strong>{card.go === 'leave' ? 'Leave.' : 'Stay.'}</strong>
        <ul>
          {card.first.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      </div>
      {card.leaveBecause ? <p className="accident-leave">{card.leaveBecause}.</p> : null}
      {card.go === 'stay' ? (
        <p className="accident-leave">
          <b>Leave at once</b> {card.leaveIf}.
        </p>
      ) : null}
      {card.pours.map((pour) => (
        <div key={pour.bottleId + pour.against} className="accident-pour">
          <h2>
            {pour.against === 'hypochlorite' ? 'Pour on, dissolved, ' : 'Strew on '}
            <span className="figure">{formatNumber(pour.grams, 2)} g</span> {pour.name}
            {measured(pour)}
          </h2>
          {pour.measures ? <Scoops count={pour.measures.count} /> : null}
          <p>{pour.how}</p>
          <p className="quiet">
            {pour.place === '' ? 'It has no place on your shelf yet.' : `${capital(pour.place)}.`}{' '}
            {pour.enough
              ? ''
              : `Only ${formatNumber(pour.leftG ?? 0, 2)} g stand there: strew those, then sand and much water.`}
          </p>
        </div>
      ))}
      {card.instead ? <p className="accident-pour">{card.instead}</p> : null}
      {card.neverToDrain ? <p className="quiet">{card.neverToDrain}</p> : null}
      <dl className="accident-aid">
        <dt>In the eye</dt>
        <dd>{card.firstAid.eye}</dd>
        <dt>On skin</dt>
        <dd>{card.firstAid.skin}</dd>
        <dt>Swallowed</dt>
        <dd>{card.firstAid.swallowed}</dd>
        <dt>Breathed</dt>
        <dd>{card.firstAid.breathed}</dd>
      </dl>
      <Calls card={card} />
    </>
  );
}

function Calls({ card }: { card: AccidentCard }) {
  return (
    <dl className="accident-calls">
      {card.calls.map(({ number, what }) => (
        <div key={number + what}>
          <dt>{/\d/.test(number) ? <a href={`tel:${number.replace(/\s/g, '')}`}>{number}</a> : number}</dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  );
}

function Nothing({ card }: { card: AccidentCard | undefined }) {
  return (
    <>
      <p>Nothing is in a vessel of this batch.</p>
      {card ? <Calls card={card} /> : null}
    </>
  );
}

function Behind({ card }: { card: AccidentCard }) {
  return (
    <>
      <section aria-label="In the vessel">
        <h2>In the vessel</h2>
        <dl className="figures">
          {card.inThere.map(({ name, amount }) => (
            <div key={name} className="figure-row">
              <dt>{name}</dt>
              <dd className="mono">{amount}</dd>
            </div>
          ))}
        </dl>
      </section>
      <section aria-label="Working">
        <h2>Working</h2>
        <ul className="working-lines small">
          {card.working.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </section>
      {card.near.length > 0 ? (
        <section aria-label="What stands near">
          <h2>What stands near</h2>
          {card.near.map(({ name, place, severity, says }) => (
            <p key={name} className={severity === 'refuse' ? 'caution caution-stop' : 'caution'}>
              <b>
                {name}
                {place ? `, ${place}` : ''}.
              </b>{' '}
              With it: {says}.
            </p>
          ))}
        </section>
      ) : null}
      <p className="quiet small">
        Numbers are those of your bench, or of your country’s services. Local codes come first.
      </p>
    </>
  );
}

function measured({ measures }: Pour): string {
  return measures ? `, ${measures.count} ${measures.name}${measures.count === 1 ? '' : 's'}` : '';
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
