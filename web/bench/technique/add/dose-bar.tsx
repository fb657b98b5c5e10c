import { itemAt } from '#base/lookup';
import type { AddAdvice } from '#run/technique';
import { amountText } from './poured.ts';

const WIDTH = 640;
const HEIGHT = 66;

/** What is in against the window in which the endpoint is to be expected, and the dose that was planned. */
export function DoseBar({ add }: { add: AddAdvice }) {
  const { inG, plannedG, band, stages } = add;
  const most = Math.max(plannedG, band.toG, inG) * 1.12 || 1;
  const x = (grams: number) => (grams / most) * WIDTH;
  const shown = (grams: number) => amountText(add, grams, 3);
  const said = `${shown(inG)} in; the endpoint is expected between ${shown(band.fromG)} and ${shown(band.toG)}; planned ${shown(plannedG)}`;
  const bandWidth = Math.max(3, x(band.toG) - x(band.fromG));
  return (
    <svg className="dose-bar" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={said}>
      <rect x="0.75" y="22" width={WIDTH - 1.5} height="22" className="dose-track" />
      <rect x={x(band.fromG)} y="16" width={bandWidth} height="34" className="dose-band" />
      <rect
        x="0.75"
        y="24"
        width={Math.max(0, x(inG) - 0.75)}
        height="18"
        className="dose-in"
        data-place={band.place}
      />
      {stages.length > 1 ? (
        <line x1={x(itemAt(stages, 0).toG)} x2={x(itemAt(stages, 0).toG)} y1="22" y2="44" className="dose-mark" />
      ) : null}
      <line x1={x(plannedG)} x2={x(plannedG)} y1="14" y2="52" className="dose-planned" />
      {stages.length > 1 && x(itemAt(stages, 0).toG) > 60 ? (
        <text x={x(itemAt(stages, 0).toG) / 2} y="12" textAnchor="middle" className="dose-text">
          {itemAt(stages, 0).takes}
        </text>
      ) : null}
      <text
        x={Math.min(WIDTH - 4, x(band.fromG) + bandWidth / 2)}
        y="12"
        textAnchor="middle"
        className="dose-text dose-stop"
      >
        stop here
      </text>
      <text x={Math.min(WIDTH - 4, x(plannedG))} y="64" textAnchor="end" className="dose-text">
        planned {shown(plannedG)}
      </text>
      <text x="2" y="64" className="dose-text">
        in {shown(inG)}
      </text>
    </svg>
  );
}
