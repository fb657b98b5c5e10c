import { Segmented } from 'antd';
import { formatNumber } from '#base/units';
import type { RecordAnswer, Went } from '#run/outcome';
import { Num } from '../parts/num.tsx';

/** Where all went that could have come: drawn as one bar that closes to 100 %, each part with what would bring it back. */
export function WhereItWent({
  record,
  onBasis,
}: {
  record: RecordAnswer | undefined;
  onBasis: (role: string) => void;
}) {
  if (!record?.went) return null;
  const { went, bases, literature } = record;
  return (
    <section aria-labelledby="where-it-went">
      <h2 id="where-it-went">Where it went</h2>
      <p className="quiet small">
        Of <Num bare figure={went.all} /> of product that the {went.of} could give
        {went.found ? '' : '; not weighed yet, so the product is what is expected'}.
      </p>
      {bases.length > 1 ? (
        <Segmented
          size="small"
          aria-label="Counted on"
          options={bases.map(({ role, name }) => ({ value: role, label: name }))}
          value={went.role}
          onChange={onBasis}
        />
      ) : null}
      <div className="went-bar" aria-hidden="true">
        {went.parts
          .filter(({ pct }) => pct > 0)
          .map(({ id, pct }) => (
            <span key={id} className={`went went-${id}`} style={{ flexGrow: pct }} />
          ))}
      </div>
      <ul className="went-list">
        {went.parts.map((part) => (
          <Part key={part.id} part={part} />
        ))}
      </ul>
      {literature ? (
        <p className="small">
          Usual by this way: {formatNumber(literature.pct[1], 3)} % ({literature.pct[0]} to {literature.pct[2]} %) of
          the {literature.basis}, lost to{' '}
          {literature.loss.map(([cause, share]) => `${cause} (${share} % of the loss)`).join(', ')}.
        </p>
      ) : null}
    </section>
  );
}

function Part({ part: { id, name, mol, pct, back } }: { part: Went }) {
  return (
    <li>
      <i className={`went went-${id}`} aria-hidden="true" />
      <b className="mono">{formatNumber(pct, pct < 10 ? 2 : 3)} %</b> {name} <Num bare figure={mol} />
      {back ? <span className="quiet small"> {back}</span> : null}
    </li>
  );
}
