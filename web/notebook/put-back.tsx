import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { BackupAnswer, NotebookCounts } from '#contract/api';
import { sendFile, sentenceOf } from '../api/client.ts';
import { FileChoice } from '../kit/file-choice.tsx';
import { instantText } from '../parts/day.ts';

/** A backup is looked at first, beside what is here; then it takes its place. */
export function PutBack() {
  const [file, setFile] = useState<File | null>(null);
  const look = useMutation({ mutationFn: (chosen: File) => sendFile<BackupAnswer>('POST', '/backup/look', chosen) });
  const restore = useMutation({
    mutationFn: (chosen: File) => sendFile<NotebookCounts>('POST', '/backup/restore', chosen),
    // Everything the page knows is of the notebook that was.
    onSuccess: () => window.location.assign('/shelf'),
  });
  const choose = (chosen: File) => {
    setFile(chosen);
    restore.reset();
    look.mutate(chosen);
  };
  const leave = () => {
    setFile(null);
    look.reset();
    restore.reset();
  };
  return (
    <div className="way-in">
      <FileChoice label="Put a backup back …" accept=".zip,.db" onFile={choose} />
      {look.isPending ? <p className="quiet">Looking through {file?.name} …</p> : null}
      {look.isError ? <p className="problem">{sentenceOf(look.error)}</p> : null}
      {look.data && file ? (
        <div className="looked">
          <table className="plain-table">
            <thead>
              <tr>
                <th scope="col">{file.name}</th>
                <th scope="col" className="right">
                  in it
                </th>
                <th scope="col" className="right">
                  here now
                </th>
              </tr>
            </thead>
            <tbody>
              {COUNTED.map((name) => (
                <tr key={name}>
                  <td>{name}</td>
                  <td className="right">
                    {name === 'photos' && !look.data.photos ? 'not in a copy: stay' : look.data.holds[name]}
                  </td>
                  <td className="right">{look.data.here[name]}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p>
            {look.data.writtenAt ? `Written ${instantText(look.data.writtenAt)}. ` : ''}It takes the place of all that
            is here. What is here now is not deleted: it goes into a folder “before-restore” beside it.
          </p>
          <p className="row">
            <button type="button" className="act" disabled={restore.isPending} onClick={() => restore.mutate(file)}>
              {restore.isPending ? 'Putting it back …' : 'Put it in the place of what is here'}
            </button>
            <button type="button" className="link" disabled={restore.isPending} onClick={leave}>
              Leave all as it is
            </button>
          </p>
          {restore.isError ? <p className="problem">{sentenceOf(restore.error)}</p> : null}
        </div>
      ) : null}
    </div>
  );
}

const COUNTED = ['bottles', 'batches', 'entries', 'photos'] as const;
