import { formatNumber } from '#base/units';
import { type SubstanceId, substanceOf } from '#matter/substance';
import { type Contents, entriesOf, phases } from '#matter/vessel';
import type { Remainder } from '#run/state';
import { amountOf } from '../parts/amount-of.ts';
import { Num, NumRow } from '../parts/num.tsx';
import type { Run } from '../run/use-run.ts';

/** g below which something is not listed. */
const SEEN_G = 0.005;

/** What is in the vessel now, by what was entered. */
function NowList({ run }: { run: Run }) {
  const { now } = run.state.sheet;
  if (!now || now.massG <= 0) return null;
  return (
    <>
      <h3 style={{ marginTop: 14 }}>In the vessel now</h3>
      <dl className="figures">
        {partsOf(now.contents).map(({ id, phase, n }) => (
          <NumRow
            key={`${phase} ${id}`}
            label={`${substanceOf(id).name}${phase === 'solid' && substanceOf(id).water !== 'insoluble' ? ', solid' : ''}`}
          >
            <Num figure={n} />
          </NumRow>
        ))}
        {now.contents.waterG.value < SEEN_G ? null : (
          <NumRow label="water">
            <Num figure={now.contents.waterG} />
          </NumRow>
        )}
        {now.contents.inertG.value < SEEN_G ? null : (
          <NumRow label="what the labels leave open">
            <Num figure={now.contents.inertG} />
          </NumRow>
        )}
      </dl>
      <p className="quiet small">
        About {formatNumber(now.volumeMl, 2)} mL, {formatNumber(now.massG, 3)} g in all
        {now.liquor ? '; the liquor was set apart' : ''}.
      </p>
    </>
  );
}

/** Every substance by the phase it lies in. */
function partsOf(contents: Contents) {
  return phases.flatMap((phase) =>
    entriesOf(contents[phase]).map(([id, n]: readonly [SubstanceId, typeof contents.waterG]) => ({ id, phase, n })),
  );
}

function StillToAdd({ rest }: { rest: Remainder | undefined }) {
  return rest ? <span className="watch small"> and {amountOf(rest)} more</span> : null;
}

/** The sheet as it stands now, from what really went in. */
export function AsItStands({ run }: { run: Run }) {
  const { sheet, weighing, remainders } = run.state;
  const limiting = sheet.additions.find((line) => line.limiting);
  const over = new Set(run.state.steps.filter(({ status }) => status === 'done').map(({ key }) => key));
  return (
    <section aria-label="As it stands">
      <h2>As it stands</h2>
      <dl className="figures">
        {sheet.additions.map((line) => (
          <NumRow key={line.step} label={`${line.roleName}${line.limiting ? ' (limits)' : ''}`}>
            {line.actual ? (
              <>
                <Num figure={line.actual} />
                <StillToAdd rest={remainders.find((each) => each.step === line.step)} />
              </>
            ) : (
              <Num
                bare
                figure={line.dose.mass}
                shown={formatNumber(line.dose.takeMassG, 4)}
                unit={over.has(line.step) ? 'g, as planned' : 'g to come'}
              />
            )}
          </NumRow>
        ))}
        {sheet.besides.map((each, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the same bottle may go in twice; they only ever grow at the end
          <NumRow key={i} label={`${each.name}, besides`}>
            <Num figure={each.mass} />
          </NumRow>
        ))}
        {sheet.theory ? (
          <NumRow label="theory">
            <Num figure={sheet.theory} />
          </NumRow>
        ) : null}
        {sheet.product ? (
          <NumRow label="expected">
            <Num figure={sheet.product} />
          </NumRow>
        ) : null}
        {sheet.made ? (
          <>
            <NumRow label="make up to">
              <Num bare figure={sheet.made.volume} shown={formatNumber(sheet.made.volume.value, 4)} />
            </NumRow>
            <NumRow label="strength">
              <Num figure={sheet.made.strength} />
            </NumRow>
          </>
        ) : null}
      </dl>
      <NowList run={run} />
      {limiting ? <p className="small">{limiting.name} limits.</p> : null}
      <p className="small">{sheet.uncertainty.sentence}</p>
      {weighing.weighings.length > 0 || weighing.wetG !== null ? <p className="small">{weighing.sentence}</p> : null}
    </section>
  );
}
