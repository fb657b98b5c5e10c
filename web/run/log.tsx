import { Input } from 'antd';
import { useState } from 'react';
import { parseReading, readingLeast, readingProblem } from '#base/reading';
import { formatNumber } from '#base/units';
import type { EventBody, LogLine } from '#run/log';
import { usePhotoSource, usePhotos } from '../api/photos.ts';
import { instantText } from '../parts/day.ts';
import { span } from '../parts/due-text.ts';
import { plainText } from '../parts/sentence.tsx';
import type { Run } from './use-run.ts';

const SHOWN = 40;

/** The log: newest first, corrections beside what they correct, late entries with both times. */
export function Log({ run }: { run: Run }) {
  const { log } = run.state;
  const [all, setAll] = useState(false);
  const [open, setOpen] = useState<string | null>(null);
  const lines = log.filter((line) => line.kind !== 'acknowledged');
  return (
    <section aria-label="Log" style={{ marginTop: 20 }}>
      <h2>Log</h2>
      {lines.some(({ attachmentId }) => attachmentId) ? <PhotosSaid batchId={run.batch.id} /> : null}
      {lines.length === 0 ? <p className="quiet">Nothing is entered yet.</p> : null}
      <ul className="log">
        {lines.slice(0, all ? undefined : SHOWN).map((line) => (
          <li key={line.eventId}>
            <span className="quiet">
              {instantText(line.at)}
              {line.giveOrTakeMin > 0 ? ` ± ${span(line.giveOrTakeMin * 60_000)}` : ''}
            </span>
            <span>
              {line.struck ? <del>{line.text}</del> : line.text}
              {line.was !== null && !line.struck ? <del> was: {line.was}</del> : null}
              {line.reason ? <span className="quiet"> ({line.reason})</span> : null}
              <span className="quiet small">
                {' '}
                {stepName(run, line)}
                {line.late ? `, written ${instantText(line.writtenAt)}` : ''}
                {run.waiting.has(line.eventId) ? ', waiting to be sent' : ''}
              </span>
              {line.attachmentId ? (
                <Photo id={line.attachmentId} says={line.text} waiting={run.waiting.has(line.eventId)} />
              ) : null}
              {open === line.eventId ? <Correct run={run} line={line} onClose={() => setOpen(null)} /> : null}
            </span>
            {line.struck || run.state.status === 'abandoned' || !CORRECTABLE.has(line.kind) ? (
              <span />
            ) : (
              <button
                type="button"
                className="link small"
                aria-expanded={open === line.eventId}
                onClick={() => setOpen(open === line.eventId ? null : line.eventId)}
              >
                correct
              </button>
            )}
          </li>
        ))}
      </ul>
      {lines.length > SHOWN && !all ? (
        <button type="button" className="link" onClick={() => setAll(true)}>
          all {lines.length} entries
        </button>
      ) : null}
    </section>
  );
}

/** A small picture that leads to the whole one. */
function Photo({ id, says, waiting }: { id: string; says: string; waiting: boolean }) {
  const source = usePhotoSource(id, waiting);
  const picture = <img className="photo" src={source} alt={says} loading="lazy" />;
  if (!source) return null;
  return waiting ? (
    picture
  ) : (
    <a href={`/api/attachments/${id}`} target="_blank" rel="noreferrer" title="the whole picture">
      {picture}
    </a>
  );
}

/** How many photos there are, and how much they take. */
function PhotosSaid({ batchId }: { batchId: string }) {
  const { data } = usePhotos(batchId);
  if (!data || data.count === 0) return null;
  return (
    <p className="quiet small">
      {data.count === 1 ? '1 photo' : `${data.count} photos`}, {formatNumber(data.bytes / 1e6, 2)} MB.
    </p>
  );
}

const CORRECTABLE = new Set<EventBody['kind']>([
  'added',
  'read',
  'noted',
  'portion-taken',
  'finished',
  'started',
  'step-skipped',
  'photographed',
  'abandoned',
]);

function stepName(run: Run, line: LogLine): string {
  const step = run.state.steps.find((each) => each.key === line.step);
  return step ? `· ${plainText(step.title)}` : '';
}

/** A correction is a new entry; the old one stays readable. */
function Correct({ run, line, onClose }: { run: Run; line: LogLine; onClose: () => void }) {
  const body = bodyOf(run, line.eventId);
  const unit = body && 'reading' in body && 'unit' in body.reading ? body.reading.unit : '';
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  if (!body) return null;
  const value = 'reading' in body || body.kind === 'noted';
  const replace = () => {
    if (body.kind === 'noted') {
      if (text.trim() === '') return setProblem('What should it say?');
      run.enter({ kind: 'corrected', of: line.eventId, body: { ...body, text: text.trim() }, reason: '' });
      return onClose();
    }
    if (!('reading' in body)) return;
    const read = parseReading(text, unit);
    if (!read.ok) return setProblem(read.problem.message);
    if (body.kind !== 'read' && read.value.is === 'word') return setProblem('An amount is needed here, such as 17.3.');
    if (body.kind !== 'read' && (readingLeast(read.value) ?? 0) < 0) return setProblem('An amount is 0 or more.');
    const senseless = body.kind === 'read' ? readingProblem(body.quantity, read.value) : '';
    if (senseless) return setProblem(senseless);
    run.enter({ kind: 'corrected', of: line.eventId, body: { ...body, reading: read.value }, reason: '' });
    onClose();
  };
  return (
    <form
      className="row"
      onSubmit={(event) => {
        event.preventDefault();
        replace();
      }}
    >
      {value ? (
        <>
          <Input
            aria-label="What it should say"
            autoFocus
            style={{ maxWidth: 220 }}
            value={text}
            suffix={unit}
            maxLength={4000}
            onChange={(event) => {
              setText(event.target.value);
              setProblem('');
            }}
          />
          <button type="submit" className="link">
            put right
          </button>
        </>
      ) : null}
      <button
        type="button"
        className="link"
        onClick={() => {
          run.enter({ kind: 'corrected', of: line.eventId, body: null, reason: 'struck out' });
          onClose();
        }}
      >
        strike it out
      </button>
      {problem ? (
        <span className="problem small" role="alert">
          {problem}
        </span>
      ) : null}
    </form>
  );
}

/** The entry's body as it stands after earlier corrections. */
function bodyOf(run: Run, eventId: string): EventBody | undefined {
  const { events } = run;
  const own = events.find((event) => event.id === eventId)?.body;
  const corrected = events.filter(({ body }) => body.kind === 'corrected' && body.of === eventId).at(-1)?.body;
  return corrected?.kind === 'corrected' ? (corrected.body ?? undefined) : own;
}
