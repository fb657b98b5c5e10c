import { useState } from 'react';
import { Link } from 'react-router';
import { exactReading, parseReading, readingValue } from '#base/reading';
import { formatNumber } from '#base/units';
import { type Between, between, chargedOf, pointAt, type StillPoint } from '#model/still';
import { type Fraction, fractionsOf, type StillCut, type StillRun, shelveFraction } from '#run/state';
import { newId } from '#web/api/ids.ts';
import { today } from '#web/parts/day.ts';
import { Num } from '#web/parts/num.tsx';
import type { Run } from '#web/run/use-run.ts';
import { numberOf } from './headline.tsx';

interface FractionsTableProps {
  readonly run: Run;
  readonly still: StillRun;
  readonly points: readonly StillPoint[];
  readonly nowMl: number | null;
}

/** Every receiver: booked, filling, or expected; what it holds, and where it goes. */
export function FractionsTable({ run, still, points, nowMl }: FractionsTableProps) {
  const booked = fractionsOf(run.state, still);
  const charged = chargedOf(still.asked, still.volatile);
  return (
    <div className="still-table-frame">
      <table className="still-table">
        <thead>
          <tr>
            <th scope="col">receiver</th>
            <th scope="col">mL</th>
            <th scope="col">head, °C</th>
            <th scope="col">strength, %</th>
            <th scope="col">recovered</th>
            <th scope="col">goes to</th>
          </tr>
        </thead>
        <tbody>
          {still.cuts.map((cut, i) => {
            const fromMl = still.cuts[i - 1]?.toMl ?? 0;
            const fraction = cut.status === 'done' ? booked.find(({ vessel }) => vessel === cut.into) : undefined;
            if (fraction) return <Booked key={cut.step} {...{ run, still, cut, fraction }} />;
            const running = cut.status === 'running' && nowMl !== null;
            const upTo = running ? Math.min(cut.toMl, Math.max(fromMl, nowMl)) : cut.toMl;
            return (
              <Expected
                key={cut.step}
                cut={cut}
                running={running}
                holds={between(points, [fromMl, cut.toMl], charged)}
                so={running ? between(points, [fromMl, upTo], charged).ml : null}
                head={[pointAt(points, 'headC', fromMl), pointAt(points, 'headC', cut.toMl)]}
                kept={still.kept === cut.into}
              />
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

interface ExpectedProps {
  readonly cut: StillCut;
  readonly running: boolean;
  readonly holds: Between;
  /** mL in it so far. */
  readonly so: number | null;
  readonly head: readonly [number, number];
  readonly kept: boolean;
}

function Expected({ cut, running, holds, so, head, kept }: ExpectedProps) {
  return (
    <tr data-state={running ? 'filling' : 'expected'}>
      <th scope="row">
        <b>{numberOf(cut)}</b> {running ? 'filling' : 'expected'}
      </th>
      <td>{so === null ? formatNumber(holds.ml, 3) : `${formatNumber(so, 3)} of ${formatNumber(holds.ml, 3)}`}</td>
      <td>
        {head[0].toFixed(1)} to {head[1].toFixed(1)}
      </td>
      <td>{cut.into === 'absorber' ? 'as it is charged' : formatNumber(holds.pct, 3)}</td>
      <td>{formatNumber(holds.recoveryPct + (cut.into === 'absorber' ? holds.gasPct : 0), 2)} %</td>
      <td className="quiet">{kept ? 'the shelf' : 'see the plan'}</td>
    </tr>
  );
}

function Booked({ run, still, cut, fraction }: { run: Run; still: StillRun; cut: StillCut; fraction: Fraction }) {
  const read = headRange(run, cut.step);
  return (
    <tr data-state="booked">
      <th scope="row">
        <b>{numberOf(cut)}</b> booked
      </th>
      <td>{formatNumber(fraction.ml, 3)}</td>
      <td>{read ?? `to ${cut.headC.toFixed(1)}`}</td>
      <td>
        <Measured run={run} cut={cut} fraction={fraction} />
      </td>
      <td>{formatNumber(fraction.recoveryPct, 2)} %</td>
      <td>
        <Shelve run={run} fraction={fraction} main={still.kept === cut.into} />
      </td>
    </tr>
  );
}

/** The heads that were read while it filled. */
function headRange({ state }: Run, step: string): string | null {
  const heads = state.readings.flatMap(({ body }) => {
    if (body.step !== step || body.quantity !== 'temperature' || body.place === 'pot') return [];
    return readingValue(body.reading)?.value ?? [];
  });
  if (heads.length === 0) return null;
  const [low, high] = [Math.min(...heads), Math.max(...heads)];
  return low === high ? low.toFixed(1) : `${low.toFixed(1)} to ${high.toFixed(1)}`;
}

/** Its strength; measured, it takes the place of the model’s. */
function Measured({ run, cut, fraction }: { run: Run; cut: StillCut; fraction: Fraction }) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const enter = () => {
    const read = parseReading(text, '%');
    const value = read.ok ? readingValue(read.value) : undefined;
    if (value?.unit !== '%' || !(value.value >= 0 && value.value <= 100)) {
      setProblem('A strength is 0 to 100 %, such as 20.2.');
      return;
    }
    run.enter({
      kind: 'read',
      step: cut.step,
      quantity: 'strength',
      reading: exactReading(value.value, '%'),
      place: '',
    });
    setOpen(false);
    setProblem('');
  };
  return (
    <>
      <Num figure={fraction.pct} unit="" />{' '}
      <button type="button" className="link small" aria-expanded={open} onClick={() => setOpen(!open)}>
        {fraction.measured ? 'measured' : 'measure'}
      </button>
      {open ? (
        <span className="still-measure">
          <input
            aria-label={`Strength of receiver ${numberOf(cut)}, %`}
            value={text}
            maxLength={12}
            inputMode="decimal"
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter') enter();
            }}
          />
          <button type="button" className="link" onClick={enter}>
            Enter
          </button>
          {problem ? <span className="problem">{problem}</span> : null}
        </span>
      ) : null}
    </>
  );
}

/** A fraction to its own bottle. */
function Shelve({ run, fraction, main }: { run: Run; fraction: Fraction; main: boolean }) {
  const [placed, setPlaced] = useState(false);
  if (fraction.bottleId) return <Link to={`/shelf/${fraction.bottleId}`}>on the shelf</Link>;
  const contents = run.state.sheet.now?.vessels[fraction.vessel];
  if (!contents) return null;
  const place = () => {
    setPlaced(true);
    run.enter(
      shelveFraction(fraction, contents, {
        batch: run.batch,
        bottleId: newId('bottle'),
        today: today(),
        title: `Batch ${run.batch.number}`,
      }),
    );
  };
  return (
    <button type="button" className="link" disabled={placed} onClick={place}>
      {main ? 'put it on the shelf' : 'keep it on the shelf'}
    </button>
  );
}
