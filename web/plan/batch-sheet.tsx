import { Select } from 'antd';
import { formatNumber, formatPlain } from '#base/units';
import { formulaText, substanceOf } from '#matter/substance';
import type { PlanChoice } from '#run/choose';
import type { Plan } from '#run/plan';
import type { Gauge, Sheet } from '#run/sheet';
import { Num } from '../parts/num.tsx';
import { VesselDrawing } from '../parts/vessel-drawing.tsx';
import { Controls } from '../planning/controls.tsx';
import { ExcessPrices } from '../planning/excess-prices.tsx';
import { Uncertainty } from '../planning/uncertainty.tsx';

interface BatchSheetProps {
  readonly sheet: Sheet;
  readonly plan: Plan;
  readonly choice: PlanChoice;
  readonly onControl: (control: string, value: number) => void;
  readonly onBottle: (role: string, bottleId: string) => void;
}

/** The whole decision on one surface: what goes in, the vessel, what comes of it, and how near the marks it stands. */
export function BatchSheet({ sheet, plan, choice, onControl, onBottle }: BatchSheetProps) {
  return (
    <>
      <div className="sheet">
        <section aria-label="From the shelf">
          <h2>From the shelf</h2>
          {sheet.additions.map((line) => (
            <Addition key={line.step} line={line} roles={choice.roles} onBottle={onBottle} />
          ))}
          {sheet.shortages.map((each) => (
            <p key={each.message} className="problem small">
              {each.message}
            </p>
          ))}
          <Controls sheet={sheet} plan={plan} controls={choice.controls} onControl={onControl} />
          <ExcessPrices plan={plan} />
        </section>
        <Vessel sheet={sheet} plan={plan} />
        <Outcome sheet={sheet} plan={plan} />
      </div>
      <div className="gauges">
        {sheet.gauges.map((gauge) => (
          <GaugeBar key={gauge.name} gauge={gauge} />
        ))}
      </div>
    </>
  );
}

function Addition({
  line,
  roles,
  onBottle,
}: {
  line: Sheet['additions'][number];
  roles: PlanChoice['roles'];
  onBottle: BatchSheetProps['onBottle'];
}) {
  const { dose } = line;
  const role = roles.find((each) => each.id === line.role);
  const byVolume = dose.take.unit === 'mL';
  return (
    <div className="item">
      <div>
        {role && role.bottles.length > 1 ? (
          <Select
            size="small"
            variant="borderless"
            style={{ marginLeft: -8, maxWidth: '100%', fontWeight: 600 }}
            popupMatchSelectWidth={false}
            aria-label={`Bottle for ${line.roleName}`}
            value={line.bottleId}
            options={role.bottles.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(id) => id && onBottle(line.role, id)}
          />
        ) : (
          <b>{line.name}</b>
        )}{' '}
        {line.limiting ? <span className="limits">limits</span> : null}
        {role && role.bottles.length > 1 && role.bottles[0]?.id === line.bottleId && role.bottles[0].why ? (
          <div className="quiet small">taken: {role.bottles[0].why}</div>
        ) : null}
        <div className="quiet small">
          {dose.with}
          {line.waterBrought.value > 0.5 && line.bottleId ? (
            <>
              ; brings{' '}
              <Num figure={line.waterBrought} bare shown={formatNumber(line.waterBrought.value, 3)} unit="g water" />
            </>
          ) : null}
        </div>
      </div>
      <div className="amounts">
        <Num
          big
          bare
          figure={byVolume ? (dose.volume ?? dose.mass) : dose.mass}
          shown={formatPlain(dose.take.value)}
          unit={dose.take.unit}
        />
        <OtherUnit dose={dose} />
      </div>
    </div>
  );
}

/** The same dose the other way: grams of what is poured by volume, millilitres of what is weighed. */
function OtherUnit({ dose }: { dose: Sheet['additions'][number]['dose'] }) {
  if (dose.take.unit === 'mL') {
    return (
      <span className="second">
        <Num bare figure={dose.mass} shown={formatNumber(dose.takeMassG, 4)} unit="g" />
      </span>
    );
  }
  if (!dose.volume) return null;
  return (
    <span className="second">
      <Num bare figure={dose.volume} shown={formatNumber(dose.volume.value, 3)} unit="mL" />
    </span>
  );
}

function gasText({ id, volume }: Sheet['gases'][number]): string {
  return `${formulaText(substanceOf(id).formula)} ${formatNumber(volume.value, 2)} L`;
}

function Vessel({ sheet, plan }: { sheet: Sheet; plan: Plan }) {
  const { vessel } = sheet;
  if (!vessel) return <p className="problem">No vessel is listed at your bench.</p>;
  const foam = sheet.foamMl > 1 ? `, foam to ${Math.round(vessel.foamShare * 100)} %` : '';
  return (
    <figure className="vessel-fig" style={{ margin: 0 }}>
      <VesselDrawing
        vessel={vessel.vessel}
        liquidMl={sheet.liquidMl}
        foamMl={sheet.foamMl}
        gas={sheet.gases.length > 0}
        gasText={sheet.gases.map(gasText).join(', ')}
        tint={substanceOf(plan.target.substanceId).tint === 'straw' ? 'straw' : 'clear'}
      />
      <figcaption className={vessel.holds ? 'quiet' : 'stop'}>
        {vessel.holds
          ? `fills to ${Math.round(vessel.liquidShare * 100)} %${foam}`
          : `${vessel.vessel.name} is too small: split the batch`}
      </figcaption>
    </figure>
  );
}

const LIQUOR = 'mother liquor';

function Outcome({ sheet, plan }: { sheet: Sheet; plan: Plan }) {
  const { 'liquor.volume': liquor, 'product.pct': pct, 'product.volume': volume } = sheet.figures;
  return (
    <section aria-label="What comes of it">
      <h2>What comes of it</h2>
      {sheet.made ? (
        <Item
          name="solution"
          note={
            <>
              by mass <Num figure={sheet.made.pct} />; weighs{' '}
              <Num bare figure={sheet.made.mass} shown={formatNumber(sheet.made.mass.value, 4)} />
            </>
          }
        >
          <Num big bare figure={sheet.made.volume} shown={formatNumber(sheet.made.volume.value, 4)} />
          <span className="second">
            <Num figure={sheet.made.strength} />
          </span>
        </Item>
      ) : null}
      {sheet.product ? (
        <Item
          name={sheet.product.name}
          note={
            <>
              {sheet.theory ? (
                <>
                  theory <Num bare figure={sheet.theory} shown={formatNumber(sheet.theory.value, 3)} />
                </>
              ) : null}
              {sheet.yieldPct ? (
                <>
                  , yield <Num figure={sheet.yieldPct} />
                </>
              ) : null}
            </>
          }
        >
          <Num big figure={sheet.product} />
        </Item>
      ) : null}
      {pct && volume ? (
        <Item
          name="as it comes"
          note={
            <>
              about <Num bare figure={volume} shown={formatNumber(volume.value, 3)} />
            </>
          }
        >
          <Num big figure={pct} />
        </Item>
      ) : null}
      {liquor ? (
        <Item name={LIQUOR} note={sheet.byProducts.find(({ name }) => name.includes('liquor'))?.keep ?? ''}>
          <Num bare figure={liquor} shown={formatNumber(liquor.value, 2)} />
        </Item>
      ) : null}
      {sheet.byProducts
        .filter(({ name }) => !liquor || !name.includes('liquor'))
        .map((each) => (
          <Item key={each.name} name={each.name} note={each.keep} />
        ))}
      <Uncertainty sheet={sheet} plan={plan} />
    </section>
  );
}

function Item({ name, note, children }: { name: string; note?: React.ReactNode; children?: React.ReactNode }) {
  return (
    <div className="item">
      <div>
        <b>{name}</b>
        <div className="quiet small">{note}</div>
      </div>
      <div className="amounts">{children}</div>
    </div>
  );
}

const WORDS: Readonly<Record<Gauge['state'], string>> = {
  within: 'within its mark',
  watch: 'watch',
  stop: 'over its mark',
};

function GaugeBar({ gauge }: { gauge: Gauge }) {
  return (
    <div className={`gauge gauge-${gauge.state}`}>
      <div>
        {gauge.name}
        {gauge.state === 'within' ? (
          <span className="sr">, {WORDS.within}</span>
        ) : (
          <b className={gauge.state}> {WORDS[gauge.state]}</b>
        )}
      </div>
      <div className="gauge-bar" aria-hidden="true">
        <span style={{ width: `${Math.min(100, (gauge.level / 1.2) * 100)}%` }} />
        <i />
      </div>
      <div>
        {gauge.figure ? (
          <Num bare figure={gauge.figure} shown={gauge.shown} unit="" />
        ) : (
          <b className="mono">{gauge.shown}</b>
        )}{' '}
        <span className="quiet small">{gauge.note}</span>
      </div>
    </div>
  );
}
