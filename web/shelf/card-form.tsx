import { Input, Modal, Select } from 'antd';
import { useState } from 'react';
import { strengthUnits } from '#matter/solution';
import { type BottleCard, containers, groups } from '#matter/stock';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { substanceNamesForChoice } from '../parts/substance-choice.ts';

interface CardFormProps {
  readonly card: BottleCard;
  readonly title: string;
  readonly okText: string;
  readonly busy: boolean;
  readonly problem: string;
  readonly onSave: (card: BottleCard) => void;
  readonly onClose: () => void;
}

/** Every part of a bottle’s card, to correct by hand. */
export function CardForm({ card, title, okText, busy, problem, onSave, onClose }: CardFormProps) {
  const [draft, setDraft] = useState(card);
  const [strength, setStrength] = useState(card.strength?.value ?? null);
  const [unit, setUnit] = useState(card.strength?.unit ?? 'w/w');
  const [size, setSize] = useState(card.size?.value ?? null);
  const [sizeUnit, setSizeUnit] = useState(card.size?.unit ?? 'g');
  const change = (part: Partial<BottleCard>) => setDraft((before) => ({ ...before, ...part }));
  const save = () =>
    onSave({
      ...draft,
      name: draft.name.trim(),
      ...(draft.place === undefined ? {} : { place: draft.place.trim() }),
      strength: strength === null ? null : { value: strength, unit },
      strengthBand: strength === null ? null : draft.strengthBand,
      size: size === null ? null : { value: size, unit: sizeUnit },
    });
  return (
    <Modal
      open
      title={title}
      okText={okText}
      onOk={save}
      onCancel={onClose}
      okButtonProps={{ loading: busy, disabled: draft.name.trim() === '' || draft.since === '' }}
    >
      <Field label="Name" problem={draft.name.trim() === '' ? 'A bottle needs a name.' : ''}>
        {(bound) => (
          <Input
            {...bound}
            value={draft.name}
            maxLength={120}
            onChange={(event) => change({ name: event.target.value })}
          />
        )}
      </Field>
      <Field label="Substance">
        {(bound) => (
          <Select
            {...bound}
            virtual
            showSearch={{ optionFilterProp: 'label' }}
            value={draft.substanceId}
            options={substanceNamesForChoice(draft.substanceId)}
            onChange={(substanceId) => change({ substanceId })}
          />
        )}
      </Field>
      <div className="form-grid">
        <NumberField label="Strength" value={strength} min={0} onChange={setStrength} />
        <Field label="Unit of strength">
          {(bound) => (
            <Select
              {...bound}
              style={{ width: '100%' }}
              value={unit}
              options={Object.entries(strengthUnits).map(([value, label]) => ({ value, label }))}
              onChange={setUnit}
            />
          )}
        </Field>
        <NumberField
          label="Good to ± (empty: as labels are)"
          value={draft.strengthBand}
          min={0.000001}
          onChange={(strengthBand) => change({ strengthBand })}
        />
        <NumberField label="Price" value={draft.price} min={0} onChange={(price) => change({ price })} />
        <NumberField label="Size" value={size} min={0.001} max={1000000} onChange={setSize} />
        <Field label="Unit of size">
          {(bound) => (
            <Select
              {...bound}
              style={{ width: '100%' }}
              value={sizeUnit}
              options={[
                { value: 'g' as const, label: 'g' },
                { value: 'mL' as const, label: 'mL' },
              ]}
              onChange={setSizeUnit}
            />
          )}
        </Field>
        <Field label="Container">
          {(bound) => (
            <Select
              {...bound}
              style={{ width: '100%' }}
              value={draft.container}
              options={containers.map((value) => ({ value, label: value }))}
              onChange={(container) => change({ container })}
            />
          )}
        </Field>
        <Field label="Stands with">
          {(bound) => (
            <Select
              {...bound}
              style={{ width: '100%' }}
              value={draft.group}
              options={groups.map((value) => ({ value, label: value }))}
              onChange={(group) => change({ group })}
            />
          )}
        </Field>
        <Field label="Place">
          {(bound) => (
            <Input
              {...bound}
              value={draft.place ?? ''}
              maxLength={60}
              placeholder="shelf 1, box by the door"
              onChange={(event) => change({ place: event.target.value })}
            />
          )}
        </Field>
        <Field label="Since">
          {(bound) => (
            <Input
              {...bound}
              type="date"
              value={draft.since}
              onChange={(event) => change({ since: event.target.value })}
            />
          )}
        </Field>
      </div>
      <Field label="Note">
        {(bound) => (
          <Input.TextArea
            {...bound}
            rows={2}
            maxLength={2000}
            value={draft.note}
            onChange={(event) => change({ note: event.target.value })}
          />
        )}
      </Field>
      {problem ? <p className="problem">{problem}</p> : null}
    </Modal>
  );
}
