import { useState } from 'react';
import { formatNumber } from '#base/units';
import type { Bench } from '#matter/gear';
import { NumberField } from '../kit/number-field.tsx';

/** As full as a vessel is filled that is stirred or boiled. */
const FULL = 0.7;

/** Which vessel of this bench holds it, with its foam. */
export function VesselPanel({ bench }: { bench: Bench }) {
  const [liquidMl, setLiquid] = useState<number | null>(200);
  const [foamMl, setFoam] = useState<number | null>(0);
  const needs = (liquidMl ?? 0) + (foamMl ?? 0);
  const vessels = [...bench.vessels].sort((a, b) => a.capacityMl - b.capacityMl);
  const least = vessels.find(({ capacityMl }) => capacityMl * FULL >= needs);
  return (
    <>
      <div className="pane-row">
        <NumberField label="Liquid" unit="mL" value={liquidMl} min={1} max={1e6} required onChange={setLiquid} />
        <NumberField label="Foam on it" unit="mL" value={foamMl} min={0} max={1e6} onChange={setFoam} />
      </div>
      <p aria-live="polite">
        {least
          ? `The ${least.name} holds it, ${formatNumber((100 * needs) / least.capacityMl, 2)} % full with its foam.`
          : `No vessel of this bench holds it under ${100 * FULL} %: split it.`}
      </p>
      <table className="plain-table">
        <caption className="small quiet">The vessels of this bench</caption>
        <thead>
          <tr>
            <th scope="col">vessel</th>
            <th scope="col" className="right">
              full to
            </th>
            <th scope="col">of</th>
          </tr>
        </thead>
        <tbody>
          {vessels.map((vessel) => (
            <tr key={vessel.name}>
              <td>{vessel.name}</td>
              <td className="right">{formatNumber((100 * needs) / vessel.capacityMl, 2)} %</td>
              <td>{vessel.material}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
