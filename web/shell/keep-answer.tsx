import { useState } from 'react';
import { Link, useMatch, useSearchParams } from 'react-router';
import { formatNumber } from '#base/units';
import type { VerbOutput } from '#contract/verbs';
import { newId } from '../api/ids.ts';
import { post } from '../api/outbox.ts';
import { useBatch } from '../api/queries.ts';
import { notebookInstant } from '../kit/clock.ts';

/** Lines that ask for an amount of one thing: what a plan may be made for. */
const WANTED =
  /^(?:dilute\s+.+\s+to\s+)?(\d[\d.,]*\s*(?:g|kg|mL|L)\s+(?:[\d.,]+\s*(?:%|mol\/L)\s+)?\p{L}[\p{L}\d ().·]+?)(?:\s+in\s+\S+)?$/u;

/** What becomes of an answer: it goes into the log of the batch that is open, or on to a plan. */
export function KeepAnswer({ text, answer }: { text: string; answer: VerbOutput<'reckon'> }) {
  const batchId = useMatch('/bench/:batchId')?.params.batchId;
  const asked = useSearchParams()[0].get('step');
  const plan = useBatch(batchId).data?.plan;
  const step = asked ?? plan?.route.steps[0]?.id;
  const [kept, setKept] = useState('');
  const said = `${text.trim()} = ${answer.answers
    .slice(0, 4)
    .map((each) => `${each.name} ${formatNumber(each.value, 4)} ${each.unit}`.trim())
    .join(', ')}`;
  const wanted = WANTED.exec(text.trim())?.[1];
  return (
    <p className="small">
      {batchId === undefined || step === undefined ? null : (
        <button
          type="button"
          className="link"
          disabled={kept === text}
          onClick={() => {
            const now = notebookInstant();
            post(batchId, [
              {
                id: newId('ev'),
                happened: { at: now, giveOrTakeMin: 0 },
                writtenAt: now,
                body: { kind: 'noted', step, text: said.slice(0, 500) },
              },
            ]);
            setKept(text);
          }}
        >
          {kept === text ? 'kept in this batch' : 'keep it in this batch'}
        </button>
      )}
      {batchId !== undefined && wanted !== undefined ? ' · ' : null}
      {wanted === undefined ? null : <Link to={`/plan?make=${encodeURIComponent(wanted)}`}>plan {wanted}</Link>}
    </p>
  );
}
