import { useQuery } from '@tanstack/react-query';
import { itemAt } from '#base/lookup';
import type { CopyAnswer } from '#contract/api';
import { request, sentenceOf } from '../api/client.ts';
import { useBatches, useBottles } from '../api/queries.ts';
import { dayText } from '../parts/day.ts';
import { BringIn } from './bring-in.tsx';
import { Devices } from './devices.tsx';
import { megabytes } from './megabytes.ts';
import { PutBack } from './put-back.tsx';
import './notebook.css';

/** What is kept of the bench, and how it goes out and back: backups, open formats, other devices. */
export function NotebookPage() {
  const bottles = useBottles();
  const batches = useBatches();
  return (
    <div className="notebook">
      <h1>Notebook</h1>
      <p className="quiet">
        Everything you entered is on this machine alone
        {bottles.data && batches.data
          ? `: ${counted(bottles.data.length, 'bottle', 'bottles')}, ${counted(batches.data.length, 'batch', 'batches')}`
          : ''}
        . Take a backup away now and then, on a stick or another machine: a disk can die.
      </p>
      <section aria-labelledby="keep">
        <h2 id="keep">Backup</h2>
        <p>
          <a href="/api/backup" download className="act">
            Take a backup away
          </a>{' '}
          <span className="quiet">
            everything with its photos, in one archive that was opened again before you get it
          </span>
        </p>
        <Copies />
        <PutBack />
      </section>
      <section aria-labelledby="open">
        <h2 id="open">In open formats</h2>
        <ul className="formats">
          <li>
            <a href="/api/export" download>
              Whole notebook
            </a>
            <span className="quiet">
              a zip of JSON with its schemas, readings as CSV, each batch as a page with its pictures; comes back by
              “bring in”
            </span>
          </li>
          <li>
            <a href="/api/export/shelf.csv" download>
              Bottles
            </a>
            <span className="quiet">the shelf as a table, CSV</span>
          </li>
          <li>
            <a href="/api/export/record.csv" download>
              Batches
            </a>
            <span className="quiet">the record as a table, CSV</span>
          </li>
        </ul>
        <BringIn />
      </section>
      <Devices />
    </div>
  );
}

/** The copies that the notebook made of itself. */
function Copies() {
  const copies = useQuery({
    queryKey: ['copies'],
    queryFn: () => request<readonly CopyAnswer[]>('GET', '/backup/copies'),
  });
  if (copies.isLoadingError) return <p className="problem">{sentenceOf(copies.error)}</p>;
  if (!copies.data) return <p className="waiting-block">Looking for its copies …</p>;
  if (copies.data.length === 0)
    return <p className="quiet">No copy of its own yet: one is made each day that it runs, in its folder “copies”.</p>;
  return (
    <details>
      <summary>
        {copies.data.length === 1 ? '1 copy' : `${copies.data.length} copies`} of its own, the last of{' '}
        {dayText(itemAt(copies.data, 0).day)}
      </summary>
      <ul className="formats">
        {copies.data.map(({ name, day, bytes }) => (
          <li key={name}>
            <a href={`/api/backup/copies/${name}`} download>
              {dayText(day)}
            </a>
            <span className="quiet">{megabytes(bytes)}, without photos</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

function counted(n: number, one: string, more: string): string {
  return `${n} ${n === 1 ? one : more}`;
}
