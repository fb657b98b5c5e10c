import { Input } from 'antd';
import { useState } from 'react';
import type { Plan } from '#run/plan';
import { sentenceOf } from '../api/client.ts';
import { useKeepRoute, useOwnRoutes } from '../api/routes.ts';
import { Field } from '../kit/field.tsx';
import { newOwnRouteId } from '../parts/own-draft.ts';

/** The way it is made, kept as a route of one's own: planned with again, changed, handed on. */
export function RouteKeeping({ plan }: { plan: Plan }) {
  const routes = useOwnRoutes();
  const keep = useKeepRoute();
  const [open, setOpen] = useState(false);
  const [title, setTitle] = useState(plan.route.title);
  const before = routes.data?.find(({ id }) => id === plan.route.id);
  if (!open)
    return (
      <button type="button" className="link" onClick={() => setOpen(true)}>
        {before ? 'Keep as the next version of this route' : 'Keep as a route of my own'}
      </button>
    );
  const done = () => {
    const id = plan.route.id.startsWith('own-') ? plan.route.id : newOwnRouteId();
    // What was set is where the route begins from now on.
    const controls = plan.route.controls.map((each) => ({ ...each, start: plan.controls[each.id] ?? each.start }));
    const route = { ...plan.route, id, title: title.trim() || plan.route.title, controls };
    keep.mutate({ route, basedOn: before?.version ?? 0 });
  };
  return (
    <form
      className="row"
      onSubmit={(event) => {
        event.preventDefault();
        done();
      }}
    >
      <Field label="Name of the route" hideLabel>
        {(bound) => (
          <Input {...bound} value={title} maxLength={200} onChange={(event) => setTitle(event.target.value)} />
        )}
      </Field>
      <button type="submit" className="link" disabled={keep.isPending}>
        Keep the route
      </button>
      {keep.isSuccess ? (
        <span className="within" role="status">
          Kept as version {keep.data.version}; it stands among the routes now.
        </span>
      ) : null}
      {keep.isError ? <span className="problem">{sentenceOf(keep.error)}</span> : null}
    </form>
  );
}
