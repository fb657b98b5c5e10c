import { Select } from 'antd';
import { useMemo, useState } from 'react';
import { formatNumber } from '#base/units';
import type { Bench } from '#matter/gear';
import {
  type AnodeMaterial,
  anodeMaterials,
  type CathodeMaterial,
  cathodeMaterials,
  type DividerKind,
  dividerKinds,
  supplyText,
  USUAL_CELL,
} from '#matter/gear';
import { type SubstanceId, substanceOf } from '#matter/substance';
import type { CellAnswer } from '#model/electrolysis';
import { CurrentChart } from '../models/cell/current-chart.tsx';
import { GearForm } from '../models/cell/gear-form.tsx';
import { CellWarnings } from '../models/cell/warning-list.tsx';
import '../models/cell/cell.css';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { useCompute } from '../worker/compute.ts';

/** Salts that a cell knows, by the names they have here. */
const SALTS: readonly SubstanceId[] = [
  'copper-sulfate',
  'magnesium-sulfate',
  'zinc-sulfate',
  'sodium-sulfate',
  'sodium-hydrogencarbonate',
  'sodium-carbonate',
  'sodium-chloride',
  'sodium-hydroxide',
  'sulfuric-acid',
];
const options = <T extends string>(of: readonly T[]) => of.map((value) => ({ value, label: value }));
const SALT_OPTIONS = SALTS.map((id) => ({ value: id as string, label: substanceOf(id).name }));

interface Side {
  readonly salt: string;
  readonly molPerL: number | null;
  readonly ml: number | null;
}

/** Any cell, without a batch: what it would make, how long, how warm, which gas; another anode or divider to set beside it. */
export function CellPanel({ bench }: { bench: Bench }) {
  const [anodic, setAnodic] = useState<Side>({ salt: 'copper-sulfate', molPerL: 0.5, ml: 250 });
  const [cathodic, setCathodic] = useState<Side>({ salt: 'magnesium-sulfate', molPerL: 0.8, ml: 150 });
  const [anode, setAnode] = useState<AnodeMaterial>('carbon');
  const [cathode, setCathode] = useState<CathodeMaterial>('copper');
  const [divider, setDivider] = useState<DividerKind>('none');
  const [anodeG, setAnodeG] = useState<number | null>(30);
  const [hours, setHours] = useState<number | null>(10);
  const [holdA, setHold] = useState<number | null>(0.6);
  const [gear, setGear] = useState(bench.cell ?? USUAL_CELL);
  const [edits, setEdits] = useState(false);
  const dissolving = anode === 'copper' || anode === 'zinc' || anode === 'iron';
  const { value, problem } = useCompute(
    'cell',
    useMemo(() => {
      const a = liquidOf(anodic);
      const k = divider === 'none' ? null : liquidOf(cathodic);
      if (!a || k === undefined || hours === null) return undefined;
      return {
        anolyte: a,
        catholyte: k,
        anode,
        anodeG: dissolving ? anodeG : null,
        cathode,
        divider,
        gear,
        airC: bench.tempC,
        stirred: false,
        hours,
        holdA,
        topUps: [],
      };
    }, [anodic, cathodic, divider, hours, anode, dissolving, anodeG, cathode, gear, bench.tempC, holdA]),
  );
  return (
    <>
      <div className="pane-row thirds">
        <Choice label="Anode" value={anode} of={anodeMaterials} onChange={setAnode} />
        <Choice label="Divider" value={divider} of={dividerKinds} onChange={setDivider} />
        <Choice label="Cathode" value={cathode} of={cathodeMaterials} onChange={setCathode} />
      </div>
      <SideFields name={divider === 'none' ? 'Liquid' : 'Anode side'} value={anodic} onChange={setAnodic} />
      {divider === 'none' ? null : <SideFields name="Cathode side" value={cathodic} onChange={setCathodic} />}
      <div className="pane-row thirds">
        <NumberField label="For" unit="h" value={hours} min={0.01} max={1000} required onChange={setHours} />
        <NumberField label="Current held" unit="A" value={holdA} min={0.001} max={30} onChange={setHold} />
        {dissolving ? (
          <NumberField label="Anode weighs" unit="g" value={anodeG} min={0.01} max={20_000} onChange={setAnodeG} />
        ) : null}
      </div>
      <p className="quiet small">
        Without a held current it takes what the supply gives: {supplyText(gear.supply)}.{' '}
        <button type="button" className="link" aria-expanded={edits} onClick={() => setEdits(!edits)}>
          {edits ? 'Close' : 'Change the cell'}
        </button>
      </p>
      {edits ? <GearForm value={gear} onChange={setGear} /> : null}
      {problem ? <p className="problem">{problem.message}</p> : null}
      {value ? <Came answer={value} /> : null}
    </>
  );
}

function liquidOf({ salt, molPerL, ml }: Side) {
  if (molPerL === null || ml === null) return undefined;
  return { ml, parts: [{ substanceId: salt, molPerL }] };
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly of: readonly T[];
  readonly onChange: (next: T) => void;
}

function Choice<T extends string>({ label, value, of, onChange }: ChoiceProps<T>) {
  return (
    <Field label={label}>
      {(bound) => <Select {...bound} value={value} options={options(of)} onChange={onChange} />}
    </Field>
  );
}

function SideFields({ name, value, onChange }: { name: string; value: Side; onChange: (next: Side) => void }) {
  return (
    <div className="pane-row thirds">
      <Field label={name}>
        {(bound) => (
          <Select
            {...bound}
            value={value.salt}
            options={SALT_OPTIONS}
            onChange={(salt) => onChange({ ...value, salt })}
          />
        )}
      </Field>
      <NumberField
        label={`${name}, strength`}
        unit="mol/L"
        value={value.molPerL}
        min={0}
        max={10}
        required
        onChange={(molPerL) => onChange({ ...value, molPerL })}
      />
      <NumberField
        label={`${name}, volume`}
        unit="mL"
        value={value.ml}
        min={1}
        max={50_000}
        required
        onChange={(ml) => onChange({ ...value, ml })}
      />
    </div>
  );
}

function Came({ answer }: { answer: CellAnswer }) {
  const last = answer.points.at(-1);
  return (
    <section className="cell-plan" aria-label="What comes of it">
      <div className="cell-plan-grid">
        <CurrentChart
          from={0}
          now={0}
          read={[]}
          leftAlone={answer.points.map(({ seconds, amps }) => ({ at: 1000 * seconds, amps }))}
          toppedUp={null}
          ifHeld={null}
          ifAmps={null}
          done={null}
          topUpAt={answer.topUps[0] ? 3_600_000 * answer.topUps[0].atH : null}
          byHours
        />
        <div>
          <table>
            <tbody>
              <Row name="charge" value={`${formatNumber(answer.ampHours, 4)} A·h`} />
              {answer.changes
                .filter(({ mol }) => Math.abs(mol) > 1e-4)
                .map(({ substanceId, side, mol, grams }) => (
                  <Row
                    key={`${side} ${substanceId}`}
                    name={`${substanceOf(substanceId).name}, ${side} side`}
                    value={`${mol > 0 ? '+' : '−'}${formatNumber(Math.abs(grams), 3)} g`}
                  />
                ))}
              {answer.platedG.map(([id, grams]) => (
                <Row key={id} name={`${substanceOf(id).name} on the cathode`} value={`${formatNumber(grams, 3)} g`} />
              ))}
              {answer.gases.map(({ substanceId, litres, perHour }) => (
                <Row
                  key={substanceId}
                  name={substanceOf(substanceId).name}
                  value={`${formatNumber(litres, 2)} L, at most ${formatNumber(perHour, 2)} L/h`}
                />
              ))}
              <Row name="volts, at the end" value={`${formatNumber(last?.volts ?? 0, 2)} V`} />
              <Row name="warmest" value={`about ${formatNumber(answer.hottestC, 2)} °C`} />
              <Row name="water gone off" value={`about ${formatNumber(answer.evaporatedG, 2)} g`} />
              <Row name="energy" value={`${formatNumber(answer.wattHours, 2)} W·h`} />
            </tbody>
          </table>
        </div>
      </div>
      <CellWarnings warnings={answer.warnings} />
    </section>
  );
}

function Row({ name, value }: { name: string; value: string }) {
  return (
    <tr>
      <td>{name}</td>
      <td className="mono">{value}</td>
    </tr>
  );
}
