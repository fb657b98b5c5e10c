import { Input, Modal, Select } from 'antd';
import { useState } from 'react';
import type { BottleCard } from '#matter/stock';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { today } from '../parts/day.ts';
import { compute } from '../worker/door.ts';

interface DescribeFormProps {
  /** The label as typed: its strength, size and price stay. */
  readonly label: string;
  readonly tempC: number;
  readonly busy: boolean;
  readonly onPut: (card: BottleCard) => void;
  readonly onClose: () => void;
}

const FORMS = [
  { value: 'solid', label: 'solid' },
  { value: 'liquid', label: 'liquid' },
  { value: 'dissolved', label: 'dissolved in water' },
  { value: 'metal', label: 'metal' },
] as const;

/** A substance that is not known here, by what its owner knows of it: what is left empty stays not known. */
export function DescribeForm({ label, tempC, busy, onPut, onClose }: DescribeFormProps) {
  const [name, setName] = useState(() => words(label));
  const [formula, setFormula] = useState('');
  const [form, setForm] = useState<(typeof FORMS)[number]['value']>('solid');
  const [gPerMl, setGPerMl] = useState<number | null>(null);
  const [gPer100gWater, setGPer100gWater] = useState<number | null>(null);
  const [meltsC, setMeltsC] = useState<number | null>(null);
  const [hazards, setHazards] = useState('');
  const [problem, setProblem] = useState<{ field: string; says: string } | null>(null);
  const fault = (field: string) => (problem?.field === field ? problem.says : '');

  const save = async () => {
    const described = await compute('describe', { name, formula, form, gPerMl, gPer100gWater, meltsC, hazards });
    if (!described.ok) {
      setProblem({ field: described.problem.field ?? 'formula', says: described.problem.message });
      return;
    }
    const rest = label.replace(words(label), ' ').trim();
    const read = await compute('label', { text: `${name} ${rest}`, today: today(), tempC });
    const card = read.ok ? read.value.reading.card : undefined;
    if (!card) {
      const says = read.ok ? (read.value.reading.problems[0]?.message ?? '') : read.problem.message;
      setProblem({ field: 'name', says: says || 'This name is already another substance’s.' });
      return;
    }
    const missing = read.ok ? read.value.reading.problems.find(({ field }) => field === 'size') : undefined;
    if (missing) setProblem({ field: 'name', says: missing.message });
    else onPut({ ...card, substanceId: described.value.id, labelText: label.trim() });
  };

  return (
    <Modal
      open
      title="What is it?"
      okText="Put on the shelf"
      onOk={() => void save()}
      onCancel={onClose}
      okButtonProps={{ loading: busy, disabled: name.trim() === '' || formula.trim() === '' }}
    >
      <p className="quiet small">
        Its formula is enough to count it by. What is left empty stays not known, and is said to be where it matters.
      </p>
      <Field label="Name" problem={fault('name')}>
        {(bound) => <Input {...bound} value={name} maxLength={60} onChange={(event) => setName(event.target.value)} />}
      </Field>
      <div className="form-grid">
        <Field label="Formula" problem={fault('formula')} hint="such as C6H7KO2">
          {(bound) => (
            <Input {...bound} value={formula} maxLength={120} onChange={(event) => setFormula(event.target.value)} />
          )}
        </Field>
        <Field label="Comes as">
          {(bound) => (
            <Select {...bound} style={{ width: '100%' }} value={form} options={[...FORMS]} onChange={setForm} />
          )}
        </Field>
        <NumberField label="Density" unit="g/mL" value={gPerMl} min={0} onChange={setGPerMl} />
        <NumberField
          label="Dissolves in 100 g of water"
          unit="g"
          value={gPer100gWater}
          min={0}
          onChange={setGPer100gWater}
        />
        <NumberField label="Melts at" unit="°C" value={meltsC} onChange={setMeltsC} />
        <Field label="Hazards, as the pack says" problem={fault('hazards')}>
          {(bound) => (
            <Input {...bound} value={hazards} maxLength={100} onChange={(event) => setHazards(event.target.value)} />
          )}
        </Field>
      </div>
      {problem && !['name', 'formula', 'hazards'].includes(problem.field) ? (
        <p className="problem" role="alert">
          {problem.says}
        </p>
      ) : null}
    </Modal>
  );
}

/** What stands before the first number of a label: its name. */
function words(label: string): string {
  return (/^[^\d]+/.exec(label.trim())?.[0] ?? '').trim();
}
