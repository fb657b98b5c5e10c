import { Fragment } from 'react';
import { type Figure, isAbout, type WorkingLine, workingOf } from '#base/figure';
import { budget } from '#base/units';

/** How a number came about, line by line, with the source of every datum. */
export function Working({ figure, onClose }: { figure: Figure; onClose?: () => void }) {
  const lines = workingOf(figure);
  const sources = [
    ...new Set(lines.flatMap((line) => (line.grade && line.source ? [`${line.source}, grade ${line.grade}`] : []))),
  ];
  const shares = budget(figure)
    .filter((each) => each.share >= 0.01)
    .slice(0, 4);
  return (
    <section className="working" aria-label={`Working of ${figure.name}`}>
      <div className="working-head">
        <h2>Working</h2>
        {onClose ? (
          <button type="button" className="link" onClick={onClose} aria-label="Close the working">
            close
          </button>
        ) : null}
      </div>
      <p className="quiet small">
        {figure.name}
        {isAbout(figure) ? ', about: a rough model takes part' : ''}
      </p>
      <ol className="working-lines">
        {lines.map((line, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the lines are an ordered text
          <Fragment key={i}>
            <Line
              line={line}
              note={line.grade && line.source ? sources.indexOf(`${line.source}, grade ${line.grade}`) + 1 : 0}
            />
          </Fragment>
        ))}
      </ol>
      {shares.length > 0 ? (
        <p className="small">
          The ± is a 95 % band: {shares.map((each) => `${Math.round(each.share * 100)} % ${each.name}`).join(', ')}.
        </p>
      ) : null}
      {sources.map((source, i) => (
        <p key={source} className="quiet small">
          [{i + 1}] {source}
        </p>
      ))}
    </section>
  );
}

function Line({ line, note }: { line: WorkingLine; note: number }) {
  const mark = note > 0 ? <span className="quiet small"> [{note}]</span> : null;
  if (!line.formula) {
    return (
      <li>
        <span className="quiet small">
          {line.name}
          {line.grade ? '' : ` (${line.source})`}
        </span>
        <br />
        <span className="mono">
          {line.symbol} = <b>{line.result}</b> {line.unit}
        </span>
        {mark}
      </li>
    );
  }
  const same = line.numbers === line.result || line.numbers === line.formula;
  return (
    <li>
      <span className="quiet small">{line.name}</span>
      <br />
      <span className="mono">
        {line.symbol} = {line.formula}
        {same ? '' : <> = {line.numbers}</>} = <b>{line.result}</b> {line.unit}
      </span>
      {mark}
    </li>
  );
}
