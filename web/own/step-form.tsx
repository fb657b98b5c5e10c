import { Checkbox, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { vesselNames } from '#matter/vessel';
import type { Plan } from '#run/plan';
import type { StepTemplate } from '#run/route';
import type { Sheet } from '#run/sheet';
import { placeOf, techniques } from '#run/technique';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { Controls } from '../planning/controls.tsx';
import { RoleForm } from './role-form.tsx';
import type { RouteChange } from './use-own-draft.ts';

interface StepFormProps {
  readonly step: StepTemplate;
  readonly plan: Plan;
  readonly sheet: Sheet | null;
  readonly onControl: (control: string, value: number) => void;
  readonly onChange: (change: RouteChange) => void;
  readonly onClose: () => void;
}

/** One step: what can be set at it at once, its words and times when one keeps them. */
export function StepForm({ step, plan, sheet, onControl, onChange, onClose }: StepFormProps) {
  const [words, setWords] = useState(() => wordsOf(step));
  const { steps } = plan.route;
  const at = steps.findIndex(({ id }) => id === step.id);
  const set = plan.route.controls.filter(({ id }) => namedAt(step, plan).has(id));
  const put = (next: Partial<typeof words>) => setWords({ ...words, ...next });
  const title = words.title.trim();
  const { op } = step;
  const role = op.do === 'add' ? plan.route.roles.find(({ id }) => id === op.role) : undefined;
  return (
    <section className="own-step-form pane" aria-label={`Step ${at + 1}`}>
      <h3>
        Step {at + 1}: {techniques[step.op.do].says}
      </h3>
      {set.length > 0 ? <Controls sheet={sheet} plan={plan} controls={set} onControl={onControl} /> : null}
      {role ? <RoleForm key={role.id} role={role} onChange={onChange} /> : null}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (title === '') return;
          const { minutes, ...rest } = words;
          const timer = minutes ? { name: (step.timer?.name ?? title).slice(0, 80), minutes } : null;
          onChange({ do: 'reword', step: step.id, ...rest, title, timer });
          onClose();
        }}
      >
        <Field
          label="Title"
          grows
          problem={title === '' ? 'A step needs a title, such as “wash with cold water”.' : ''}
        >
          {(bound) => (
            <Input
              {...bound}
              value={words.title}
              maxLength={200}
              onChange={(event) => put({ title: event.target.value })}
            />
          )}
        </Field>
        <Field label="What to do" grows>
          {(bound) => (
            <Input.TextArea
              {...bound}
              value={words.act}
              maxLength={1000}
              autoSize={{ minRows: 2, maxRows: 6 }}
              onChange={(event) => put({ act: event.target.value })}
            />
          )}
        </Field>
        <div className="row">
          <Field label="Until (what is seen at the end)" grows>
            {(bound) => (
              <Input
                {...bound}
                value={words.until}
                maxLength={400}
                onChange={(event) => put({ until: event.target.value })}
              />
            )}
          </Field>
          <Field label="Why" grows>
            {(bound) => (
              <Input
                {...bound}
                value={words.why}
                maxLength={600}
                onChange={(event) => put({ why: event.target.value })}
              />
            )}
          </Field>
        </div>
        <div className="row">
          <NumberField label="Timer, min" value={words.minutes} onChange={(minutes) => put({ minutes })} />
          <NumberField
            label="Never hotter than, °C"
            value={words.ceilingC}
            onChange={(ceilingC) => put({ ceilingC })}
          />
          <NumberField
            label="Hands on, min"
            value={words.handsOnMin}
            onChange={(handsOnMin) => put({ handsOnMin: Math.max(0, handsOnMin ?? 0) })}
          />
        </div>
        <div className="row">
          <Field label="Vessel">
            {(bound) => (
              <Select
                {...bound}
                value={words.in}
                popupMatchSelectWidth={false}
                options={vesselNames.map((name) => ({ value: name, label: name }))}
                onChange={(vessel) => put({ in: vessel })}
              />
            )}
          </Field>
          <Segmented
            aria-label="Where"
            options={[
              { label: 'anywhere', value: 'anywhere' as const },
              { label: 'ventilated', value: 'ventilated' as const },
              { label: 'outdoors', value: 'outdoors' as const },
            ]}
            value={words.where}
            onChange={(where) => put({ where })}
          />
          <Checkbox checked={words.alone} onChange={(event) => put({ alone: event.target.checked })}>
            may be left alone
          </Checkbox>
        </div>
        <p className="row">
          <button type="submit" className="act">
            Keep the step
          </button>
          <button
            type="button"
            className="link"
            disabled={at === 0}
            onClick={() => onChange({ do: 'move', step: step.id, to: at - 1 })}
          >
            Earlier
          </button>
          <button
            type="button"
            className="link"
            disabled={at === steps.length - 1}
            onClick={() => onChange({ do: 'move', step: step.id, to: at + 1 })}
          >
            Later
          </button>
          <button
            type="button"
            className="link"
            onClick={() => {
              onChange({ do: 'remove', step: step.id });
              onClose();
            }}
          >
            Take it out
          </button>
          <button type="button" className="link" onClick={onClose}>
            Close
          </button>
        </p>
      </form>
    </section>
  );
}

function wordsOf(step: StepTemplate) {
  const { title, act, until, expect, trouble, why, where, ceilingC, handsOnMin, leave, timer } = step;
  return {
    title,
    act,
    until,
    expect,
    trouble,
    why,
    where,
    ceilingC,
    handsOnMin,
    alone: leave.alone,
    lookEveryMin: leave.lookEveryMin,
    minutes: timer?.minutes ?? null,
    in: placeOf(step.op),
  };
}

/** What can be set at a step: its own, and how much of its bottle goes in. */
function namedAt({ op }: StepTemplate, { route }: Plan): ReadonlySet<string> {
  const own = 'control' in op && op.control !== undefined ? [op.control] : [];
  const dose = op.do === 'add' ? route.roles.find(({ id }) => id === op.role)?.dose : undefined;
  const of = (['control', 'spare', 'excessControl'] as const).flatMap((key) =>
    dose && key in dose ? [String(dose[key as keyof typeof dose])] : [],
  );
  return new Set([...own, ...of]);
}
