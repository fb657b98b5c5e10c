import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { workingText } from '#base/figure';
import { hoursSaid } from '#base/time';
import { formatNumber, formatPlain } from '#base/units';
import { sentenceOf } from '../api/client.ts';
import { useBatches } from '../api/queries.ts';
import { dayText, instantText, today } from '../parts/day.ts';
import { Lessons } from '../parts/lessons.tsx';
import { Num, NumRow } from '../parts/num.tsx';
import { plainText } from '../parts/sentence.tsx';
import { type Run, useRun } from '../run/use-run.ts';
import { useRecordOf } from '../worker/run-session.ts';
import { ChainYield } from './chain-yield.tsx';
import { FoundLater } from './found-later.tsx';
import { Fractions } from './fractions.tsx';
import { ScaleUp, type Times } from './scale-up.tsx';
import { ToShelf } from './to-shelf.tsx';
import { WhereItWent } from './where-it-went.tsx';
import './record.css';

// Its form is wanted seldom, and years later.
const NotMeasured = lazy(async () => ({ default: (await import('./not-measured.tsx')).NotMeasured }));

export function RecordPage() {
  const { batchId } = useParams();
  const { run, error, problem } = useRun(batchId);
  if (!run)
    return (
      <p className={error || problem ? 'problem' : 'waiting-block'}>
        {error ? sentenceOf(error) : problem || 'Loading the record …'}
      </p>
    );
  return <Record run={run} />;
}

const STATUS = {
  planned: 'planned, not begun',
  running: 'on the bench',
  done: 'finished',
  abandoned: 'abandoned',
} as const;

/** One batch as a page: what went in, what came of it, and all that was entered. Prints fit for a binder. */
function Record({ run }: { run: Run }) {
  const { batch, state } = run;
  const { sheet } = state;
  const [basis, setBasis] = useState<string | null>(null);
  const [by, setBy] = useState<Times>({ factor: 4, batches: 1 });
  const { number } = batch;
  const asked = useMemo(
    () => ({
      number,
      today: today(),
      basis,
      by: { factor: by.factor ?? Number.NaN, batches: by.batches ?? Number.NaN },
    }),
    [number, basis, by],
  );
  const { value: record } = useRecordOf(run.open, asked);
  return (
    <article className="record">
      <h1>{state.title}</h1>
      <p className="quiet">
        batch {batch.number} · {STATUS[state.status]}
        {state.startedAt ? ` · ${dayText(state.startedAt)}` : ''}
        {state.finishedAt ? ` to ${dayText(state.finishedAt)}` : ''} · {sheet.route.title}
      </p>
      <p className="row no-print">
        <button type="button" className="link" onClick={() => window.print()}>
          Print the page
        </button>
        <a href={`/api/export/batches/${batch.id}.md`} download>
          As Markdown
        </a>
        {state.status === 'running' || state.status === 'planned' ? (
          <Link to={`/bench/${batch.id}`}>To the bench</Link>
        ) : null}
        <OtherAttempts run={run} />
        <ToShelf run={run} card={record?.product} />
        <DoAgain run={run} />
      </p>
      {state.abandonedFor ? (
        <p className="caution">
          <b>Abandoned.</b> {state.abandonedFor}
        </p>
      ) : null}
      <Outcome run={run} />
      {state.status === 'done' && !state.assumed.isMeasured ? (
        <Suspense>
          <NotMeasured run={run} />
        </Suspense>
      ) : null}
      <ChainYield run={run} />
      <WhereItWent record={record} onBasis={setBasis} />
      <ScaleUp run={run} record={record} by={by} onBy={setBy} />
      <FoundLater batchId={batch.id} />
      <Fractions record={record} />
      <h2>What went in</h2>
      {state.assumed.amounts === '' ? null : (
        <p className="watch">Taken as planned, since nothing was entered: {state.assumed.amounts}.</p>
      )}
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">from</th>
            <th scope="col" className="right">
              planned
            </th>
            <th scope="col" className="right">
              went in
            </th>
            <th scope="col" className="right">
              amount
            </th>
          </tr>
        </thead>
        <tbody>
          {sheet.additions.map((line) => (
            <tr key={line.step}>
              <td>
                {line.name} {line.limiting ? <b>limits</b> : null}
              </td>
              <td className="right">
                {formatPlain(line.dose.take.value)} {line.dose.take.unit}
              </td>
              <td className="right">
                {line.actual ? <Num figure={line.actual} /> : <WentIn isDone={isDone(state, line.step)} />}
              </td>
              <td className="right">{line.bottleId ? <Num figure={line.amount} /> : ''}</td>
            </tr>
          ))}
          {sheet.besides.map((each, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the same bottle may go in twice; they only ever grow at the end
            <tr key={i}>
              <td>
                {each.name} <span className="quiet">besides</span>
              </td>
              <td className="right">–</td>
              <td className="right">
                <Num figure={each.mass} />
              </td>
              <td className="right">{each.amount ? <Num figure={each.amount} /> : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {sheet.route.reaction ? <p>{sheet.route.reaction}</p> : null}
      {state.portions.length > 0 ? (
        <>
          <h2>Test portions</h2>
          <ul>
            {state.portions.map((each) => (
              <li key={each.eventId}>
                {each.taken} for {each.purpose}
                {each.returned ? ', returned' : ', not returned'}
                {each.forBatch ? (
                  <>
                    ; for the whole batch <Num figure={each.forBatch} />
                  </>
                ) : null}
              </li>
            ))}
          </ul>
        </>
      ) : null}
      <Lessons
        title="Lessons"
        which={(each) => each.batchId === batch.id || (each.routeId === batch.plan.route.id && each.step === null)}
        attach={{ routeId: batch.plan.route.id, step: null, bottleId: null, batchId: batch.id }}
      />
      <h2>Steps</h2>
      <table className="plain-table">
        <tbody>
          {state.steps.map((step) => (
            <tr key={step.key}>
              <td>{plainText(step.title)}</td>
              <td>{step.status === 'skipped' ? `skipped: ${step.skippedFor}` : step.status}</td>
              <td className="right">{step.finishedAt ? instantText(step.finishedAt) : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2>Entries</h2>
      <table className="plain-table">
        <tbody>
          {[...state.log].reverse().map((line) => (
            <tr key={line.eventId}>
              <td>
                {instantText(line.at)}
                {line.giveOrTakeMin > 0 ? ` ± ${hoursSaid(line.giveOrTakeMin / 60)}` : ''}
              </td>
              <td>
                {line.struck ? <del>{line.text}</del> : line.text}
                {line.was && !line.struck ? ` (was: ${line.was})` : ''}
                {line.reason && line.reason !== 'struck out' ? ` (${line.reason})` : ''}
                {line.late ? <span className="quiet"> written {instantText(line.writtenAt)}</span> : null}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {state.log.length === 0 ? <p className="quiet">Nothing is entered yet.</p> : null}
      {state.yield ? (
        <section className="only-print">
          <h2>Working of the yield</h2>
          <pre style={{ whiteSpace: 'pre-wrap', fontSize: '8.5pt' }}>{workingText(state.yield.yieldPct)}</pre>
        </section>
      ) : null}
      <p className="quiet small">Route after: {sheet.route.source}. ± are 95 % bands.</p>
    </article>
  );
}

/** The same once more, as it was really done: with the steps that were inserted at the bench. */
function DoAgain({ run }: { run: Run }) {
  const navigate = useNavigate();
  if (run.state.status !== 'done' || !run.batch.plan.route.id.startsWith('own-')) return null;
  const again = async () => {
    const { draftAgain } = await import('../parts/own-draft.ts');
    await navigate('/plan/own', { state: { own: draftAgain(run.batch.plan, run.events) } });
  };
  return (
    <button type="button" className="link" onClick={() => void again()}>
      Do it again so
    </button>
  );
}

/** The last attempts at the same product, to set this one beside. */
function OtherAttempts({ run }: { run: Run }) {
  const batches = useBatches();
  const { id, plan } = run.batch;
  const others = (batches.data ?? [])
    .filter((each) => each.id !== id && each.routeId === plan.route.id && each.status !== 'planned')
    .slice(0, 3);
  if (others.length === 0) return null;
  const ids = [id, ...others.map((each) => each.id)].join(',');
  return (
    <Link to={`/record/compare?batches=${ids}`}>
      {others.length === 1 ? 'Beside the other attempt' : `Beside ${others.length} other attempts`}
    </Link>
  );
}

const OVER = {
  clearly: 'Over 100 %: something is counted that is not product.',
  'within-uncertainty': 'Over 100 %, within its uncertainty.',
  no: 'This wants a second look.',
} as const;

const isDone = ({ steps }: Run['state'], key: string) =>
  steps.some((step) => step.key === key && step.status === 'done');

/** What stands where no amount was entered. */
function WentIn({ isDone }: { isDone: boolean }) {
  return isDone ? <span className="quiet">as planned</span> : <>–</>;
}

function Outcome({ run }: { run: Run }) {
  const { state } = run;
  const { yield: account, sheet, weighing } = state;
  if (account) {
    return (
      <section aria-label="Yield">
        <p className="yield-line">
          <Num figure={account.yieldPct} big /> yield, <Num figure={account.mass} /> of{' '}
          <Num figure={account.theory} bare shown={formatNumber(account.theory.value, 4)} /> that {account.of} could
          give
        </p>
        {sheet.made || run.batch.plan.route.makes.kind === 'liquid' ? null : (
          <p className={weighing.constant ? 'within' : 'watch'}>{weighing.sentence}</p>
        )}
        {state.hydrate ? (
          <p className={state.hydrate.says === 'as its formula' ? 'quiet' : 'watch'}>{state.hydrate.sentence}</p>
        ) : null}
        {account.explanations.length === 0 ? null : (
          <div className="caution">
            <b>{OVER[account.over]}</b>
            <ul className="explain">
              {account.explanations.map((each) => (
                <li key={each}>{each}</li>
              ))}
            </ul>
          </div>
        )}
      </section>
    );
  }
  if (sheet.made) {
    return (
      <section aria-label="Made">
        <dl className="figures" style={{ maxWidth: 420 }}>
          <NumRow label="strength">
            <Num figure={sheet.made.strength} />
          </NumRow>
          <NumRow label="by mass">
            <Num figure={sheet.made.pct} />
          </NumRow>
        </dl>
        <p>{sheet.uncertainty.sentence}</p>
      </section>
    );
  }
  return <p className="quiet">{sheet.product ? 'Not weighed yet: the yield follows from the dry mass.' : ''}</p>;
}
