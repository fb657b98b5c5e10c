import { Select } from 'antd';
import type { Plan } from '#run/plan';
import { stepKinds } from '#run/route';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';

/** What an inserted step does to the vessel: nothing but what is entered, or what its kind does. */
export interface InsertedKind {
  readonly kind: string;
  readonly of: string;
  readonly set: number | null;
}

export const NOTHING: InsertedKind = { kind: '', of: '', set: null };

/** What can be set at a step of a kind; undefined where nothing can. */
function controlOf({ route }: Plan, { kind, of }: InsertedKind) {
  const found = stepKinds.find(({ id }) => id === kind);
  if (!found || (found.needs !== null && of === '')) return undefined;
  return found.make(route, 'put-in', of).controls[0];
}

/** What lacks to insert such a step; empty where nothing does. */
export function lacksOf(of: InsertedKind): string {
  const needs = stepKinds.find(({ id }) => id === of.kind)?.needs ?? null;
  if (needs === null || of.of !== '') return '';
  return needs === 'role' ? 'Say which bottle goes in at it.' : 'Say which reaction goes on at it.';
}

export function insertedOwn(of: InsertedKind) {
  return of.kind === '' ? {} : { own: { kind: of.kind, of: of.of, ...(of.set === null ? {} : { set: of.set }) } };
}

interface InsertKindProps {
  readonly plan: Plan;
  readonly value: InsertedKind;
  readonly onChange: (next: InsertedKind) => void;
}

/** Says what a step that is inserted does, which bottle or reaction it is about, and how far it goes. */
export function InsertKind({ plan, value, onChange }: InsertKindProps) {
  const needs = stepKinds.find(({ id }) => id === value.kind)?.needs ?? null;
  const control = controlOf(plan, value);
  const { roles, reactions } = plan.route;
  return (
    <>
      <Field label="What it does">
        {(bound) => (
          <Select
            {...bound}
            value={value.kind}
            popupMatchSelectWidth={false}
            options={[
              { value: '', label: 'only what is entered' },
              ...stepKinds.map(({ id, says }) => ({ value: id, label: says })),
            ]}
            onChange={(kind) => onChange({ kind, of: '', set: null })}
          />
        )}
      </Field>
      {needs === null ? null : (
        <Field label={needs === 'role' ? 'Which bottle' : 'Which reaction'}>
          {(bound) => (
            <Select
              {...bound}
              value={value.of || null}
              placeholder="choose"
              popupMatchSelectWidth={false}
              options={
                needs === 'role'
                  ? roles.map(({ id, name }) => ({ value: id, label: name }))
                  : reactions.map(({ id }) => ({ value: id, label: id }))
              }
              onChange={(of: string) => onChange({ ...value, of })}
            />
          )}
        </Field>
      )}
      {control ? (
        <NumberField
          label={control.name}
          unit={control.unit}
          min={control.min}
          max={control.max}
          value={value.set ?? control.start}
          onChange={(set) => onChange({ ...value, set })}
        />
      ) : null}
    </>
  );
}
