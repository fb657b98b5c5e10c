import { Input, Modal } from 'antd';
import { useState } from 'react';
import { parseNumber } from '#base/units';
import type { BenchAnswer } from '#contract/api';
import { type Hours, USUAL_HOURS } from '#matter/gear';
import { sentenceOf } from '../api/client.ts';
import { useSaveBench } from '../api/queries.ts';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { AwayList } from './away-list.tsx';
import { clockText, readClock, readStretches, stretchesText } from './hours-text.ts';

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
/** What steps hold until they are over. */
const GEAR = [
  'hotplate',
  'burner',
  'still',
  'condenser',
  'supply',
  'filter',
  'separating funnel',
  'wide dish',
  'fridge box',
];
const SAY_HOURS = 'Write them as 18:00 to 22:00, several separated by commas; leave it empty for a day without.';
const SAY_SPAN = 'Write it as 23:00 to 7:00.';

/** When one is at the bench, asleep, not to be disturbed; and where it is, for the light. */
export function HoursDialog({ answer, onClose }: { answer: BenchAnswer; onClose: () => void }) {
  const { hours = USUAL_HOURS } = answer.bench;
  const save = useSaveBench();
  const [days, setDays] = useState(hours.week.map(stretchesText));
  const [sleep, setSleep] = useState(clockText(hours.sleep));
  const [quiet, setQuiet] = useState(hours.quiet ? clockText(hours.quiet) : '');
  const [lat, setLat] = useState(hours.where ? String(hours.where.lat) : '');
  const [lon, setLon] = useState(hours.where ? String(hours.where.lon) : '');
  const [away, setAway] = useState(hours.away);
  const [pieces, setPieces] = useState<Readonly<Record<string, number | null>>>(hours.pieces ?? {});
  const week = days.map(readStretches);
  const slept = readClock(sleep);
  const hushed = quiet.trim() === '' ? null : readClock(quiet);
  const where = readWhere(lat, lon);
  const counted = Object.entries(pieces).flatMap(([name, count]) => (count === null ? [] : [[name, count] as const]));
  const counts = Object.values(pieces).every((count) => count !== null && Number.isInteger(count));
  const whole = counts && week.every((each) => each !== undefined) && slept && hushed !== undefined && where.ok;
  const onOk = () => {
    if (!whole || !slept) return;
    const next: Hours = {
      ...hours,
      away,
      pieces: Object.fromEntries(counted.filter(([, count]) => count > 1)),
      week: week.flatMap((each) => (each ? [each] : [])),
      sleep: slept,
      quiet: hushed ?? null,
      where: where.value,
    };
    save.mutate({ basedOn: answer.version, bench: { ...answer.bench, hours: next } }, { onSuccess: onClose });
  };
  return (
    <Modal
      open
      title="Your hours"
      okText="Keep them"
      onOk={onOk}
      onCancel={onClose}
      okButtonProps={{ disabled: !whole, loading: save.isPending }}
    >
      <p className="quiet small">When you are at the bench. Several stretches a day are separated by commas.</p>
      <div className="form-grid">
        {WEEKDAYS.map((name, i) => (
          <Field key={name} label={name} problem={week[i] ? '' : SAY_HOURS}>
            {(bound) => (
              <Input
                {...bound}
                value={days[i] ?? ''}
                placeholder="not there"
                onChange={(event) =>
                  setDays((before) => before.map((each, j) => (j === i ? event.target.value : each)))
                }
              />
            )}
          </Field>
        ))}
        <Field label="Asleep" problem={slept ? '' : SAY_SPAN}>
          {(bound) => <Input {...bound} value={sleep} onChange={(event) => setSleep(event.target.value)} />}
        </Field>
        <Field
          label="Quiet hours"
          problem={hushed === undefined ? SAY_SPAN : ''}
          hint="Nothing sounds then but an alarm; empty for none."
        >
          {(bound) => (
            <Input {...bound} value={quiet} placeholder="none" onChange={(event) => setQuiet(event.target.value)} />
          )}
        </Field>
        <Field
          label="Latitude, degrees north"
          problem={where.ok ? '' : where.problem}
          hint="For sunrise and sunset; south is negative."
        >
          {(bound) => (
            <Input {...bound} value={lat} placeholder="52.3" onChange={(event) => setLat(event.target.value)} />
          )}
        </Field>
        <Field label="Longitude, degrees east" hint="West is negative.">
          {(bound) => (
            <Input {...bound} value={lon} placeholder="-2.1" onChange={(event) => setLon(event.target.value)} />
          )}
        </Field>
      </div>
      <fieldset className="gear">
        <legend>How many you have</legend>
        <div className="form-grid">
          {GEAR.map((name) => (
            <NumberField
              key={name}
              label={name}
              min={1}
              max={20}
              value={Object.hasOwn(pieces, name) ? (pieces[name] ?? null) : 1}
              onChange={(count) => setPieces((before) => ({ ...before, [name]: count }))}
            />
          ))}
        </div>
        {counted.every(([, count]) => Number.isInteger(count)) ? null : (
          <p className="problem small">Whole pieces: 1, 2 or 3.</p>
        )}
      </fieldset>
      <AwayList away={away} onChange={setAway} />
      {save.isError ? <p className="problem">{sentenceOf(save.error)}</p> : null}
    </Modal>
  );
}

type Where = { readonly ok: true; readonly value: Hours['where'] } | { readonly ok: false; readonly problem: string };

function readWhere(lat: string, lon: string): Where {
  if (lat.trim() === '' && lon.trim() === '') return { ok: true, value: null };
  const [north, east] = [parseNumber(lat), parseNumber(lon)];
  if (!north.ok || !east.ok) return { ok: false, problem: 'Say both as degrees: 52.3 and -2.1; or neither.' };
  if (Math.abs(north.value) > 90) return { ok: false, problem: 'Latitude is from -90 to 90.' };
  if (Math.abs(east.value) > 180) return { ok: false, problem: 'Longitude is from -180 to 180.' };
  return { ok: true, value: { lat: north.value, lon: east.value } };
}
