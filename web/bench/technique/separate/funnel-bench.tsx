import { itemAt } from '#base/lookup';
import { hoursSaid } from '#base/time';
import { formatNumber } from '#base/units';
import { substanceOf } from '#matter/substance';
import type { StepState } from '#run/state';
import type { InLayer, SeparateAdvice } from '#run/technique';
import type { Run } from '#web/run/use-run.ts';
import { type DrawnLayer, FunnelDrawing } from './funnel-drawing.tsx';
import '../at-work.css';
import './funnel.css';

/** The funnel before it is parted: which is above and why, what is in which, how well it parts. */
export function FunnelBench({ says }: { run: Run; step: StepState; says: SeparateAdvice | null }) {
  if (!says) return <p className="quiet">Nothing in it makes a layer whose parting is held.</p>;
  const { organic, aqueous, top, inOrganic, inAqueous, liquid, about, notHeld, halfInWashH } = says;
  const { name } = substanceOf(liquid);
  if (!organic || !aqueous)
    return (
      <section className="funnel" aria-label="The funnel">
        <p className="at-work-head">{top.says}</p>
      </section>
    );
  const own: DrawnLayer = { ml: organic.ml, gPerMl: organic.gPerMl, name, tint: 'liquid' };
  const water: DrawnLayer = { ml: aqueous.ml, gPerMl: aqueous.gPerMl, name: 'water and salts', tint: 'water' };
  const above = top.above === 'organic';
  return (
    <section className="funnel" aria-label="The funnel">
      <p className="at-work-head">
        <b>{above ? `${itemAt(name, 0).toUpperCase()}${name.slice(1)}` : 'The water'}</b> is above. {top.says}
      </p>
      <div className="at-work-scene">
        <FunnelDrawing upper={above ? own : water} lower={above ? water : own} />
        <div>
          <Within title={`In the ${name}`} waterG={organic.waterG} parts={inOrganic} about={about} />
          <Within title="In the water" waterG={aqueous.waterG} parts={inAqueous} about={about} />
          <p className="small quiet">
            {formatNumber(top.gap, 2)} g/mL between them; from 0.05 on they part by themselves. Open until a swirl
            brings no bubble; then vent after each turn.
          </p>
          {halfInWashH !== null && halfInWashH < SOON_H ? (
            <p className="small">
              Cold, and not left standing: half of what the water holds of it is split within about{' '}
              {hoursSaid(halfInWashH)} at pH 9 and 25 °C, faster with more base.
            </p>
          ) : null}
          {notHeld.length > 0 ? (
            <p className="small">
              <b>Not known:</b> how {notHeld.map((id) => substanceOf(id).name).join(', ')} shares itself.
            </p>
          ) : null}
        </div>
      </div>
    </section>
  );
}

/** An ester that keeps longer than this in a wash is not told of. */
const SOON_H = 24;

interface WithinProps {
  readonly title: string;
  readonly waterG: number;
  readonly parts: readonly InLayer[];
  readonly about: boolean;
}

function Within({ title, waterG, parts, about }: WithinProps) {
  return (
    <>
      <h2>{title}</h2>
      <dl className="funnel-within">
        {parts.map(({ id, grams }) => (
          <div key={id}>
            <dt>{substanceOf(id).name}</dt>
            <dd>
              {about ? 'about ' : ''}
              {formatNumber(grams, 2)} g
            </dd>
          </div>
        ))}
        <div>
          <dt>water</dt>
          <dd>
            {about ? 'about ' : ''}
            {formatNumber(waterG, 2)} g
          </dd>
        </div>
      </dl>
    </>
  );
}
