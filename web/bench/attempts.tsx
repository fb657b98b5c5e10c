import { colourDifference, rgbOf } from '#model/assay';
import type { StepState } from '#run/state';
import { useBatches } from '../api/queries.ts';
import type { Run } from '../run/use-run.ts';
import { Swatch } from './panes/colour-pick.tsx';

/** The colours photographed at this step, now and in earlier attempts at the same route. */
export function Attempts({ run, step }: { run: Run; step: StepState }) {
  const batches = useBatches();
  const mine = run.events.flatMap(({ body }) =>
    body.kind === 'photographed' && body.step === step.key && body.colour ? [body.colour] : [],
  );
  const now = mine.at(-1);
  const before = (batches.data ?? []).flatMap((batch) =>
    batch.id !== run.batch.id && batch.routeId === run.batch.plan.route.id
      ? batch.colours.filter((each) => each.step === step.key).map(({ hex }) => ({ number: batch.number, hex }))
      : [],
  );
  if (!now && before.length === 0) return null;
  return (
    <section aria-label="Colours of this step">
      <h2>Colours here</h2>
      {now ? (
        <p className="small">
          <Swatch hex={now} /> this batch
        </p>
      ) : null}
      {before.slice(0, 4).map(({ number, hex }) => (
        <p key={`${number}${hex}`} className="small">
          <Swatch hex={hex} /> batch {number}
          {now ? `: this one is ${colourDifference(rgbOf(now), rgbOf(hex))}` : ''}
        </p>
      ))}
    </section>
  );
}
