import { useState } from 'react';
import { parseReading, type Reading, readingProblem, readingValue } from '#base/reading';
import { formatNumber } from '#base/units';
import type { EventBody, Happened } from '#run/log';
import type { CellRun } from '#run/state';
import { nowHappened, WhenField } from '#web/kit/when-field.tsx';
import { sideName, timeText } from '#web/models/cell/words.ts';
import type { Run } from '#web/run/use-run.ts';

type Field = 'volts' | 'amps' | 'temp' | 'pHa' | 'pHk' | 'meter' | 'strength';

interface Asked {
  readonly label: string;
  readonly unit: string;
  readonly hint: string;
  readonly least?: number;
  readonly most: number;
  readonly too: string;
}

const ASK: Readonly<Record<Exclude<Field, 'pHa' | 'pHk' | 'meter'>, Asked>> = {
  volts: { label: 'volts', unit: 'V', hint: '4.0', most: 60, too: 'A cell here takes up to 60 V.' },
  amps: { label: 'amps', unit: 'A', hint: '0.33', most: 30, too: 'Up to 30 A here: was it mA?' },
  temp: {
    label: 'warmth, °C',
    unit: '°C',
    hint: '24',
    least: -25,
    most: 110,
    too: 'Liquid water lies between −25 °C, full of salt, and its boil.',
  },
  strength: { label: 'strength seen, mass %', unit: '%', hint: '9 ± 2', most: 100, too: 'A strength is 0 to 100 %.' },
};

/** A look in one go: volts, amps, warmth; what else was seen. All of it is of one moment. */
export function LogLook({ run, step, cell }: { run: Run; step: string; cell: CellRun }) {
  const [texts, setTexts] = useState<Partial<Record<Field, string>>>({});
  const [problem, setProblem] = useState('');
  const [when, setWhen] = useState<(() => Happened) | null>(() => nowHappened);
  const [looks, setLooks] = useState(0);
  const divided = cell.plan.setup.divider !== 'none';
  const fields: readonly (readonly [Field, Asked])[] = [
    ['volts', ASK.volts],
    ['amps', ASK.amps],
    ['temp', ASK.temp],
    ['pHa', pH(divided ? `pH, ${sideName('anode', cell)}` : 'pH')],
    ...(divided ? ([['pHk', pH(`pH, ${sideName('cathode', cell)}`)]] as const) : []),
    ['meter', meter(cell.plan.chargeAh[0])],
    ['strength', ASK.strength],
  ];
  const enter = () => {
    const bodies: EventBody[] = [];
    for (const [field, { unit, hint, least = 0, most, too, label }] of fields) {
      const text = (texts[field] ?? '').trim();
      if (text === '') continue;
      const read = parseReading(text, unit);
      if (!read.ok) return setProblem(`${label}: ${read.problem.message}`);
      const value = readingValue(read.value);
      const quantity = QUANTITIES[field];
      if (!value || value.unit !== unit) return setProblem(`${label}: write it like ${hint}${unit ? ` ${unit}` : ''}.`);
      const wrong = readingProblem(quantity, read.value);
      if (wrong) return setProblem(`${label}: ${wrong}`);
      if (value.value < least || value.value > most) return setProblem(`${label}: ${too}`);
      bodies.push({ kind: 'read', step, quantity, reading: read.value as Reading, place: placeOf(field) });
    }
    if (bodies.length === 0) return setProblem('Write what you read: volts and amps at least.');
    if (!when) return setProblem('How long ago was it? Write 3 h, or take “now”.');
    const happened = when();
    if (cell.from !== null && Date.parse(happened.at) < cell.from - SLACK_MS)
      return setProblem(
        `That is before the current was on (${timeText(cell.from, cell.now)}). If it was on by then, take “begun” back in the log and enter this look first.`,
      );
    run.enterAll(cell.from === null ? [{ kind: 'started', step }, ...bodies] : bodies, happened);
    setLooks(looks + 1);
    setWhen(() => nowHappened);
    setTexts({});
    setProblem('');
  };
  return (
    <fieldset className="cell-look">
      <legend className="sr">Log a look at the cell</legend>
      {fields.map(([field, { label, hint }]) => (
        <label key={field}>
          {label}
          <input
            value={texts[field] ?? ''}
            placeholder={hint}
            maxLength={24}
            inputMode="decimal"
            onChange={(event) => setTexts({ ...texts, [field]: event.target.value })}
            onKeyDown={(event) => {
              if (event.key === 'Enter') enter();
            }}
          />
        </label>
      ))}
      <WhenField key={looks} onChange={(next) => setWhen(() => next)} />
      <button type="button" className="tab" onClick={enter}>
        Log the look
      </button>
      <button
        type="button"
        className="tab"
        onClick={() =>
          run.enter({
            kind: 'read',
            step,
            quantity: 'sight',
            reading: { is: 'sight', text: endOf(cell), enough: true },
            place: '',
          })
        }
      >
        It looks done
      </button>
      {problem ? (
        <p className="problem" role="alert">
          {problem}
        </p>
      ) : null}
    </fieldset>
  );
}

const pH = (label: string): Asked => ({
  label,
  unit: '',
  hint: '10',
  least: -1,
  most: 15,
  too: 'A pH lies between −1 and 15.',
});

/** Looks entered within so long of the start are of the start. */
const SLACK_MS = 60_000;

/** So many times the planned charge is a slip: another unit, or another meter. */
const SLIP = 20;

const meter = (plannedAh: number): Asked => ({
  label: 'A·h, by a meter',
  unit: 'A·h',
  hint: '8.6',
  most: SLIP * plannedAh,
  too: `More than ${SLIP} times the planned ${formatNumber(plannedAh, 3)} A·h: was it mA·h, or not from 0?`,
});

const QUANTITIES = {
  volts: 'voltage',
  amps: 'current',
  temp: 'temperature',
  pHa: 'pH',
  pHk: 'pH',
  meter: 'charge',
  strength: 'strength',
} as const satisfies Readonly<Record<Field, string>>;

const PLACES: Readonly<Partial<Record<Field, string>>> = {
  pHa: 'anode side',
  pHk: 'cathode side',
  strength: 'by what is seen',
};
const placeOf = (field: Field): string => PLACES[field] ?? '';

/** What it looks like when it is done, in a few words. */
function endOf({ plan }: CellRun): string {
  if (plan.makes === 'sulfuric-acid') return 'the blue is gone, gas at the cathode';
  return plan.makes === 'sodium-hydroxide' ? 'pH beyond the paper, the anode stops fizzing' : 'as it should be';
}
