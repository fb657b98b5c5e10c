import { Select } from 'antd';
import { useMemo, useState } from 'react';
import { formatNumber } from '#base/units';
import type { Bench } from '#matter/gear';
import { useBottles } from '../api/queries.ts';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { today } from '../parts/day.ts';
import { Num } from '../parts/num.tsx';
import { useCompute } from '../worker/compute.ts';

/** Families that are bought, by the pH that they hold. */
const FAMILIES = [
  { value: 'acetic-acid', label: 'acetic acid and acetate, pH 3.7 to 5.7' },
  { value: 'citric-acid', label: 'citric acid, pH 2.5 to 7' },
  { value: 'sodium-dihydrogenphosphate-anhydrous', label: 'phosphate, pH 6.2 to 8.2' },
  { value: 'boric-acid', label: 'boric acid, pH 8.2 to 10.2' },
  { value: 'ammonia', label: 'ammonia and ammonium chloride, pH 8.3 to 10.3' },
  { value: 'sodium-hydrogencarbonate', label: 'bicarbonate and soda, pH 9.3 to 11' },
] as const;

/** A buffer by what stands on the shelf. */
export function BufferPanel({ bench }: { bench: Bench }) {
  const bottles = useBottles();
  const [substanceId, setFamily] = useState<string>('ammonia');
  const [pH, setPh] = useState<number | null>(10);
  const [molPerL, setMolPerL] = useState<number | null>(0.5);
  const [volumeMl, setVolume] = useState<number | null>(250);
  const { value, problem } = useCompute(
    'buffer',
    useMemo(
      () =>
        pH === null || molPerL === null || volumeMl === null || !bottles.data
          ? undefined
          : {
              substanceId,
              pH,
              molPerL,
              volumeMl,
              tempC: bench.tempC,
              day: today(),
              shelf: bottles.data.map(({ id, card, usedG, archived }) => ({ id, card, usedG, archived })),
            },
      [substanceId, pH, molPerL, volumeMl, bench.tempC, bottles.data],
    ),
  );
  return (
    <>
      <div className="pane-row">
        <Field label="Made of">
          {(bound) => (
            <Select
              {...bound}
              style={{ width: 330 }}
              value={substanceId}
              options={[...FAMILIES]}
              onChange={setFamily}
            />
          )}
        </Field>
        <NumberField label="To hold pH" value={pH} min={0} max={14} onChange={setPh} />
        <NumberField label="Strength" unit="mol/L" value={molPerL} min={0.0001} max={2} onChange={setMolPerL} />
        <NumberField label="Volume" unit="mL" value={volumeMl} min={1} max={100_000} onChange={setVolume} />
      </div>
      <div aria-live="polite">
        {problem ? <p className="problem">{problem.message}</p> : null}
        {value && !problem ? (
          <>
            <ul className="plain-list">
              {value.parts.map(({ name, pureG, bottle }) => (
                <li key={name}>
                  {bottle ? (
                    <>
                      <Num figure={bottle.grams} /> {bottle.mL ? <Num figure={bottle.mL} bare /> : null} of{' '}
                      {bottle.name}
                    </>
                  ) : (
                    <>
                      <Num figure={pureG} /> of {name}, pure <span className="watch">none stands on the shelf</span>
                    </>
                  )}
                </li>
              ))}
              <li>water to {formatNumber(volumeMl ?? 0, 3)} mL</li>
            </ul>
            <p className="quiet small">
              It holds against {formatNumber(value.recipe.capacity, 2)} mol/L of strong acid or base a unit of pH; ionic
              strength {formatNumber(value.recipe.ionicStrength, 2)} mol/L, at {bench.tempC} °C. Check it with a probe:
              it may be 0.05 off{value.recipe.ionicStrength > 0.5 ? ', and more in one so strong' : ''}.
            </p>
          </>
        ) : null}
      </div>
    </>
  );
}
