import { formatNumber, formatPlain } from '#base/units';

/** Generator, empty trap and absorber as they stand. */
export interface AbsorberDrawn {
  readonly gas: string;
  readonly makes: string;
  /** g that stood in it at first. */
  readonly startG: number;
  /** g gained by now, and to gain in all. */
  readonly gainedG: number;
  readonly toGainG: number;
  /** Strength by now, mass %; null where that is not told by the gas alone. */
  readonly pct: number | null;
  readonly warmC: number | null;
  readonly ceilingC: number;
  /** Ice that it still takes, g. */
  readonly iceG: number;
  /** Share of the dripped reagent that is in; null where nothing drips. */
  readonly drips: number | null;
}

const FLOOR = 206;
const FULL = 74;
const CUBES = [272, 302, 332, 362];

/** One line drawing: gas comes from the left, the trap keeps what sucks back, the funnel just touches the water. */
export function AbsorberDrawing(of: AbsorberDrawn) {
  const { gas, makes, startG, gainedG, toGainG, pct, warmC, ceilingC, iceG, drips } = of;
  const share = toGainG > 0 ? Math.min(1, gainedG / toGainG) : 0;
  const level = FLOOR - FULL * (0.7 + 0.3 * share);
  const said = `A generator, an empty trap and an absorber with ${formatNumber(startG + gainedG, 3)} g of ${makes}; it has gained ${formatNumber(gainedG, 2)} of ${formatNumber(toGainG, 3)} g of ${gas}.`;
  const cubes = iceG > 0.5 ? Math.min(CUBES.length, Math.ceil(iceG / 25)) : 0;
  return (
    <svg
      className="absorber-drawing"
      viewBox={drips === null ? '14 34 500 214' : '14 -34 500 282'}
      role="img"
      aria-label={said}
    >
      {drips === null ? <path d="M24 222h100v12H24z" className="absorber-plate" /> : <Dripping share={drips} />}
      <path d="M66 70h18v46q34 14 34 54 0 40-43 40t-43-40q0-40 34-54z" className="drawn-line" />
      <path d="M38 186q37-16 74 0-6 22-37 22t-37-22z" className="absorber-charge" />
      {share < 1 && drips === null
        ? [60, 76, 92].map((x) => <path key={x} d={`M${x} 172q-6-8 0-16t0-14`} className="absorber-wave" />)
        : null}
      <path d="M75 70V50h116v44" className="drawn-line" />
      <path d="M166 94h50v108q0 8-8 8h-34q-8 0-8-8z" className="drawn-line" />
      <text x="191" y="230" textAnchor="middle" className="absorber-quiet">
        empty trap
      </text>
      <path d="M202 104V60h126v56" className="drawn-line" />
      <path d={`M262 ${level}h132v${FLOOR - level}q0 4-4 4H266q-4 0-4-4z`} className="absorber-liquid" />
      <path d="M258 118v88q0 6 6 6h128q6 0 6-6v-88" className="drawn-line" />
      <path d={`M324 116v10l-30 ${level - 124}h68l-30-${level - 124}v-10`} className="drawn-line" />
      {CUBES.slice(0, cubes).map((x, i) => (
        <path key={x} d={`M${x} ${level + 16 + 12 * (i % 2)}l16-5 8 10-15 7z`} className="absorber-ice" />
      ))}
      <text x="412" y={level + 4} className="absorber-words">
        {formatNumber(startG + gainedG, 3)} g
      </text>
      <text x="412" y={level + 21} className="absorber-quiet">
        {pct === null ? `+${formatNumber(gainedG, 3)} g` : `${formatNumber(pct, 3)} %`}
      </text>
      <text x="412" y={level + 38} className="absorber-quiet">
        {warmC === null ? `under ${formatPlain(ceilingC)} °C` : `${formatPlain(warmC)} of ${formatPlain(ceilingC)} °C`}
      </text>
      <text x="75" y="244" textAnchor="middle" className="absorber-quiet">
        {gas}
      </text>
    </svg>
  );
}

/** A dropping funnel in the neck: what waits in it, and a drop. */
function Dripping({ share }: { share: number }) {
  const level = -14 + 44 * share;
  return (
    <>
      <path d={`M${55 + 6 * share} ${level}h${40 - 12 * share}L82 40h-14z`} className="absorber-liquid" />
      <path d="M54-22h42L82 40v22h-14V40z" className="drawn-line" />
      <path d="M60 46h30" className="drawn-line" />
      {share < 1 ? <circle cx="75" cy="92" r="3" className="absorber-drop" /> : null}
    </>
  );
}
