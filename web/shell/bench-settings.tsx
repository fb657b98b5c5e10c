import { Checkbox, Input, Modal, Select } from 'antd';
import { useState } from 'react';
import { itemAt } from '#base/lookup';
import { parseNumber } from '#base/units';
import type { BenchAnswer } from '#contract/api';
import {
  type AirKind,
  airKinds,
  type Bench,
  countries,
  countryName,
  gearKinds,
  KITCHEN_GEAR,
  materials,
  type OwnMeasure,
  type OwnVessel,
  USUAL_BURETTE,
} from '#matter/gear';
import { sentenceOf } from '../api/client.ts';
import { useSaveBench } from '../api/queries.ts';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';

/** The person's place and gear: what every sheet computes with. */
export function BenchSettings({ answer, onClose }: { answer: BenchAnswer; onClose: () => void }) {
  const { bench } = answer;
  const save = useSaveBench();
  const [draft, setDraft] = useState<{ [K in keyof Bench]: Bench[K] | null }>(bench);
  const [cylinderText, setCylinderText] = useState(bench.cylindersMl.join('; '));
  const [vesselText, setVesselText] = useState(bench.vessels.map(vesselLine).join('\n'));
  const [measureText, setMeasureText] = useState(
    bench.measures.map((each) => `${each.name}, ${each.of}, ${each.gramsEach} ± ${each.sdG} g`).join('\n'),
  );
  // A field that is being typed in says nothing yet: what was there stands.
  const setBurette = (change: { capacityMl?: number | null; stepMl?: number | null }) =>
    setDraft((before) => {
      const now = before.burette ?? USUAL_BURETTE;
      return {
        ...before,
        burette: { capacityMl: change.capacityMl ?? now.capacityMl, stepMl: change.stepMl ?? now.stepMl },
      };
    });
  const measures = readMeasures(measureText);
  const cylindersMl = readNumbers(cylinderText);
  const owned = readVessels(vesselText, bench.vessels);
  const number = (
    key: 'tempC' | 'pressureHPa' | 'balanceG' | 'roomM3' | 'evaporationGPerH',
    label: string,
    unit: string,
    min: number,
    max: number,
  ) => (
    <NumberField
      label={label}
      unit={unit}
      required
      min={min}
      max={max}
      value={draft[key]}
      onChange={(value) => setDraft((before) => ({ ...before, [key]: value }))}
    />
  );
  const whole =
    Object.values(draft).every((value) => value !== null && value !== '') && cylindersMl && owned && measures;
  const onOk = () => {
    if (!whole) return;
    save.mutate(
      { basedOn: answer.version, bench: { ...(draft as Bench), cylindersMl, vessels: owned, measures } },
      { onSuccess: onClose },
    );
  };
  return (
    <Modal
      open
      title="Your bench"
      okText="Keep it"
      onOk={onOk}
      onCancel={onClose}
      okButtonProps={{ disabled: !whole, loading: save.isPending }}
    >
      <div className="form-grid">
        <Field label="Place">
          {(bound) => (
            <Input
              {...bound}
              maxLength={60}
              value={draft.place ?? ''}
              onChange={(event) => setDraft((before) => ({ ...before, place: event.target.value }))}
            />
          )}
        </Field>
        {number('tempC', 'Temperature', '°C', 0, 45)}
        {number('pressureHPa', 'Air pressure', 'hPa', 600, 1100)}
        {number('balanceG', 'Balance shows steps of', 'g', 0.0001, 100)}
        {number('roomM3', 'Air in the room', 'm³', 1, 100_000)}
        <Field label="How its air is renewed">
          {(bound) => (
            <Select
              {...bound}
              style={{ width: '100%' }}
              value={draft.air ?? 'closed'}
              options={airKinds.map((value) => ({ value, label: AIR_WORDS[value] }))}
              onChange={(air) => setDraft((before) => ({ ...before, air }))}
            />
          )}
        </Field>
        {number('evaporationGPerH', 'Water your hotplate boils off', 'g/h', 1, 100_000)}
      </div>
      <div className="form-grid">
        <Field label="Whose rules hold here">
          {(bound) => (
            <Select
              {...bound}
              style={{ width: '100%' }}
              {...(draft.country ? { value: draft.country } : {})}
              placeholder="choose your country"
              options={countries.map((value) => ({
                value,
                label: value === 'elsewhere' ? 'elsewhere: none are held' : countryName(value),
              }))}
              onChange={(country) => setDraft((before) => ({ ...before, country }))}
            />
          )}
        </Field>
        {(['poison', 'checkIn', 'other'] as const).map((key) => (
          <Field key={key} label={CALL_WORDS[key]}>
            {(bound) => (
              <Input
                {...bound}
                maxLength={40}
                value={draft.calls?.[key] ?? ''}
                onChange={(event) =>
                  setDraft((before) => ({
                    ...before,
                    calls: { poison: '', checkIn: '', other: '', ...before.calls, [key]: event.target.value },
                  }))
                }
              />
            )}
          </Field>
        ))}
      </div>
      <Field
        label="Measuring cylinders, mL"
        problem={cylindersMl ? '' : 'List their sizes, separated by semicolons: 10; 50; 250'}
      >
        {(bound) => <Input {...bound} value={cylinderText} onChange={(event) => setCylinderText(event.target.value)} />}
      </Field>
      <fieldset className="gear">
        <legend>To measure with, besides these</legend>
        <Checkbox.Group
          options={[...gearKinds]}
          value={[...(draft.gear ?? KITCHEN_GEAR)]}
          onChange={(gear) => setDraft((before) => ({ ...before, gear }))}
        />
      </fieldset>
      {(draft.gear ?? KITCHEN_GEAR).includes('burette') ? (
        <div className="form-grid">
          <NumberField
            label="The burette holds"
            unit="mL"
            min={1}
            max={200}
            value={(draft.burette ?? USUAL_BURETTE).capacityMl}
            onChange={(capacityMl) => setBurette({ capacityMl })}
          />
          <NumberField
            label="One mark of it"
            unit="mL"
            min={0.001}
            max={5}
            value={(draft.burette ?? USUAL_BURETTE).stepMl}
            onChange={(stepMl) => setBurette({ stepMl })}
          />
        </div>
      ) : null}
      <Field
        label="Vessels, one a line"
        problem={
          owned
            ? ''
            : 'Write each as its name, its size, and its material where it is not glass: 2 L jar, 2000 mL, jar glass'
        }
      >
        {(bound) => (
          <Input.TextArea
            {...bound}
            rows={7}
            value={vesselText}
            onChange={(event) => setVesselText(event.target.value)}
          />
        )}
      </Field>
      <Field
        label="Own measures, weighed once, one a line"
        problem={
          measures ? '' : 'Write each as its name, what it holds, its mass: tea scoop, washing soda, 5.2 ± 0.3 g'
        }
        hint="Weigh ten, divide by ten; the ± is how far one strays from another."
      >
        {(bound) => (
          <Input.TextArea
            {...bound}
            rows={3}
            value={measureText}
            placeholder="tea scoop, washing soda, 5.2 ± 0.3 g"
            onChange={(event) => setMeasureText(event.target.value)}
          />
        )}
      </Field>
      {save.isError ? <p className="problem">{sentenceOf(save.error)}</p> : null}
    </Modal>
  );
}

const AIR_WORDS: Readonly<Record<AirKind, string>> = {
  closed: 'doors and windows shut',
  window: 'a window or the door open',
  fan: 'a fan blowing out',
  hood: 'a hood with a duct',
  outdoors: 'none: it is outdoors',
};
const CALL_WORDS = {
  poison: 'Poison centre, number',
  checkIn: 'Check-in, number',
  other: 'Another number to call',
} as const;

function readNumbers(text: string): number[] | undefined {
  const parts = text.split(';').map((part) => parseNumber(part));
  return parts.length > 0 && parts.every((part) => part.ok && part.value > 0 && part.value <= 10_000)
    ? parts.flatMap((part) => (part.ok ? [part.value] : []))
    : undefined;
}

function vesselLine({ name, capacityMl, material = 'glass', sacrificial = false }: OwnVessel): string {
  const words = [sacrificial ? 'sacrificial' : '', material === 'glass' ? '' : material].filter((each) => each !== '');
  return [`${name}, ${capacityMl} mL`, ...(words.length > 0 ? [words.join(' ')] : [])].join(', ');
}

function readMeasures(text: string): OwnMeasure[] | undefined {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  const read = lines.map((line) => {
    const shape = /^([^,]+),\s*([^,]*),\s*([\d.,]+)\s*(?:(?:±|\+-|\+\/-)\s*([\d.,]+)\s*)?g\s*$/i.exec(line);
    const each = shape && parseNumber(shape[3] ?? '');
    const sd = shape?.[4] ? parseNumber(shape[4]) : undefined;
    if (!shape || !each?.ok || each.value <= 0 || (sd && !sd.ok)) return undefined;
    const sdG = sd?.ok ? Math.abs(sd.value) : each.value * 0.05;
    return {
      name: itemAt(shape, 1).trim().slice(0, 60),
      of: itemAt(shape, 2).trim().slice(0, 60),
      gramsEach: each.value,
      sdG,
    };
  });
  return read.every((each) => each !== undefined) ? (read as OwnMeasure[]) : undefined;
}

/** Keeps the measures of a vessel already known; a new one is drawn half again as tall as it is wide. */
function readVessels(text: string, before: readonly OwnVessel[]): OwnVessel[] | undefined {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  const vessels = lines.map((line) => {
    const shape = /^(.+?),\s*([\d.,]+)\s*(mL|L)\s*(?:,\s*([a-z ]+?))?\s*$/i.exec(line);
    const words =
      (shape?.[4] ?? 'glass')
        .toLowerCase()
        .replace(/\bsacrificial\b/, '')
        .trim() || 'glass';
    const material = materials.find((each) => each === words);
    if (!material) return undefined;
    const sacrificial = /sacrificial/i.test(shape?.[4] ?? '');
    const size = shape && parseNumber(shape[2] ?? '');
    if (!shape || !size?.ok || size.value <= 0) return undefined;
    const name = itemAt(shape, 1).trim().slice(0, 60);
    const capacityMl = size.value * (shape[3]?.toLowerCase() === 'l' ? 1000 : 1);
    const known = before.find((each) => each.name === name && each.capacityMl === capacityMl);
    const diameterMm = Math.round(10 * (capacityMl / (1.5 * (Math.PI / 4))) ** (1 / 3));
    if (known) return { ...known, material, sacrificial };
    return { name, material, sacrificial, capacityMl, diameterMm, heightMm: Math.round(diameterMm * 1.5) };
  });
  return vessels.length > 0 && vessels.every((each) => each !== undefined) ? (vessels as OwnVessel[]) : undefined;
}
