import { Input, type InputRef, Segmented, Select } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { sdOf } from '#base/figure';
import { parseNumber } from '#base/units';
import { type Substance, substanceById } from '#matter/substance';
import { methods } from '#model/method';
import { useBottles } from '#web/api/queries.ts';
import { EntryForm } from '#web/kit/entry-form.tsx';
import { Field } from '#web/kit/field.tsx';
import { today } from '#web/parts/day.ts';
import { Num } from '#web/parts/num.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';
import { useCompute } from '#web/worker/compute.ts';

/** A portion of what stands in the vessel, titrated with a bottle from the shelf: what it finds counts at once. */
export function TitratePane({ run, step, onClose }: PaneProps) {
  const { bench, target } = run.batch.plan;
  const bottles = useBottles();
  const first = useRef<InputRef>(null);
  const of = substanceById(run.state.sheet.made ? target.substanceId : '');
  const titrants = useMemo(
    () => (bottles.data ?? []).filter(({ archived, card }) => !archived && of && titrates(of, card.substanceId)),
    [bottles.data, of],
  );
  const [titrantId, setTitrant] = useState<string | null>(null);
  const [byMass, setByMass] = useState(true);
  const [sample, setSample] = useState('');
  const [titre, setTitre] = useState('');
  const [problem, setProblem] = useState('');
  useEffect(() => first.current?.focus(), []);
  const bottle = titrants.find(({ id }) => id === titrantId) ?? titrants[0];
  const [sampleG, used] = [parseNumber(sample), parseNumber(titre)];
  const asked = useMemo(
    () =>
      of && bottle && sampleG.ok && used.ok && sampleG.value > 0 && used.value > 0
        ? {
            analyte: of.id,
            titrant: { id: bottle.id, card: bottle.card, usedG: bottle.usedG },
            byMass,
            sampleG: sampleG.value,
            titre: used.value,
            bench,
            day: today(),
          }
        : undefined,
    [of, bottle, byMass, sampleG, used, bench],
  );
  const found = useCompute('portion', asked);
  const result = asked && !found.problem && !found.busy ? found.value?.result : undefined;
  if (!of) return <p className="quiet">This run makes a solid: weigh it, and assay it once it is bottled.</p>;
  if (bottles.data && titrants.length === 0)
    return <p className="quiet">No bottle on the shelf titrates {of.name}: put one of known strength there first.</p>;
  const enter = () => {
    if (!sampleG.ok) return setProblem(sampleG.problem.message);
    if (!used.ok) return setProblem(used.problem.message);
    if (!(sampleG.value > 0 && used.value > 0)) return setProblem('Sample and titre are more than 0.');
    if (!result) return setProblem(found.problem?.message ?? 'It is still being worked out.');
    // The band of a reading is taken as a rectangle: √3 standard uncertainties to either side.
    const half = Math.sqrt(3) * sdOf(result.w);
    const round = (x: number) => Number(x.toPrecision(6));
    run.enterAll([
      {
        kind: 'portion-taken',
        step: step.key,
        reading: { is: 'exact', value: sampleG.value, unit: 'g' },
        purpose: 'titration',
        returned: false,
      },
      {
        kind: 'read',
        step: step.key,
        quantity: 'strength',
        reading: {
          is: 'band',
          low: round(Math.max(0, result.w.value - half)),
          high: round(result.w.value + half),
          unit: '%',
        },
        place: `${of.name}, with ${bottle?.card.name ?? 'a titrant'}`.slice(0, 60),
      },
    ]);
    onClose();
  };
  return (
    <EntryForm onEnter={enter}>
      <div className="pane-row">
        <Field label="Portion of it" problem={problem}>
          {(bound) => (
            <Input
              {...bound}
              ref={first}
              size="large"
              suffix="g"
              inputMode="decimal"
              value={sample}
              onChange={(event) => setSample(event.target.value)}
            />
          )}
        </Field>
        <Field label="Titrated with">
          {(bound) => (
            <Select
              {...bound}
              size="large"
              style={{ width: 220 }}
              value={bottle?.id ?? null}
              options={titrants.map(({ id, card }) => ({ value: id, label: card.name }))}
              onChange={setTitrant}
            />
          )}
        </Field>
        <Field label="Used of it">
          {(bound) => (
            <Input
              {...bound}
              size="large"
              suffix={byMass ? 'g' : 'mL'}
              inputMode="decimal"
              value={titre}
              onChange={(event) => setTitre(event.target.value)}
            />
          )}
        </Field>
        <Segmented
          aria-label="Weighed or by burette"
          options={[
            { value: 'g', label: 'weighed' },
            { value: 'mL', label: 'by burette' },
          ]}
          value={byMass ? 'g' : 'mL'}
          onChange={(unit) => setByMass(unit === 'g')}
        />
        <button type="submit" className="tab">
          Enter it
        </button>
      </div>
      <p role="status" className="small">
        {result ? (
          <>
            That is <Num figure={result.w} /> of {of.name}. Entered, the strength of what is made is taken from it.
          </>
        ) : (
          (found.problem?.message ?? '\u00a0')
        )}
      </p>
    </EntryForm>
  );
}

function titrates({ species }: Substance, titrantId: string): boolean {
  const titrant = substanceById(titrantId)?.species;
  return methods.some(
    (each) =>
      each.is === 'titration' && each.pairs.some(({ flask, burette }) => flask === species && burette === titrant),
  );
}
