import { Input, Segmented } from 'antd';
import { useState } from 'react';
import type { Role } from '#run/technique';
import { Field } from '../kit/field.tsx';
import type { RouteChange } from './use-own-draft.ts';

/** What goes in at a step, as the route speaks of it: its name, what it tolerates, weighed or measured. */
export function RoleForm({ role, onChange }: { role: Role; onChange: (change: RouteChange) => void }) {
  const [words, setWords] = useState({ name: role.name, tolerates: role.tolerates, measure: role.measure });
  const name = words.name.trim();
  const changed = words.name !== role.name || words.tolerates !== role.tolerates || words.measure !== role.measure;
  return (
    <form
      className="row"
      onSubmit={(event) => {
        event.preventDefault();
        if (name !== '') onChange({ do: 'role', role: role.id, ...words, name });
      }}
    >
      <Field label="What goes in is called" problem={name === '' ? 'It needs a name, such as “acid”.' : ''}>
        {(bound) => (
          <Input
            {...bound}
            value={words.name}
            maxLength={80}
            onChange={(event) => setWords({ ...words, name: event.target.value })}
          />
        )}
      </Field>
      <Field label="What it may hold besides" grows>
        {(bound) => (
          <Input
            {...bound}
            value={words.tolerates}
            maxLength={400}
            onChange={(event) => setWords({ ...words, tolerates: event.target.value })}
          />
        )}
      </Field>
      <Segmented
        aria-label="Weighed or measured"
        options={[
          { label: 'weighed', value: 'mass' as const },
          { label: 'by volume', value: 'volume' as const },
        ]}
        value={words.measure}
        onChange={(measure) => setWords({ ...words, measure })}
      />
      <button type="submit" className="link" disabled={!changed || name === ''}>
        Keep what goes in
      </button>
    </form>
  );
}
