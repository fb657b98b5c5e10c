import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { must } from '#base/lookup';
import { formatNumber } from '#base/units';
import type { BottleAnswer } from '#contract/api';
import type { Bench } from '#matter/gear';
import type { BottleView } from '#matter/label';
import { strengthUnits } from '#matter/solution';
import { type BottleCard, type BottleEventBody, onlyWaterBesides } from '#matter/stock';
import { sentenceOf } from '../api/client.ts';
import { useBatches, useBottleEvent } from '../api/queries.ts';
import { NumberField } from '../kit/number-field-lazy.tsx';
import { dayText, today } from '../parts/day.ts';
import { Num, NumRow } from '../parts/num.tsx';
import { useCompute } from '../worker/compute.ts';
import { InPractice, Keeping } from './bottle-keeping.tsx';

const CardForm = lazy(async () => ({ default: (await import('./card-form.tsx')).CardForm }));

const Lessons = lazy(async () => ({ default: (await import('../parts/lessons.tsx')).Lessons }));

const LabelPrint = lazy(async () => ({ default: (await import('./label-print.tsx')).LabelPrint }));

const FoundOf = lazy(async () => ({ default: (await import('./found-of.tsx')).FoundOf }));

/** A bottle’s sheet: strength in every unit at the shelf’s temperature, what is left, what it costs, where it came from and went. */
export function BottleSheet({ bottle, bench }: { bottle: BottleAnswer; bench: Bench }) {
  const { tempC, country } = bench;
  const { id, card, usedG } = bottle;
  const view = useCompute(
    'bottle',
    useMemo(
      () => ({ id, card, usedG, tempC, today: today(), ...(country && { country }) }),
      [id, card, usedG, tempC, country],
    ),
  );
  const change = useBottleEvent();
  const [editing, setEditing] = useState(false);
  const [taking, setTaking] = useState(false);
  const [labelling, setLabelling] = useState(false);
  const send = (body: BottleEventBody, then?: () => void) =>
    change.mutate(
      { id, body, ...(body.kind === 'corrected' ? { basedOn: bottle.version } : {}) },
      { onSuccess: () => then?.() },
    );
  const content = view.value?.content;
  return (
    <section aria-label={`Sheet of ${card.name}`}>
      <h2>{card.name}</h2>
      <p className="quiet small">
        {content?.substance.name ?? ''} · {card.measured ? `measured ${dayText(card.measured.day)}` : knownBy(card)} ·
        since {dayText(card.since)}
        {card.place ? ` · ${card.place}` : ''}
      </p>
      {view.problem ? <p className="problem">{view.problem.message}</p> : null}
      {view.value ? (
        <dl className="figures">
          {view.value.strengths.map((figure) => (
            <NumRow key={figure.name} label={figure.name === 'density' ? `density, ${tempC} °C` : figure.name}>
              <Num figure={figure} />
            </NumRow>
          ))}
          {content?.leftG ? (
            <NumRow label="left">
              <Num figure={content.leftG} />
            </NumRow>
          ) : null}
          {content?.leftMol ? (
            <NumRow label="left, amount">
              <Num figure={content.leftMol} />
            </NumRow>
          ) : null}
          {content?.pricePerMol ? (
            <NumRow label="price">
              <Num figure={content.pricePerMol} />
            </NumRow>
          ) : null}
        </dl>
      ) : null}
      <Besides card={card} />
      <Kind product={view.value?.product ?? null} />
      {content?.substance.described ? <Described of={content.substance.described} /> : null}
      {card.strength === null ? (
        <p className="watch small">No strength on the label: taken as pure, 96 to 100 %.</p>
      ) : null}
      <div className="sheet-actions">
        <button type="button" className="link" onClick={() => setEditing(true)}>
          Edit
        </button>
        <button type="button" className="link" onClick={() => setLabelling(true)}>
          Label
        </button>
        <button type="button" className="link" aria-expanded={taking} onClick={() => setTaking(!taking)}>
          Take some
        </button>
        {content?.leftG && content.leftG.value > 0 ? (
          <button
            type="button"
            className="link"
            onClick={() =>
              send({ kind: 'used', grams: must(content.leftG, 'leftG').value, forBatch: null, why: 'used up' })
            }
          >
            Used up
          </button>
        ) : null}
        {bottle.archived ? (
          <button type="button" className="link" onClick={() => send({ kind: 'restored' })}>
            Back on the shelf
          </button>
        ) : (
          <button type="button" className="link" onClick={() => send({ kind: 'archived', why: '' })}>
            Archive
          </button>
        )}
        {bottle.lastEventId ? (
          <button
            type="button"
            className="link"
            onClick={() => send({ kind: 'undone', of: must(bottle.lastEventId, 'lastEventId') })}
          >
            Undo last
          </button>
        ) : null}
      </div>
      {taking ? (
        <Take onTake={(grams, why) => send({ kind: 'used', grams, forBatch: null, why }, () => setTaking(false))} />
      ) : null}
      {change.isError && !editing ? <p className="problem">{sentenceOf(change.error)}</p> : null}
      <Suspense fallback={null}>
        <FoundOf bottle={bottle} send={(body) => send(body)} />
      </Suspense>
      <Keeping bottle={bottle} tempC={tempC} />
      <InPractice keeping={view.value?.keeping ?? []} />
      <Law rules={view.value?.law ?? []} chosen={country !== undefined} />
      <Lineage bottle={bottle} />
      <Sums substanceId={card.substanceId} />
      <Suspense fallback={null}>
        <Lessons
          title="Learnt of it"
          which={(each) => each.bottleId === id}
          attach={{ routeId: '', step: null, bottleId: id, batchId: null }}
        />
      </Suspense>
      {card.note ? <p className="small">{card.note}</p> : null}
      {card.labelText ? <p className="quiet small">Label: “{card.labelText}”</p> : null}
      {labelling ? (
        <Suspense fallback={null}>
          <LabelPrint bottle={bottle} tempC={tempC} onClose={() => setLabelling(false)} />
        </Suspense>
      ) : null}
      {editing ? (
        <Suspense fallback={null}>
          <CardForm
            card={card}
            title={card.name}
            okText="Keep it"
            busy={change.isPending}
            problem={change.isError ? sentenceOf(change.error) : ''}
            onSave={(next: BottleCard) => send({ kind: 'corrected', card: next }, () => setEditing(false))}
            onClose={() => setEditing(false)}
          />
        </Suspense>
      ) : null}
    </section>
  );
}

/** Rules on having it, with where and when; they change, and others add to them. */
function Law({ rules, chosen }: { rules: readonly string[]; chosen: boolean }) {
  if (rules.length === 0) return null;
  return (
    <details>
      <summary>
        {chosen && (rules.length === 1 ? 'A rule applies to it' : `${rules.length} rules apply to it`)}
        {!chosen && 'Rules on it hold in some countries'}
      </summary>
      {rules.map((each) => (
        <p key={each} className="small">
          {each}
        </p>
      ))}
      <p className="quiet small">A dated snapshot: check your local code.</p>
    </details>
  );
}

function Take({ onTake }: { onTake: (grams: number, why: string) => void }) {
  const [grams, setGrams] = useState<number | null>(null);
  return (
    <form
      className="row"
      onSubmit={(event) => {
        event.preventDefault();
        if (grams !== null) onTake(grams, 'taken');
      }}
    >
      <NumberField label="Taken out" unit="g" value={grams} min={0.001} max={1_000_000} onChange={setGrams} />
      <button type="submit" className="link" disabled={grams === null}>
        Book it
      </button>
    </form>
  );
}

/** How its strength is known where no assay is kept of it. */
function knownBy({ assayed }: BottleCard): string {
  return assayed ? 'assayed' : 'label only';
}

/** What such a product is, and how one makes sure. */
function Kind({ product }: { product: BottleView['product'] }) {
  if (!product) return null;
  const decides = /decide: (.+)$/.exec(product.decides)?.[1] ?? product.decides;
  return (
    <>
      <h3 style={{ marginTop: 14 }}>What it is sold as</h3>
      <p className="small">
        {capital(product.name)}
        {product.besides ? `; also in it: ${product.besides}` : ''}. {product.note ? `${capital(product.note)}.` : ''}
      </p>
      {product.source ? null : <p className="small watch">Too mixed to make a reagent from: no plan takes it.</p>}
      {product.test ? (
        <p className="small">
          <b>Make sure:</b> {product.test}. What it shows is worth more than the label: edit the bottle by it.
        </p>
      ) : null}
      {decides && decides !== 'none' ? <p className="quiet small">Mistaken for others? {decides}.</p> : null}
    </>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** What its owner says of a substance that no record holds. */
function Described({ of }: { of: NonNullable<BottleView['content']['substance']['described']> }) {
  const said = [
    of.gPerMl === null ? null : `${formatNumber(of.gPerMl, 3)} g/mL`,
    of.gPer100gWater === null ? null : `${formatNumber(of.gPer100gWater, 3)} g dissolve in 100 g of water`,
    of.meltsC === null ? null : `melts at ${formatNumber(of.meltsC, 3)} °C`,
    of.hazards === '' ? null : of.hazards,
  ].filter((each) => each !== null);
  return (
    <p className="small">
      Described by you{said.length > 0 ? `: ${said.join('; ')}` : ''}. No other data are held of it
      {of.hazards === '' ? ', no hazards either: treat it as harmful' : ''}.
    </p>
  );
}

/** The panels of the bench for this substance, before there is a batch. */
function Sums({ substanceId }: { substanceId: string }) {
  const of = encodeURIComponent(substanceId);
  return (
    <p className="small">
      Sums of it: <Link to={`/panels/dish?of=${of}`}>dish</Link> ·{' '}
      <Link to={`/panels/evaporate?of=${of}`}>boil down</Link> · <Link to={`/panels/dry?of=${of}`}>dry</Link> ·{' '}
      <Link to={`/panels/wash?of=${of}`}>wash</Link> · <Link to={`/panels/surprise?of=${of}`}>surprise</Link> ·{' '}
      <Link to="/panels/clash">clash</Link>
    </p>
  );
}

/** Where it came from and where it went. */
function Lineage({ bottle }: { bottle: BottleAnswer }) {
  const batches = useBatches();
  const nameOf = (batchId: string) => {
    const batch = batches.data?.find((each) => each.id === batchId);
    return batch ? `batch ${batch.number}, ${batch.title.replace(/^.* of /, '')}` : 'a batch';
  };
  if (bottle.uses.length === 0 && bottle.card.fromBatch === null) return null;
  return (
    <>
      <h3>Line</h3>
      <ul className="lineage">
        {bottle.card.fromBatch ? (
          <li>
            ← <Link to={`/record/${bottle.card.fromBatch}`}>{nameOf(bottle.card.fromBatch)}</Link>
          </li>
        ) : null}
        {bottle.uses.map((use) => (
          <li key={use.eventId}>
            → {use.forBatch ? <Link to={`/record/${use.forBatch}`}>{nameOf(use.forBatch)}</Link> : use.why || 'taken'}{' '}
            {formatNumber(use.grams, 3)} g
          </li>
        ))}
      </ul>
    </>
  );
}

/** What the bottle holds besides its substance. */
function Besides({ card }: { card: BottleCard }) {
  if (card.others.length === 0) return null;
  if (onlyWaterBesides(card)) return <p className="quiet small">The rest is water; plans count it as water.</p>;
  const said = card.others.map(
    ({ substanceId, strength }) =>
      `${substanceId.replaceAll('-', ' ')} ${strength.value} ${strengthUnits[strength.unit]}`,
  );
  return (
    <p className="watch small">Also holds {said.join(', ')}. All of it goes into the vessel; doses count the first.</p>
  );
}
