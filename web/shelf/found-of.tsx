import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { BottleAnswer } from '#contract/api';
import { type BottleEventBody, goodFor } from '#matter/stock';
import type { TestsFor } from '#model/assay';
import { useBatches, useBottles } from '../api/queries.ts';
import { Field } from '../kit/field.tsx';
import { dayText } from '../parts/day.ts';
import { useCompute } from '../worker/compute.ts';

interface FoundOfProps {
  readonly bottle: BottleAnswer;
  readonly send: (body: BottleEventBody) => void;
}

/** What was measured and tested of a bottle, and what may be. */
export function FoundOf({ bottle, send }: FoundOfProps) {
  const { card, assays, tests, id } = bottle;
  const asked = useMemo(() => ({ substanceId: card.substanceId }), [card.substanceId]);
  const { value } = useCompute('tests', asked);
  return (
    <>
      <GoodEnough bottle={bottle} />
      <h3 style={{ marginTop: 14 }}>What was found</h3>
      {assays.length === 0 && tests.length === 0 ? (
        <p className="quiet small">Nothing yet: all that is known is what the label says.</p>
      ) : null}
      <ul className="lineage">
        {assays.map(({ eventId, at, said, measured }) => (
          <li key={eventId}>
            {dayText(at)}: <Link to={`/assay/run/${measured.assayId}`}>{said}</Link>{' '}
            <span className="quiet small">{measured.method}</span>
          </li>
        ))}
        {tests.map(({ eventId, at, test, outcome, seen }) => (
          <li key={eventId}>
            {dayText(at)}: {test}, <span className={outcome === 'as expected' ? 'within' : 'watch'}>{outcome}</span>
            {seen ? <span className="quiet small"> “{seen}”</span> : null}
          </li>
        ))}
      </ul>
      <p>
        <Link to={`/assay/of/${id}`} className="link">
          Find out how strong it is
        </Link>
      </p>
      {value ? <Tests tests={value} send={send} batchId={card.fromBatch} /> : null}
    </>
  );
}

/** What it is good enough for: by itself, and by the poorest that went into it. */
function GoodEnough({ bottle }: { bottle: BottleAnswer }) {
  const bottles = useBottles();
  const batches = useBatches();
  const from = batches.data?.find(({ id }) => id === bottle.card.fromBatch)?.bottles ?? [];
  const ancestors = (bottles.data ?? []).filter(({ id }) => id !== bottle.id && from.includes(id));
  const { use, because, heldBackBy } = goodFor(bottle, ancestors);
  return (
    <p className="small">
      <b>Good enough for {use}</b>
      {heldBackBy ? `, held back by ${heldBackBy}` : ''}
      {because ? `: ${because}.` : '.'} <span className="quiet">A rule of thumb.</span>
    </p>
  );
}

interface TestsProps {
  readonly tests: TestsFor;
  readonly send: FoundOfProps['send'];
  /** The batch that it came from: what is seen is of that batch too. */
  readonly batchId: string | null;
}

function Tests({ tests, send, batchId }: TestsProps) {
  if (tests.identity.length + tests.limit.length === 0) return null;
  return (
    <details>
      <summary>Is it what it says? {tests.identity.length > 0 ? 'Identity' : 'Limit'} tests</summary>
      {tests.identity.map((each) => (
        <TestOf key={`${each.of}${each.reagents}`} test={each} send={send} batchId={batchId} />
      ))}
      {tests.limit.length > 0 ? <p className="small">What else may be in it:</p> : null}
      {tests.limit.map((each) => (
        <TestOf key={each.of} test={each} send={send} batchId={batchId} />
      ))}
    </details>
  );
}

const OUTCOMES = ['as expected', 'not as expected', 'in doubt'] as const;

interface TestOfProps extends Omit<TestsProps, 'tests'> {
  readonly test: TestsFor['identity'][number];
}

function TestOf({ test, send, batchId }: TestOfProps) {
  const [seen, setSeen] = useState('');
  const name = test.kind === 'identity' ? `identity, by ${test.reagents}` : `limit of ${test.of}`;
  return (
    <details className="small">
      <summary>{name}</summary>
      <p>{test.procedure}</p>
      <p>
        <b>Expect:</b> {test.expected}.
      </p>
      {test.sameFrom ? (
        <p>
          <b>The same from:</b> {test.sameFrom}. <b>Ruled out by:</b> {test.ruledOutBy || 'nothing held'}.
        </p>
      ) : null}
      {test.detects ? <p className="quiet">Sees from about {test.detects} mg/L on.</p> : null}
      {test.caution ? <p className="watch">{test.caution}.</p> : null}
      <Field label="What you saw">
        {(bound) => <Input {...bound} value={seen} maxLength={300} onChange={(event) => setSeen(event.target.value)} />}
      </Field>
      <div className="row">
        {OUTCOMES.map((outcome) => (
          <button
            key={outcome}
            type="button"
            className="link"
            onClick={() => send({ kind: 'tested', test: name.slice(0, 120), outcome, seen, batchId })}
          >
            {outcome}
          </button>
        ))}
      </div>
    </details>
  );
}
