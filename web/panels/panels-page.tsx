import { Select } from 'antd';
import { useMemo, useState } from 'react';
import { NavLink, useParams, useSearchParams } from 'react-router';
import type { Bench } from '#matter/gear';
import { isSubstanceId, type SubstanceId } from '#matter/substance';
import { grainOf } from '#model/precipitate';
import { useBench, useBottles } from '../api/queries.ts';
import { Field } from '../kit/field.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { DishSum } from '../models/sums/dish-sum.tsx';
import { DrySum } from '../models/sums/dry-sum.tsx';
import { EvaporateSum } from '../models/sums/evaporate-sum.tsx';
import { SurpriseSum } from '../models/sums/surprise-sum.tsx';
import { WashSum } from '../models/sums/wash-sum.tsx';
import { substanceNamesForChoice } from '../parts/substance-choice.ts';
import { BufferPanel } from './buffer-panel.tsx';
import { CellPanel } from './cell-panel.tsx';
import { ClashPanel } from './clash-panel.tsx';
import { StillPanel } from './still-panel.tsx';
import { VesselPanel } from './vessel-panel.tsx';
import './panels.css';

const PANELS = {
  dish: 'Dish',
  evaporate: 'Boil down',
  dry: 'Dry',
  wash: 'Wash',
  surprise: 'Surprise',
  clash: 'Clash',
  vessel: 'Vessel',
  buffer: 'Buffer',
  still: 'Still',
  cell: 'Cell',
} as const;
type Panel = keyof typeof PANELS;

/** Kitchen salt is on every shelf, and alum is what one learns the dish with. */
const FIRST: SubstanceId = 'potassium-alum';

/** The panels of the bench by themselves: for a sum before there is a batch, or for one that never will be. */
export function PanelsPage() {
  const { panel } = useParams();
  const [search, setSearch] = useSearchParams();
  const bench = useBench().data?.bench;
  const asked = search.get('of') ?? '';
  const substanceId = isSubstanceId(asked) ? asked : FIRST;
  const shown: Panel = panel !== undefined && panel in PANELS ? (panel as Panel) : 'dish';
  const query = search.size > 0 ? `?${search}` : '';
  return (
    <div className="panels">
      <h1>{PANELS[shown]}, without a batch</h1>
      <nav aria-label="Panels" className="tabs">
        {Object.entries(PANELS).map(([id, name]) => (
          <NavLink key={id} to={`/panels/${id}${query}`} className="tab">
            {name}
          </NavLink>
        ))}
      </nav>
      {bench ? (
        <Shown
          key={`${shown} ${substanceId}`}
          panel={shown}
          substanceId={substanceId}
          bench={bench}
          onSubstance={(of) => setSearch({ of }, { replace: true })}
        />
      ) : (
        <p className="waiting-block">Loading …</p>
      )}
    </div>
  );
}

interface ShownProps {
  readonly panel: Panel;
  readonly substanceId: SubstanceId;
  readonly bench: Bench;
  readonly onSubstance: (id: SubstanceId) => void;
}

function Shown({ panel, bench, ...of }: ShownProps) {
  if (panel === 'clash') return <ClashPanel />;
  if (panel === 'buffer') return <BufferPanel bench={bench} />;
  if (panel === 'still') return <StillPanel bench={bench} />;
  if (panel === 'cell') return <CellPanel bench={bench} />;
  if (panel === 'vessel') return <VesselPanel bench={bench} />;
  if (panel === 'surprise') return <SurprisePanel bench={bench} {...of} />;
  return <OfSubstance panel={panel} bench={bench} {...of} />;
}

function OfSubstance({ panel, substanceId, bench, onSubstance }: ShownProps) {
  const [grams, setGrams] = useState<number | null>(50);
  const [waterG, setWaterG] = useState<number | null>(100);
  const g = grams ?? 0;
  const water = waterG ?? 0;
  const holds = grainOf(substanceId).holds;
  return (
    <>
      <div className="pane-row thirds">
        <SubstanceField value={substanceId} onChange={onSubstance} />
        <NumberField label="Of it" unit="g" value={grams} min={0.1} max={100_000} required onChange={setGrams} />
        {panel === 'dish' || panel === 'evaporate' ? (
          <NumberField
            label={panel === 'dish' ? 'In water' : 'Liquid'}
            unit={panel === 'dish' ? 'g' : 'mL'}
            value={waterG}
            min={1}
            max={100_000}
            required
            onChange={setWaterG}
          />
        ) : null}
      </div>
      {g > 0 && (water > 0 || panel === 'dry' || panel === 'wash') ? (
        <div key={`${g} ${water}`}>
          {panel === 'dish' ? (
            <DishSum
              substanceId={substanceId}
              start={{ grams: g, waterG: water, hotC: 80, coldC: 10 }}
              airC={bench.tempC}
              pressureHPa={bench.pressureHPa}
              dishCm2={180}
            />
          ) : null}
          {panel === 'evaporate' ? (
            <EvaporateSum substanceId={substanceId} fromMl={water} toMl={Math.round(water / 3)} bench={bench} />
          ) : null}
          {panel === 'dry' ? (
            <DrySum
              substanceId={substanceId}
              waterG={Math.max(1, Math.round(g * holds))}
              mostG={Math.max(20, Math.round(3 * g))}
              roomC={Math.round(bench.tempC)}
              pressureHPa={bench.pressureHPa}
              ceiling={null}
            />
          ) : null}
          {panel === 'wash' ? <LooseWash grams={g} holds={holds} /> : null}
        </div>
      ) : (
        <p className="quiet">Say how much of it there is.</p>
      )}
    </>
  );
}

/** Readings of washings that belong to no batch are kept while the panel stands. */
function LooseWash({ grams, holds }: { grams: number; holds: number }) {
  const [readingsBy, setReadings] = useState<{ conductivity: readonly number[]; pH: readonly number[] }>({
    conductivity: [],
    pH: [],
  });
  return (
    <WashSum
      start={{ retainedMl: Math.max(1, Math.round(grams * holds)), portionMl: Math.max(5, Math.round(grams * 2)) }}
      productGPer100Ml={0.002}
      readingsBy={readingsBy}
      onRead={(by, value) => setReadings((before) => ({ ...before, [by]: [...before[by], value] }))}
    />
  );
}

function SurprisePanel({ substanceId, bench, onSubstance }: Omit<ShownProps, 'panel'>) {
  const bottles = useBottles().data ?? [];
  const [more, setMore] = useState<readonly string[]>([]);
  const scene = useMemo(
    () => ({
      present: [substanceId, ...more].map((id) => ({ substanceId: id, pct: 10 })),
      tempC: bench.tempC,
      technique: null,
    }),
    [substanceId, more, bench.tempC],
  );
  return (
    <>
      <div className="pane-row">
        <SubstanceField value={substanceId} onChange={onSubstance} />
        <Field label="And what else is in it">
          {(bound) => (
            <Select
              {...bound}
              mode="multiple"
              style={{ width: '100%' }}
              value={[...more]}
              options={[...new Map(bottles.map(({ card }) => [card.substanceId, card.name]))].map(([value, label]) => ({
                value,
                label,
              }))}
              onChange={setMore}
            />
          )}
        </Field>
      </div>
      <SurpriseSum scene={scene} />
    </>
  );
}

function SubstanceField({ value, onChange }: { value: SubstanceId; onChange: (id: SubstanceId) => void }) {
  return (
    <Field label="Substance">
      {(bound) => (
        <Select
          {...bound}
          virtual
          showSearch={{ optionFilterProp: 'label' }}
          style={{ width: '100%' }}
          value={value}
          options={substanceNamesForChoice(value)}
          onChange={(id) => {
            if (isSubstanceId(id)) onChange(id);
          }}
        />
      )}
    </Field>
  );
}
