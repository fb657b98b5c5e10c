import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { ImportAnswer } from '#contract/api';
import { sendFile, sentenceOf } from '../api/client.ts';
import { FileChoice } from '../kit/file-choice.tsx';
import { instantText } from '../parts/day.ts';

/** An export of this or another notebook joins what is here; what it will add is said first. */
export function BringIn() {
  const client = useQueryClient();
  const [file, setFile] = useState<File | null>(null);
  const look = useMutation({ mutationFn: (chosen: File) => sendFile<ImportAnswer>('POST', '/import/look', chosen) });
  const take = useMutation({
    mutationFn: (chosen: File) => sendFile<ImportAnswer>('POST', '/import', chosen),
    onSuccess: () => {
      look.reset();
      return client.invalidateQueries();
    },
  });
  const choose = (chosen: File) => {
    setFile(chosen);
    take.reset();
    look.mutate(chosen);
  };
  const adds = look.data ? addsText(look.data) : [];
  return (
    <div className="way-in">
      <FileChoice label="Bring an export in …" accept=".zip" onFile={choose} />
      {look.isPending ? <p className="quiet">Looking through {file?.name} …</p> : null}
      {look.isError ? <p className="problem">{sentenceOf(look.error)}</p> : null}
      {look.data && file ? (
        <div className="looked">
          <p>
            <b>{file.name}</b>, written {instantText(look.data.writtenAt)}.{' '}
            {adds.length > 0 ? `It adds ${adds.join(', ')}.` : 'All that is in it is here already.'}
          </p>
          <Sentences title="Stays as it is here" lines={look.data.kept} />
          <Sentences title="Is left out" lines={look.data.leftOut} />
          <p className="row">
            {adds.length > 0 ? (
              <button type="button" className="act" disabled={take.isPending} onClick={() => take.mutate(file)}>
                {take.isPending ? 'Bringing it in …' : 'Bring it in'}
              </button>
            ) : null}
            <button type="button" className="link" disabled={take.isPending} onClick={() => look.reset()}>
              {adds.length > 0 ? 'Leave it' : 'Well then'}
            </button>
          </p>
          {take.isError ? <p className="problem">{sentenceOf(take.error)}</p> : null}
        </div>
      ) : null}
      {take.data ? (
        <p className="within" role="status">
          Added: {addsText(take.data).join(', ') || 'nothing'}.
        </p>
      ) : null}
    </div>
  );
}

/** Of a long list its beginning is enough to judge it by. */
const MOST = 12;

function Sentences({ title, lines }: { title: string; lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <>
      <h3>{title}</h3>
      <ul>
        {lines.slice(0, MOST).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {lines.length > MOST ? <li className="quiet">and {lines.length - MOST} more</li> : null}
      </ul>
    </>
  );
}

const NAMES: Readonly<Record<Exclude<keyof ImportAnswer['adds'], 'bench'>, readonly [string, string]>> = {
  bottles: ['bottle', 'bottles'],
  batches: ['batch', 'batches'],
  assays: ['assay', 'assays'],
  lessons: ['lesson', 'lessons'],
  routes: ['version of your own routes', 'versions of your own routes'],
  photos: ['photo', 'photos'],
  entries: ['entry of what is here', 'entries of what is here'],
  readings: ['reading', 'readings'],
};

function addsText({ adds }: ImportAnswer): string[] {
  const counted = (Object.keys(NAMES) as (keyof typeof NAMES)[]).flatMap((name) => {
    const n = adds[name];
    return n === 0 ? [] : [`${n} ${NAMES[name][n === 1 ? 0 : 1]}`];
  });
  return adds.bench ? [...counted, 'the bench'] : counted;
}
