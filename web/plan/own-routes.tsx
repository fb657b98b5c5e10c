import type { OwnRouteAnswer } from '#contract/api';
import { sentenceOf } from '../api/client.ts';
import { useKeepRoute, useLookAtRoute, useOwnRoutes, useRetireRoute } from '../api/routes.ts';
import { FileChoice } from '../kit/file-choice.tsx';
import { dayText } from '../parts/day.ts';

/** A person's own routes: each to a file, out of use and back; and one that comes as a file, looked through first. */
export function OwnRoutes() {
  const routes = useOwnRoutes();
  const all = routes.data ?? [];
  return (
    <section aria-labelledby="own-routes">
      <h2 id="own-routes">Your own routes</h2>
      {all.length === 0 ? (
        <p className="quiet small">
          None yet. Plan something and copy its route, keep a batch of your own as one, or bring one in as a file.
        </p>
      ) : null}
      <ul className="own-routes">
        {all.map((each) => (
          <OwnRoute key={each.id} of={each} />
        ))}
      </ul>
      <BringRoute known={all} />
    </section>
  );
}

function OwnRoute({ of: { id, route, version, writtenAt, retired } }: { of: OwnRouteAnswer }) {
  const retire = useRetireRoute();
  return (
    <li>
      <b>{route.title}</b>{' '}
      <span className="quiet small">
        version {version}, {dayText(writtenAt)}
        {retired ? ', out of use' : ''}
      </span>{' '}
      <a href={`/api/routes/${id}/file`} download aria-label={`To a file: ${route.title}`}>
        to a file
      </a>{' '}
      <button
        type="button"
        className="link"
        aria-label={`${retired ? 'Use again' : 'Out of use'}: ${route.title}`}
        disabled={retire.isPending}
        onClick={() => retire.mutate({ id, retired: !retired })}
      >
        {retired ? 'use again' : 'out of use'}
      </button>
      {retire.isError ? <p className="problem small">{sentenceOf(retire.error)}</p> : null}
    </li>
  );
}

function BringRoute({ known }: { known: readonly OwnRouteAnswer[] }) {
  const keep = useKeepRoute();
  const look = useLookAtRoute();
  const read = look.data ?? null;
  const choose = (file: File) => {
    keep.reset();
    look.mutate(file);
  };
  const before = read && known.find(({ id }) => id === read.route.id);
  return (
    <div className="own-bring">
      <FileChoice label="Bring a route in …" accept=".json" onFile={choose} />
      {look.isError ? (
        <p className="problem" role="alert">
          {sentenceOf(look.error)}
        </p>
      ) : null}
      {read ? (
        <div className="looked">
          <p>
            <b>{read.route.title}</b>, {read.route.steps.length} steps.{' '}
            {before ? `It becomes version ${before.version + 1} of the one that is here.` : ''}
          </p>
          {read.leavesOpen.length > 0 ? (
            <>
              <p className="small">It leaves open:</p>
              <ul className="small">
                {read.leavesOpen.map((each) => (
                  <li key={each}>{each}</li>
                ))}
              </ul>
            </>
          ) : null}
          <p className="row">
            <button
              type="button"
              className="act"
              disabled={keep.isPending}
              onClick={() =>
                keep.mutate({ route: read.route, basedOn: before?.version ?? 0 }, { onSuccess: () => look.reset() })
              }
            >
              Keep it here
            </button>
            <button type="button" className="link" onClick={() => look.reset()}>
              Leave it
            </button>
          </p>
          {keep.isError ? <p className="problem">{sentenceOf(keep.error)}</p> : null}
        </div>
      ) : null}
    </div>
  );
}
